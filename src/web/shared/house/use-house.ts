import { computed, ref, watch } from 'vue'
import { sizedKinds } from '#core/props'
import { usualCupboard } from '#library/usual-cupboard'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { usePlacesStore } from './places-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'

const statureKey = 'zovrin.stature'
const usualStature = 170

const kept = Number(localStorage.getItem(statureKey))
const statureCm = ref(kept >= 120 && kept <= 220 ? kept : usualStature)
watch(statureCm, (cm) => localStorage.setItem(statureKey, String(cm)))

/** Who lies on the set-ups and what there is to lie on: the stature looked at, and the place with its cupboard. */
export function useHouse() {
  const own = useOwnStore()
  const session = useSessionStore()
  const kept = usePlacesStore()
  const classes = usePlannedClassesStore()
  /** A class that is planned says where itself [settled A21]. */
  const plannedPlace = computed(() => session.document && classes.openFor(session.document.id)?.placeId)
  /** Where the session is held; where it does not say, the usual place, else the first there is. */
  const place = computed(
    () =>
      kept.places.find(({ id }) => id === plannedPlace.value) ??
      kept.places.find(({ id }) => id === session.document?.placeId) ??
      kept.places.find(({ usual }) => usual) ??
      kept.places[0],
  )
  /** The kinds in the sizes that were measured there; of several of a kind the first. */
  const kinds = computed(() => {
    const measured = (place.value?.cupboard ?? []).flatMap(({ kind, sizeMm }) => (sizeMm ? [[kind, sizeMm]] : []))
    return sizedKinds(own.catalog.propKinds, Object.fromEntries(measured.reverse()))
  })
  return {
    statureCm,
    place,
    kinds,
    unit: computed(() => place.value?.lengthUnit ?? 'cm'),
    cupboard: computed(() => place.value?.cupboard ?? usualCupboard),
    /** What the sums of a set-up are made for. */
    lyingOn: computed(() => ({ statureCm: statureCm.value, kinds: kinds.value })),
    loadPlaces: kept.load,
  }
}
