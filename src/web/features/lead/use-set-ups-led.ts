import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Figure } from '#model/figure'
import type { LedStart } from '#model/led-class'
import type { SetUpItem } from '#model/set-up'
import { figureIn } from '#core/session'
import type { Timeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'

/** What lies at everybody's mat in a block that is led. */
export interface SetUpLed {
  readonly blockId: string
  readonly name: string
  readonly items: readonly SetUpItem[]
  readonly figure: Figure | undefined
}

/** The set-ups of a class by block, for what is said while people arrange themselves. */
export function useSetUpsLed(
  start: Readonly<Ref<LedStart | undefined>>,
  timeline: Readonly<Ref<Timeline | undefined>>,
) {
  const own = useOwnStore()
  return computed(
    (): ReadonlyMap<string, SetUpLed> =>
      new Map(
        (timeline.value?.blocks ?? []).flatMap(({ block }) => {
          const blockId = block.block.id
          const items = 'setUp' in block ? (block.setUp?.value.items ?? []) : undefined
          const name = start.value?.blocks[blockId]?.name ?? ''
          return items ? [[blockId, { blockId, name, items, figure: figureIn(block, own.catalog) }] as const] : []
        }),
      ),
  )
}
