import { computed } from 'vue'
import { takenWords } from '#words/substitutes'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { comingTo } from '#core/class'

/** What some have in the blocks of a session in place of its set-ups, in the class it is opened for: lines by block. */
export function useInstead(sessionId: () => string | undefined) {
  const classes = usePlannedClassesStore()
  void classes.load()
  const byBlock = computed(() => {
    const lines = new Map<string, readonly string[]>()
    const planned = classes.openFor(sessionId() ?? '')
    const count = planned ? comingTo(planned).length : 0
    for (const taken of planned?.substitutes ?? [])
      lines.set(taken.blockId, [...(lines.get(taken.blockId) ?? []), takenWords(taken, count)])
    return lines
  })
  return { insteadIn: (blockId: string): readonly string[] => byBlock.value.get(blockId) ?? [] }
}
