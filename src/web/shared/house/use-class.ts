import { useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import { comingTo, guestsOf, laidByPeople, laidIn, roomOf, stillTaken, thingsOf } from '#core/class'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useForms } from './use-forms.ts'
import { useHouse } from './use-house.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** For how many people a session is looked at in this window where no class of it is planned, by its id. */
const counts = useSessionStorage('zovrin.people', new Map<string, number>())

/** The class a session is looked at for: the planned one, or so many people; with what lies at everybody's mat. */
export function useClass(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const classes = usePlannedClassesStore()
  const { place } = useHouse()
  const sessionId = computed(() => of()?.document.id ?? '')
  const planned = computed(() => classes.openFor(sessionId.value))
  const people = computed({
    get: () => (planned.value ? comingTo(planned.value).length : counts.value.get(sessionId.value)),
    set: (count) => {
      const now = planned.value
      if (now) {
        const named = comingTo({ ...now, guests: 0 }).length
        void classes.put({ ...now, guests: Math.max(0, (count ?? 0) - named) })
      } else if (count === undefined) counts.value.delete(sessionId.value)
      else counts.value.set(sessionId.value, count)
    },
  })
  const who = computed(() => (planned.value ? comingTo(planned.value) : guestsOf(people.value ?? 0)))
  /** What lies at a mat with nobody's exception. */
  const laid = computed(() => {
    const now = of()
    return now ? laidIn(now.timeline) : []
  })
  /** What some have of a set-up otherwise, because of their height. */
  const forHeight = computed(() => {
    const { setUps = [] } = planned.value ?? {}
    return setUps.length === 0 ? [] : stillTaken(setUps, laid.value)
  })
  /** What some have in place of a set-up. */
  const taken = computed(() => {
    const { substitutes = [] } = planned.value ?? {}
    // Mostly there are none, and what lies there need not be known for that.
    return substitutes.length === 0 ? [] : stillTaken(substitutes, laid.value)
  })
  const forms = useForms(() => {
    const now = of()
    return now && planned.value && { ...now, planned: planned.value }
  })
  // What is there in place of too little stands before what a height asks for, and what one lies on in another form before both.
  const groups = computed(() =>
    laidByPeople(laid.value, who.value, [...forHeight.value, ...taken.value, ...forms.value.laid]),
  )
  const known = usePeopleStore()
  const atHome = computed(() => thingsOf(who.value, known.people))
  const room = computed(() => place.value && roomOf(place.value, planned.value?.roomId))
  return { planned, people, who, laid, taken, forHeight, forms, groups, atHome, place, room, classes }
}
