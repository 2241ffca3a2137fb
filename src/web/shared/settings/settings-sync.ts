import { shallowRef } from 'vue'
import { settingsSchema } from '#model/settings'
import type { Settings } from '#model/settings'
import { readSettings, writeSettings } from '#web/shared/api/settings.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** What this browser knows of the settings: as the server had them, and what was set since and is not there yet. */
interface Known {
  readonly settings: Settings
  readonly unsent: Partial<Settings>
}

const keptAs = itsOwn('zovrin.settings')
/** Where this browser kept two of them before they were the teacher's. */
const formerly = { speakingPace: 'zovrin.speakingPace', letterKeys: 'zovrin.letterKeys' } as const

function parsed(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null')
  } catch {
    return null
  }
}

function kept(): Known {
  const known = parsed(keptAs) as Known | null
  if (known !== null) return known
  const former = Object.fromEntries(
    Object.entries(formerly).flatMap(([name, key]) => {
      const value = parsed(key)
      return value === null ? [] : [[name, value]]
    }),
  )
  const read = settingsSchema.partial().safeParse(former)
  return { settings: { schema: 1 }, unsent: read.data ?? {} }
}

/** Keeps the settings in this browser and on the server: `known` is what this browser knows, `set` changes some. */
export function makeSettingsSync() {
  const known = shallowRef(kept())
  /** Why the server did not take what was set; empty where it did. */
  const refused = shallowRef('')
  let version: number | undefined
  let isSending = false

  function know(next: Known): void {
    known.value = next
    localStorage.setItem(keptAs, JSON.stringify(next))
  }

  /** Takes what the server has; what was set meanwhile stays, and is sent. */
  async function load(): Promise<void> {
    const reply = await readSettings()
    if (reply.kind !== 'ok') return
    version = reply.version
    know({ ...known.value, settings: reply.value })
    await send()
  }

  async function send(): Promise<void> {
    const { settings, unsent } = known.value
    if (version === undefined || isSending || Object.keys(unsent).length === 0) return
    isSending = true
    const sent = { ...settings, ...unsent }
    const reply = await writeSettings(sent, version)
    isSending = false
    refused.value = reply.kind === 'problem' && reply.problem.code !== 'VERSION_STALE' ? reply.problem.detail : ''
    if (reply.kind === 'ok') {
      version = reply.value.version
      know({ settings: sent, unsent: setSince(unsent, known.value.unsent) })
      await send()
    } else if (reply.kind === 'problem' && reply.problem.code === 'VERSION_STALE') await load()
  }

  function set(changed: Partial<Settings>): void {
    know({ ...known.value, unsent: { ...known.value.unsent, ...changed } })
    void (version === undefined ? load() : send())
  }
  return { known, refused, set, load }
}

/** What was set while `sent` was on its way. */
const setSince = (sent: Partial<Settings>, now: Partial<Settings>): Partial<Settings> =>
  Object.fromEntries(Object.entries(now).filter(([name, value]) => sent[name as keyof Settings] !== value))
