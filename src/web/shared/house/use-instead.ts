import { computed } from 'vue'
import { takenWords } from '#words/substitutes'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { useClass } from './use-class.ts'

/** What some have in the blocks of a session in place of its set-ups, in the class it is opened for: lines by block. */
export function useInstead(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { taken, who, classes } = useClass(of)
  void classes.load()
  const byBlock = computed(() => {
    const lines = new Map<string, readonly string[]>()
    for (const one of taken.value)
      lines.set(one.blockId, [...(lines.get(one.blockId) ?? []), takenWords(one, who.value.length)])
    return lines
  })
  return { insteadIn: (blockId: string): readonly string[] => byBlock.value.get(blockId) ?? [] }
}
