import { createSharedComposable, watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { setUpFindings } from '#core/checks'
import type { SetUpNoticed } from '#core/checks'
import type { ForHeight } from '#core/class'
import { assess } from '#core/comfort'
import { measuresOf } from '#core/figure'
import type { Who } from '#core/figure'
import { withSetAside } from '#core/finding'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useSetUpEdits } from './use-set-up-edits.ts'
import { usedIn } from './used.ts'

/** Of another height what was measured is not theirs; that a belly is there is. */
const lateOnly = ({ lateInPregnancy }: Who): Pick<Who, 'lateInPregnancy'> => ({ lateInPregnancy })

const chosenKey = ref<string>()
/** The heights of a class that are looked at in place of the plan, in the set-up they belong to. */
const lookedAt = shallowRef<ForHeight>()

/** The set-ups of the session that is open, the one that is looked at, and what the sums say of it. */
export const useProps = createSharedComposable(() => {
  const store = useSessionStore()
  const own = useOwnStore()
  const house = useHouse()
  const used = computed(() => (store.document ? usedIn(store.document, own.catalog, chosenKey.value) : []))
  const chosen = computed(() => used.value.find(({ key }) => key === chosenKey.value) ?? used.value[0])
  const edits = useSetUpEdits(chosen, house.kinds)

  const looked = computed(() => (lookedAt.value?.blockId === chosen.value?.block.id ? lookedAt.value : undefined))
  // What is looked at was for the set-up as it lay.
  watch([chosenKey, edits.items], () => (lookedAt.value = undefined))

  const input = computed(
    () =>
      chosen.value?.figure && {
        ...{ figure: chosen.value.figure, items: edits.items.value, kinds: house.kinds.value },
        who: house.who.value,
      },
  )
  /** What the picture shows: the set-up as it is planned, or as it lies for the tallest of those looked at. */
  const pictured = computed(() => {
    const { items, mostCm } = looked.value ?? {}
    return input.value && items && mostCm !== undefined
      ? { ...input.value, items, who: { ...lateOnly(input.value.who), statureCm: mostCm } }
      : input.value
  })
  const assessed = computed(() => input.value && assess(input.value))
  /** The last that could be drawn stays in view while a change cannot be. */
  const elevation = computed(() => (assessed.value?.elevation.ok ? assessed.value.elevation.value : undefined))
  const picture = computed(() => {
    if (pictured.value === input.value) return elevation.value
    const other = pictured.value && assess(pictured.value).elevation
    return other?.ok ? other.value : elevation.value
  })
  return {
    ...{ store, used, chosen, chosenKey, input, elevation, picture, looked, lookedAt },
    ...house,
    ...edits,
    figure: computed(() => input.value?.figure),
    measures: computed(() => (input.value && picture.value ? measuresOf(input.value.figure, picture.value) : [])),
    findings: computed(() => assessed.value?.findings ?? []),
    toLookAt: useToLookAt(),
  }
})

/** The other set-ups are looked through when the hands rest. */
const restMs = 200

/** What the session's set-ups want looked at, for the foot line: counted as Plan counts it, without what was set aside. */
function useToLookAt() {
  const store = useSessionStore()
  const own = useOwnStore()
  const { lyingOn } = useHouse()
  const found = shallowRef<readonly SetUpNoticed[]>([])
  watchDebounced(
    () => [store.timeline, own.catalog, lyingOn.value] as const,
    ([timeline, catalog, on]) => {
      found.value = timeline ? setUpFindings(timeline, catalog, on) : []
    },
    { debounce: restMs, immediate: true },
  )
  return computed(() =>
    store.document
      ? withSetAside(found.value, store.document).flatMap(({ finding, aside }) => (aside ? [] : [finding]))
      : [],
  )
}
