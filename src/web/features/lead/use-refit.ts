import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import {
  freeUntilMs,
  inTheWay,
  isRefitted,
  lastChance,
  leftIn,
  movedBy,
  refitBook,
  toEndMs,
  toggled,
  waysOf,
} from '#core/lead'
import type { Conducted, Way } from '#core/lead'
import type { Timeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'

/** What stands open beside the class: the ways to make up time, what is left of it, or other devices. */
export type Panel = 'makeUp' | 'left' | 'devices'

/** Kept in sight at first; the others are a press away. */
const first: ReadonlySet<Way['way']> = new Set(['lessBetween', 'leaveOut', 'endLater', 'longer'])

/** What the ways are worked out from: the class as it is now, and what may be done with its blocks. */
function useWanted(conducted: Readonly<Ref<Conducted | undefined>>, timeline: Readonly<Ref<Timeline | undefined>>) {
  const own = useOwnStore()
  const document = computed(() => conducted.value?.start.document)
  const book = computed(() =>
    timeline.value && document.value ? refitBook(timeline.value, document.value, own.catalog) : undefined,
  )
  const wanted = computed(() =>
    conducted.value && book.value
      ? {
          ...{ plan: conducted.value.start.plan, state: conducted.value.state, book: book.value },
          ...{ endMs: toEndMs(conducted.value), freeUntilMs: freeUntilMs(conducted.value) },
        }
      : undefined,
  )
  return { book, wanted }
}

/** What could be done with the rest of a class that is led: the ways as they come out now, and what is left of it. */
export function useRefit(
  conducted: Readonly<Ref<Conducted | undefined>>,
  timeline: Readonly<Ref<Timeline | undefined>>,
  isBehind: Readonly<Ref<boolean>>,
  take: (way: Way) => void,
) {
  const panel = ref<Panel>()
  const hasMore = ref(false)
  const { book, wanted } = useWanted(conducted, timeline)
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
    /** The one pose that could still be left out now; only where it is told that the class is behind. */
    lastChance: computed(() => (wanted.value && isBehind.value ? lastChance(wanted.value) : undefined)),
    /** When the room has to be left, where the class would end later. */
    freeUntilMs: computed(() => {
      const { freeUntilMs: until } = wanted.value ?? {}
      return until !== undefined && panel.value === 'makeUp' && !all.value.some(({ way }) => way === 'endLater')
        ? until
        : undefined
    }),
    left: computed(() => (panel.value === 'left' && wanted.value ? leftIn(wanted.value) : [])),
    isRefitted: computed(() => wanted.value !== undefined && isRefitted(wanted.value.plan, wanted.value.state)),
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
    move(blockId: string, by: 1 | -1): void {
      const way = wanted.value && movedBy(wanted.value, blockId, by)
      if (way) take(way)
    },
    toggle(blockId: string): void {
      const way = wanted.value && toggled(wanted.value, blockId)
      if (way) take(way)
    },
  }
}
