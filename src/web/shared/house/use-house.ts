import { computed, ref, shallowRef, watch } from 'vue'
import type { Place } from '#model/place'
import { sizedKinds } from '#core/props'
import { usualCupboard } from '#library/usual-cupboard'
import { listPlaces } from '#web/shared/api/places.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'

const statureKey = 'zovrin.stature'
const usualStature = 170

const kept = Number(localStorage.getItem(statureKey))
const statureCm = ref(kept >= 120 && kept <= 220 ? kept : usualStature)
watch(statureCm, (cm) => localStorage.setItem(statureKey, String(cm)))
const places = shallowRef<readonly Place[]>([])

/** Who lies on the set-ups and what there is to lie on: the stature looked at, and the place with its cupboard. */
export function useHouse() {
  const own = useOwnStore()
  const session = useSessionStore()
  /** Where the session is held; where it does not say, the first place there is. */
  const place = computed(() => places.value.find(({ id }) => id === session.document?.placeId) ?? places.value[0])
  /** The kinds in the sizes that were measured there. */
  const kinds = computed(() => {
    const measured = (place.value?.cupboard ?? []).flatMap(({ kind, sizeMm }) => (sizeMm ? [[kind, sizeMm]] : []))
    return sizedKinds(own.catalog.propKinds, Object.fromEntries(measured))
  })
  return {
    statureCm,
    place,
    kinds,
    unit: computed(() => place.value?.lengthUnit ?? 'cm'),
    cupboard: computed(() => place.value?.cupboard ?? usualCupboard),
    /** What the sums of a set-up are made for. */
    lyingOn: computed(() => ({ statureCm: statureCm.value, kinds: kinds.value })),
    async loadPlaces(): Promise<void> {
      const reply = await listPlaces()
      if (reply.kind === 'ok') places.value = reply.value
    },
  }
}
