import { settingAside, takingBack } from '#core/finding'
import type { Finding } from '#model/finding'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** Sets a finding of the open session aside with a reason, and takes it back; each a step that can be undone. */
export function useSetAside() {
  const store = useSessionStore()
  return {
    setAside(finding: Finding, reason: string): void {
      if (!store.document) return
      const all = settingAside(store.document, finding, reason, new Date().toISOString())
      store.edit({ type: 'details', details: { setAside: all } }, 'set a finding aside')
    },
    takeBack(finding: Finding): void {
      if (!store.document) return
      const all = takingBack(store.document, finding)
      store.edit({ type: 'details', details: { setAside: all } }, 'take a finding back')
    },
  }
}
