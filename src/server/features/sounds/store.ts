import { existsSync } from 'node:fs'
import { mkdir, rename, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ownSoundSchema } from '#model/sound'
import type { OwnSound } from '#model/sound'
import type { SoundRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { refuseOthers } from '#server/features/guards'
import { ProblemError } from '#server/problems'

/**
 * Own sounds: what is known of each in the database, what is heard in a file of its own in the folder. All teachers hear them;
 * each is changed by whoever brought it, and by the keeper.
 */
export function soundStore(database: Database, folder: string, { isKeeper = true } = {}) {
  const { models, inTransaction } = database
  const at = { database, isKeeper }
  const fileOf = (id: string): string => join(folder, id)
  return {
    list: async (): Promise<readonly OwnSound[]> =>
      (await models.sounds.findAll({ order: [['name', 'ASC']] })).flatMap((row) => soundOf(row) ?? []),
    /** A sound with the file it is heard from. Throws UNKNOWN_SOUND. */
    async find(id: string): Promise<{ readonly sound: OwnSound; readonly file: string }> {
      const row = await models.sounds.findByPk(id)
      const sound = row ? soundOf(row) : undefined
      if (!sound || !existsSync(fileOf(id))) throw new ProblemError('UNKNOWN_SOUND', { id })
      return { sound, file: fileOf(id) }
    },
    /** Keeps a sound, over one of the same id: first whole beside, so that none is there in halves. Throws NOT_YOURS. */
    async put(sound: OwnSound, heard: Buffer): Promise<void> {
      await mkdir(folder, { recursive: true })
      const beside = `${fileOf(sound.id)}.coming`
      await writeFile(beside, heard)
      await inTransaction(async (transaction) => {
        const there = await models.sounds.findByPk(sound.id, { transaction })
        await refuseOthers(at, there, transaction)
        if (there) await there.update(sound, { transaction })
        else await models.sounds.create(sound, { transaction })
        await rename(beside, fileOf(sound.id))
      })
    },
    /** Throws UNKNOWN_SOUND, NOT_YOURS. */
    async remove(id: string): Promise<void> {
      await inTransaction(async (transaction) => {
        const there = await models.sounds.findByPk(id, { transaction })
        if (!there) throw new ProblemError('UNKNOWN_SOUND', { id })
        await refuseOthers(at, there, transaction)
        await there.destroy({ transaction })
      })
      await rm(fileOf(id), { force: true })
    },
  }
}

export type SoundStore = ReturnType<typeof soundStore>

/** One that cannot be read is as if it were not there: its bell sounds in its place. */
export const soundOf = ({ id, name, use, type, bytes, lengthMs }: SoundRow): OwnSound | undefined =>
  ownSoundSchema.safeParse({ id, name, use, type, bytes, lengthMs }).data
