import { useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import { fetching, fetchList, laidIn } from '#core/class'
import type { Timeline } from '#core/timeline'
import { fetchingWords, fetchLines, shortLines } from '#words/fetching'
import { blockName } from '#words/blocks'
import { useHouse } from './use-house.ts'

/** For how many people each session is looked at in this window, by its id. */
const counts = useSessionStorage('zovrin.people', new Map<string, number>())

/** What is fetched for a session by one person and by so many, what is short of it, and how long that takes. */
export function useFetching(of: () => { readonly id: string; readonly timeline: Timeline } | undefined) {
  const { place, loadPlaces } = useHouse()
  void loadPlaces()
  const people = computed({
    get: () => counts.value.get(of()?.id ?? ''),
    set: (count) => {
      const id = of()?.id
      if (id === undefined) return
      if (count === undefined) counts.value.delete(id)
      else counts.value.set(id, count)
    },
  })
  const list = computed(() => {
    const now = of()
    return now ? fetchList(laidIn(now.timeline)) : { items: [], ready: [] }
  })
  const nameOf = (blockId: string): string => {
    const block = of()?.timeline.blocks.find((span) => span.block.block.id === blockId)?.block
    return block ? blockName(block) : ''
  }
  const ofAll = computed(() => {
    const count = people.value
    if (count === undefined || count < 1) return undefined
    const { atCupboard } = place.value ?? {}
    return {
      lines: fetchLines(list.value, { people: count, nameOf }),
      // Without a place nobody knows what there is.
      short: place.value ? shortLines(list.value, count, place.value.cupboard) : [],
      words: fetchingWords(fetching(list.value, { people: count, atCupboard })),
    }
  })
  return { people, ofOne: computed(() => fetchLines(list.value, { nameOf })), ofAll }
}
