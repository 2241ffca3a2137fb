import { createSharedComposable, useSessionStorage, watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Place } from '#model/place'
import type { SetUp, SetUpItem } from '#model/set-up'
import type { Figure } from '#model/figure'
import { assess } from '#core/comfort'
import type { ComfortFinding } from '#core/comfort'
import { measuresOf } from '#core/figure'
import { sizedKinds } from '#core/props'
import { finalRestPose, poseIn, setUpsFor } from '#core/session'
import { propKinds } from '#library/prop-kinds'
import { usualCupboard } from '#library/usual-cupboard'
import { listPlaces } from '#web/shared/api/places.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** One set-up of the session: where it is used, and the ways it can be done. */
export interface Used {
  /** The session's id and the block's: ids of blocks come again in other sessions. */
  readonly key: string
  readonly poseId: string
  readonly name: string
  readonly figure: Figure | undefined
  readonly withoutProps: string
  readonly base: string
  readonly choices: readonly SetUp[]
  /** The one the session names. */
  readonly wanted: string | undefined
}

const statureKey = 'zovrin.stature'
const usualStature = 170

const kept = Number(localStorage.getItem(statureKey))
const statureCm = ref(kept >= 120 && kept <= 220 ? kept : usualStature)
watch(statureCm, (cm) => localStorage.setItem(statureKey, String(cm)))
const chosenKey = ref<string>()
/** Kept while the window lives, over a reload too: what is tried out here is not lost by looking elsewhere. */
const chosenSetUp = useSessionStorage('zovrin.props.chosen', new Map<string, string>())
/** What was tried at a set-up, step by step; the last is what is shown. */
const tried = useSessionStorage('zovrin.props.tried', new Map<string, readonly (readonly SetUpItem[])[]>())
/** As many steps as can be taken back in a window [decided]. */
const mostSteps = 200
/** The other set-ups are looked through when the hands rest. */
const restMs = 200
const places = shallowRef<readonly Place[]>([])

/** The set-ups of the session that is open, the one that is looked at, and what the sums say of it. */
export const useProps = createSharedComposable(() => {
  const store = useSessionStore()
  const own = useOwnStore()

  async function loadPlaces(): Promise<void> {
    const reply = await listPlaces()
    if (reply.kind === 'ok') places.value = reply.value
  }
  /** The first place there is: a session does not say yet where it is held. */
  const place = computed(() => places.value[0])
  const unit = computed(() => place.value?.lengthUnit ?? 'cm')
  const cupboard = computed(() => place.value?.cupboard ?? usualCupboard)
  const kinds = computed(() =>
    sizedKinds(
      own.catalog.propKinds,
      Object.fromEntries((place.value?.cupboard ?? []).flatMap(({ kind, sizeMm }) => (sizeMm ? [[kind, sizeMm]] : []))),
    ),
  )

  const used = computed<readonly Used[]>(() =>
    (store.document?.blocks ?? []).flatMap((block): Used[] => {
      if (block.kind !== 'hold' && block.kind !== 'closing') return []
      const poseId = block.kind === 'hold' ? block.poseId : finalRestPose
      const pose = poseIn(own.catalog, poseId)
      if (!pose) return []
      const shipped = setUpsFor(own.catalog, poseId)
      const ownItems = block.kind === 'hold' ? block.setUpItems : undefined
      const mine: SetUp[] = ownItems
        ? [{ id: `${block.id} own`, poseId, name: 'As in this session', extent: 'full', items: ownItems }]
        : []
      const name = block.kind === 'closing' ? 'Final rest' : pose.names.english
      const wanted = block.kind === 'hold' ? block.setUpId : undefined
      return [
        {
          key: `${store.document?.id ?? ''} ${block.id}`,
          poseId,
          name,
          figure: pose.figure,
          withoutProps: pose.withoutProps,
          base: pose.base.enter,
          choices: [...mine, ...shipped],
          wanted: ownItems ? undefined : wanted,
        },
      ]
    }),
  )

  const chosen = computed(() => used.value.find(({ key }) => key === chosenKey.value) ?? used.value[0])
  const setUpOf = (one: Used): SetUp | undefined =>
    one.choices.find(({ id }) => id === (chosenSetUp.value.get(one.key) ?? one.wanted)) ?? one.choices[0]
  const keyOf = (one: Used): string => `${one.key} ${setUpOf(one)?.id ?? ''}`
  const itemsOf = (one: Used): readonly SetUpItem[] => tried.value.get(keyOf(one))?.at(-1) ?? setUpOf(one)?.items ?? []

  const setUp = computed(() => chosen.value && setUpOf(chosen.value))
  const items = computed(() => (chosen.value ? itemsOf(chosen.value) : []))
  const figure = computed(() => setUp.value?.figure ?? chosen.value?.figure)
  const isTried = computed(() => chosen.value !== undefined && (tried.value.get(keyOf(chosen.value))?.length ?? 0) > 0)

  const input = computed(
    () =>
      figure.value && {
        figure: figure.value,
        items: items.value,
        kinds: kinds.value,
        who: { statureCm: statureCm.value },
      },
  )
  const assessed = computed(() => input.value && assess(input.value))
  /** The last that could be drawn stays in view while a change cannot be. */
  const elevation = computed(() => (assessed.value?.elevation.ok ? assessed.value.elevation.value : undefined))
  const measures = computed(() => (figure.value && elevation.value ? measuresOf(figure.value, elevation.value) : []))
  const findings = computed(() => assessed.value?.findings ?? [])

  function put(next: readonly SetUpItem[]): void {
    // A field that is left as it was is no step.
    if (!chosen.value || JSON.stringify(next) === JSON.stringify(items.value)) return
    const key = keyOf(chosen.value)
    tried.value.set(key, [...(tried.value.get(key) ?? []), next].slice(-mostSteps))
  }
  function change(id: string, by: Partial<SetUpItem>): void {
    put(items.value.map((item) => (item.id === id ? tidied({ ...item, ...by }) : item)))
  }
  function remove(id: string): void {
    put(items.value.filter((item) => item.id !== id))
  }
  function undo(): void {
    if (!chosen.value) return
    const key = keyOf(chosen.value)
    tried.value.set(key, (tried.value.get(key) ?? []).slice(0, -1))
  }
  function asShipped(): void {
    const original = setUp.value?.items
    if (original && isTried.value) put(original)
  }

  /** What every set-up of the session wants looked at, for the foot line. */
  const toLookAt = shallowRef<readonly { readonly finding: ComfortFinding; readonly used: Used }[]>([])
  watchDebounced(
    () =>
      used.value.map((one) => ({
        used: one,
        figure: setUpOf(one)?.figure ?? one.figure,
        items: itemsOf(one),
        kinds: kinds.value,
        who: { statureCm: statureCm.value },
      })),
    (all) => {
      toLookAt.value = all.flatMap(({ used: one, figure: drawn, ...rest }) =>
        drawn
          ? assess({ figure: drawn, ...rest }).findings.flatMap((finding) =>
              finding.grade === 'tip' ? [] : [{ finding, used: one }],
            )
          : [],
      )
    },
    { debounce: restMs, immediate: true },
  )

  return {
    store,
    used,
    chosen,
    chosenKey,
    chosenSetUp,
    setUp,
    setUpOf,
    itemsOf,
    items,
    figure,
    isTried,
    statureCm,
    place,
    unit,
    cupboard,
    kinds,
    input,
    elevation,
    measures,
    findings,
    toLookAt,
    change,
    remove,
    put,
    undo,
    asShipped,
    loadPlaces,
  }
})

/** A change of kind leaves behind folds and turns that mean nothing for it. */
function tidied(item: SetUpItem): SetUpItem {
  const { folds, turn, ...rest } = item
  const isSheet = propKinds[item.kind].shape === 'sheet'
  return { ...rest, ...(isSheet && folds ? { folds } : {}), ...(turn ? { turn } : {}) }
}
