import { ref } from 'vue'
import type { Session } from '#model/session'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { makeSheet, sheetEndings } from './make-sheet.ts'
import { usePaper } from './use-paper.ts'

/** A home sheet of a session that is not the open one, for a whole group: nobody's name is on it. */
export function useHomeSheet() {
  const own = useOwnStore()
  const house = useHouse()
  const paper = usePaper()
  const isMaking = ref(false)
  const failed = ref('')
  async function save(session: Session, name: string): Promise<void> {
    if (isMaking.value) return
    isMaking.value = true
    const { bytes } = await makeSheet({
      ...{ kind: 'home', session: { ...session, name }, own: own.things, paper: paper.value, kinds: house.kinds.value },
      ...{ learned: own.catalog.learned, wordsAMinute: own.catalog.wordsAMinute },
    })
    isMaking.value = false
    failed.value = bytes ? '' : 'The home sheet could not be made. Reload the page and try again.'
    if (bytes) download(new Blob([bytes]), fileName(`${name} ${sheetEndings.home}`, 'pdf'), 'application/pdf')
  }
  return { save, isMaking, failed }
}
