import { settingsSchema } from '#model/settings'
import type { Settings } from '#model/settings'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

const unset: Settings = { schema: 1 }

interface KeptSettings {
  readonly settings: Settings
  /** 0 where nothing was ever set. */
  readonly version: number
}

/** What the teacher set for all their sessions; `onWritten` hears of each change. */
export function settingsStore({ models, inTransaction }: Database, onWritten: () => void = () => undefined) {
  async function read(): Promise<KeptSettings> {
    const row = await models.settings.findOne()
    if (!row) return { settings: unset, version: 0 }
    // What cannot be read any more is as if it were not set: nobody is kept from their work by it.
    const settings = settingsSchema.safeParse(parsed(row.document))
    return { settings: settings.data ?? unset, version: row.version }
  }
  return {
    read,
    /** Writes over the version it was based on, and says the new one. Throws VERSION_STALE. */
    async write(settings: Settings, based: number): Promise<number> {
      const version = await write(settings, based)
      onWritten()
      return version
    },
  }
  function write(settings: Settings, based: number): Promise<number> {
    return inTransaction(async (transaction) => {
      const row = await models.settings.findOne({ transaction })
      const current = row?.version ?? 0
      if (current !== based) throw new ProblemError('VERSION_STALE', { based, current })
      const [version, document] = [based + 1, JSON.stringify(settings)]
      if (row) await row.update({ version, document }, { transaction })
      else await models.settings.create({ version, document }, { transaction })
      return version
    })
  }
}

export type SettingsStore = ReturnType<typeof settingsStore>

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
