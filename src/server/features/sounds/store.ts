import { existsSync } from 'node:fs'
import { mkdir, rename, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ownSoundSchema } from '#model/sound'
import type { OwnSound } from '#model/sound'
import type { SoundRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

/** The teacher's own sounds: what is known of each in the database, what is heard in a file of its own in the folder. */
export function soundStore({ models, inTransaction }: Database, folder: string) {
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
    /** Keeps a sound, over one of the same id: first whole beside, so that none is there in halves. */
    async put(sound: OwnSound, heard: Buffer): Promise<void> {
      await mkdir(folder, { recursive: true })
      const beside = `${fileOf(sound.id)}.coming`
      await writeFile(beside, heard)
      await rename(beside, fileOf(sound.id))
      await inTransaction((transaction) => models.sounds.upsert(sound, { transaction }))
    },
    /** Throws UNKNOWN_SOUND. */
    async remove(id: string): Promise<void> {
      const removed = await inTransaction((transaction) => models.sounds.destroy({ where: { id }, transaction }))
      if (removed === 0) throw new ProblemError('UNKNOWN_SOUND', { id })
      await rm(fileOf(id), { force: true })
    },
  }
}

export type SoundStore = ReturnType<typeof soundStore>

/** One that cannot be read is as if it were not there: its bell sounds in its place. */
const soundOf = ({ id, name, use, type, bytes, lengthMs }: SoundRow): OwnSound | undefined =>
  ownSoundSchema.safeParse({ id, name, use, type, bytes, lengthMs }).data
