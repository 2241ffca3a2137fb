import { computed } from 'vue'
import type { ComputedRef, Ref } from 'vue'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import { theOne } from '#core/class'
import { usePeopleStore } from '#web/shared/people/people-store.ts'

/** The only one who comes to a planned class; undefined where it is not planned, or others come too. */
export function useTheOne(planned: Readonly<Ref<PlannedClass | undefined>>): ComputedRef<Person | undefined> {
  const people = usePeopleStore()
  return computed(() => planned.value && theOne(planned.value, people.people))
}
