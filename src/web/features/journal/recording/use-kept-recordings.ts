import { ref, shallowRef } from 'vue'
import { turns } from '#web/shared/saving/turns.ts'
import { dropRecording, keepRecording, keptRecordings } from './kept-recordings.ts'
import type { KeptRecording } from './kept-recordings.ts'

/** What is kept in this browser, as it is written: one after the other, so that the last word stands. */
export function useKeptRecordings() {
  const kept = shallowRef<readonly KeptRecording[]>([])
  const deleted = shallowRef<KeptRecording>()
  const notKept = ref(false)
  const { act } = turns()
  function write(writing: () => Promise<void>): void {
    void act(async () => {
      await writing()
      return true
    }).then(
      () => (notKept.value = false),
      () => (notKept.value = true),
    )
  }
  return {
    ...{ kept, deleted, notKept },
    async load(): Promise<readonly KeptRecording[]> {
      // A browser that keeps nothing has none to show: that is told when there is something to keep.
      kept.value = await keptRecordings().catch(() => [])
      return kept.value
    },
    keep(recording: KeptRecording): void {
      const others = kept.value.filter(({ id }) => id !== recording.id)
      kept.value = [recording, ...others].sort((a, b) => b.readAt.localeCompare(a.readAt))
      if (deleted.value?.id === recording.id) deleted.value = undefined
      write(() => keepRecording(recording))
    },
    drop(id: string): void {
      deleted.value = kept.value.find((one) => one.id === id)
      kept.value = kept.value.filter((one) => one.id !== id)
      write(() => dropRecording(id))
    },
  }
}
