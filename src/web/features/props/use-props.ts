import { createSharedComposable, watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { assess } from '#core/comfort'
import type { ComfortFinding } from '#core/comfort'
import { measuresOf } from '#core/figure'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useSetUpEdits } from './use-set-up-edits.ts'
import { usedIn } from './used.ts'
import type { Used } from './used.ts'

const chosenKey = ref<string>()

/** The set-ups of the session that is open, the one that is looked at, and what the sums say of it. */
export const useProps = createSharedComposable(() => {
  const store = useSessionStore()
  const own = useOwnStore()
  const house = useHouse()
  const used = computed(() => (store.document ? usedIn(store.document, own.catalog, chosenKey.value) : []))
  const chosen = computed(() => used.value.find(({ key }) => key === chosenKey.value) ?? used.value[0])
  const edits = useSetUpEdits(chosen, house.kinds)

  const inputOf = ({ figure, items }: Used) =>
    figure && { figure, items, kinds: house.kinds.value, who: { statureCm: house.statureCm.value } }
  const input = computed(() => chosen.value && inputOf(chosen.value))
  const assessed = computed(() => input.value && assess(input.value))
  /** The last that could be drawn stays in view while a change cannot be. */
  const elevation = computed(() => (assessed.value?.elevation.ok ? assessed.value.elevation.value : undefined))
  return {
    ...{ store, used, chosen, chosenKey, input, elevation },
    ...house,
    ...edits,
    figure: computed(() => input.value?.figure),
    measures: computed(() => (input.value && elevation.value ? measuresOf(input.value.figure, elevation.value) : [])),
    findings: computed(() => assessed.value?.findings ?? []),
    toLookAt: useToLookAt(() => used.value.map((one) => [one, inputOf(one)] as const)),
  }
})

/** The other set-ups are looked through when the hands rest. */
const restMs = 200

/** What every set-up of the session wants looked at, for the foot line. */
function useToLookAt(all: () => readonly (readonly [Used, Parameters<typeof assess>[0] | undefined])[]) {
  const toLookAt = shallowRef<readonly { readonly finding: ComfortFinding; readonly used: Used }[]>([])
  watchDebounced(
    all,
    (each) => {
      toLookAt.value = each.flatMap(([used, input]) =>
        (input ? assess(input).findings : []).flatMap((finding) =>
          finding.grade === 'tip' ? [] : [{ finding, used }],
        ),
      )
    },
    { debounce: restMs, immediate: true },
  )
  return toLookAt
}
