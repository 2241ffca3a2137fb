import { computed, ref, watch } from 'vue'
import { bodyOfPerson, isLateInPregnancy } from '#core/class'
import type { Who } from '#core/figure'
import { sizedKinds } from '#core/props'
import { usualCupboard } from '#library/usual-cupboard'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { usePlacesStore } from './places-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { useTheOne } from './use-the-one.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'

const statureKey = 'zovrin.stature'
/** For whom set-ups are planned where nobody is known. */
export const usualStatureCm = 170

const lookedForBefore = Number(localStorage.getItem(statureKey))
const lookedFor = ref(lookedForBefore >= 120 && lookedForBefore <= 220 ? lookedForBefore : usualStatureCm)
watch(lookedFor, (cm) => localStorage.setItem(statureKey, String(cm)))
/** Whether set-ups are looked at for a body late in pregnancy, while this page is open. */
const lookedLate = ref(false)
/** The height somebody's set-ups are looked at with in place of their own, by the class they come to alone. */
const insteadOfTheirs = ref<{ readonly classId: string; readonly cm: number }>()

/** Who lies on the set-ups and what there is to lie on: the stature looked at, and the place with its cupboard. */
export function useHouse() {
  const own = useOwnStore()
  const session = useSessionStore()
  const places = usePlacesStore()
  const classes = usePlannedClassesStore()
  const planned = computed(() => session.document && classes.openFor(session.document.id))
  /** A class that is planned says where itself [settled A21]. */
  const plannedPlace = computed(() => planned.value?.placeId)
  const one = useTheOne(planned)
  /** The body of the one who comes, as it is noted on their page. */
  const theirs = computed(() => one.value && bodyOfPerson(one.value))
  const statureCm = computed({
    get: () => {
      const instead = insteadOfTheirs.value
      if (theirs.value && instead?.classId === planned.value?.id && instead) return instead.cm
      return theirs.value?.statureCm ?? lookedFor.value
    },
    set: (cm) => {
      if (theirs.value && planned.value) insteadOfTheirs.value = { classId: planned.value.id, cm }
      else lookedFor.value = cm
    },
  })
  /** The one who comes has told so: it is not looked away from. */
  const isTheirsLate = computed(() => one.value !== undefined && isLateInPregnancy(one.value))
  const lateInPregnancy = computed({
    get: () => isTheirsLate.value || lookedLate.value,
    set: (late) => (lookedLate.value = late),
  })
  /** Whose body the sums are made for: with another height than theirs, what was measured is not theirs either. */
  const who = computed((): Who => ({
    ...(theirs.value?.statureCm === statureCm.value ? theirs.value : { statureCm: statureCm.value }),
    ...(lateInPregnancy.value ? { lateInPregnancy: true } : {}),
  }))
  /** Where the session is held; where it does not say, the usual place, else the first there is. */
  const place = computed(
    () =>
      places.places.find(({ id }) => id === plannedPlace.value) ??
      places.places.find(({ id }) => id === session.document?.placeId) ??
      places.places.find(({ usual }) => usual) ??
      places.places[0],
  )
  /** The kinds in the sizes that were measured there; of several of a kind the first. */
  const kinds = computed(() => {
    const measured = (place.value?.cupboard ?? []).flatMap(({ kind, sizeMm }) => (sizeMm ? [[kind, sizeMm]] : []))
    return sizedKinds(own.catalog.propKinds, Object.fromEntries(measured.reverse()))
  })
  return {
    ...{ statureCm, lateInPregnancy, isTheirsLate, who, one },
    ...{ place, kinds },
    unit: computed(() => place.value?.lengthUnit ?? 'cm'),
    cupboard: computed(() => place.value?.cupboard ?? usualCupboard),
    /** What the sums of a set-up are made for. */
    lyingOn: computed(() => ({ ...who.value, kinds: kinds.value })),
    loadPlaces: places.load,
  }
}
