import { computed } from 'vue'
import { fetchedAlike, fetchedByAll, fetching, fetchList, leftOf, ledger } from '#core/class'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { fetchingWords, fetchLines, fetchLinesOfEach, shortLines } from '#words/fetching'
import { blockName } from '#words/blocks'
import { useHouse } from './use-house.ts'
import { useInstead } from './use-instead.ts'
import { useClass } from './use-class.ts'

/** What is fetched for a session by one person and by all who come, what is short of it, and how long that takes. */
export function useFetching(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { loadPlaces } = useHouse()
  const { planned, people, laid, groups, place, classes } = useClass(of)
  void loadPlaces()
  void classes.load()
  const { insteadIn } = useInstead(of)
  const laidBlocks = computed(() => [...new Set(laid.value.map(({ blockId }) => blockId))])
  const nameOf = (blockId: string): string => {
    const block = of()?.timeline.blocks.find((span) => span.block.block.id === blockId)?.block
    return block ? blockName(block) : ''
  }
  const lists = computed(() => groups.value.map((group) => ({ ...fetchList(group.laid), people: group.who.length })))
  const took = computed(() => fetching(lists.value, { atCupboard: place.value?.atCupboard }))
  /** Those who fetch the same, of as many those first who fetch what is planned; without people, whoever comes. */
  const alike = computed(() => {
    const all = fetchedAlike([{ ...fetchList(laid.value), people: 0 }, ...lists.value])
    return lists.value.length > 0 ? all.filter((one) => one.people > 0) : all
  })
  const each = computed(() => fetchLinesOfEach(alike.value, { nameOf }))
  const rows = computed(() =>
    ledger({ people: groups.value.map(({ who, laid: theirs }) => ({ count: who.length, laid: theirs })) }),
  )
  const ofAll = computed(() => {
    if (people.value === undefined || people.value < 1) return undefined
    return {
      lines: fetchLines(fetchedByAll(lists.value), { nameOf }),
      // Without a place nobody knows what there is.
      short: place.value ? shortLines(rows.value, leftOf(place.value, [])) : [],
      words: fetchingWords(took.value, planned.value),
      /** What some have in place of a set-up, block by block. */
      instead: laidBlocks.value.flatMap((id) => insteadIn(id).map((line) => `${nameOf(id)}, ${line}`)),
    }
  })
  return {
    planned,
    place,
    people,
    ofMost: computed(() => each.value.most),
    ofOthers: computed(() => each.value.others),
    ofEach: computed(() => [...each.value.most, ...each.value.others]),
    /** What most of those fetch who fetch anything, as it is said to all. */
    toSay: computed(
      () => alike.value.map((list) => fetchLines(list, { nameOf })).find((lines) => lines.length > 0) ?? [],
    ),
    ofAll,
    lists,
    took,
    rows,
  }
}
