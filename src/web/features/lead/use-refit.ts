import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { LedStart } from '#model/led-class'
import { inTheWay, leadPlan, leftIn, refitBook, toEndMs, toggled, waysOf } from '#core/lead'
import type { Conducted, Way } from '#core/lead'
import { compileTimeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'

/** What stands open beside the class: the ways to make up time, or what is left of it. */
export type Panel = 'makeUp' | 'left'

/** Kept in sight at first; the others are a press away. */
const first: ReadonlySet<Way['way']> = new Set(['lessBetween', 'leaveOut', 'endLater', 'longer'])

/** What may be done with the blocks of a class, from the session as it is led; nothing where the shelf is not what it was on the day. */
function useBook(start: Readonly<Ref<LedStart | undefined>>) {
  const own = useOwnStore()
  return computed(() => {
    if (!start.value) return undefined
    const { document, plan } = start.value
    const compiled = compileTimeline(document, own.catalog)
    if (!compiled.ok || leadPlan(compiled.value, {}).segments.length !== plan.segments.length) return undefined
    return refitBook(compiled.value, document, own.catalog)
  })
}

/** What could be done with the rest of a class that is led: the ways as they come out now, and what is left of it. */
export function useRefit(conducted: Readonly<Ref<Conducted | undefined>>, take: (way: Way) => void) {
  const panel = ref<Panel>()
  const hasMore = ref(false)
  const start = computed(() => conducted.value?.start)
  const book = useBook(start)
  const wanted = computed(() =>
    conducted.value && book.value
      ? {
          ...{ plan: conducted.value.start.plan, state: conducted.value.state, book: book.value },
          endMs: toEndMs(conducted.value),
        }
      : undefined,
  )
  const all = computed(() => (panel.value === 'makeUp' && wanted.value ? waysOf(wanted.value) : []))
  const ways = computed(() => (hasMore.value ? all.value : all.value.filter(({ way }) => first.has(way))))
  const close = (): void => {
    panel.value = undefined
    hasMore.value = false
  }
  return {
    ...{ panel, ways, close },
    isKnown: computed(() => book.value !== undefined),
    hasMore: computed(() => ways.value.length < all.value.length),
    more: (): void => {
      hasMore.value = true
    },
    /** The one that is offered first: what loses least and comes to the end, else to end later. */
    suggested: computed(() => ways.value.find(({ fits }) => fits) ?? ways.value.find(({ way }) => way === 'endLater')),
    stands: computed(() =>
      wanted.value && panel.value === 'makeUp' && !all.value.some(({ fits }) => fits) ? inTheWay(wanted.value) : [],
    ),
    left: computed(() => (panel.value === 'left' && wanted.value ? leftIn(wanted.value) : [])),
    isRefitted: computed(() => {
      const { state, start: from } = conducted.value ?? {}
      return (
        state !== undefined &&
        (state.leaves.length > 0 ||
          state.saidEndMs !== null ||
          state.set.some((ms, index) => ms !== from?.plan.segments[index]?.lengthMs))
      )
    }),
    show(which: Panel): void {
      if (panel.value === which) close()
      else panel.value = which
    },
    /** Takes a way by its place among those that are shown. */
    takeAt(at: number): void {
      const way = ways.value[at]
      if (!way) return
      take(way)
      close()
    },
    toggle(blockId: string): void {
      const way = wanted.value && toggled(wanted.value, blockId)
      if (way) take(way)
    },
  }
}
