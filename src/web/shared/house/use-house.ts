import { computed, ref, shallowRef, watch } from 'vue'
import type { Place } from '#model/place'
import { sizedKinds } from '#core/props'
import { usualCupboard } from '#library/usual-cupboard'
import { listPlaces } from '#web/shared/api/places.ts'
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
  /** The first place there is: a session does not say yet where it is held. */
  const place = computed(() => places.value[0])
  return {
    statureCm,
    place,
    unit: computed(() => place.value?.lengthUnit ?? 'cm'),
    cupboard: computed(() => place.value?.cupboard ?? usualCupboard),
    /** The kinds in the sizes that were measured there. */
    kinds: computed(() => {
      const measured = (place.value?.cupboard ?? []).flatMap(({ kind, sizeMm }) => (sizeMm ? [[kind, sizeMm]] : []))
      return sizedKinds(own.catalog.propKinds, Object.fromEntries(measured))
    }),
    async loadPlaces(): Promise<void> {
      const reply = await listPlaces()
      if (reply.kind === 'ok') places.value = reply.value
    },
  }
}
