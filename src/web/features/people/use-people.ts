import { createSharedComposable } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Condition, Person } from '#model/person'
import { withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { dayOf } from '#words/class-days'
import { ports } from '#web/shared/ports.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'

const today = (): string => dayOf(ports().epochMs())

/** Every change of somebody's page. */
export function personEdits(chosen: Readonly<Ref<Person | undefined>>) {
  const store = usePeopleStore()
  const change = (by: FieldsOf<Person>): void => {
    if (chosen.value) void store.put(withFields<Person>(chosen.value, by))
  }
  const setConditions = (make: (told: readonly Condition[]) => readonly Condition[]): void => {
    if (chosen.value) change({ conditions: [...make(chosen.value.conditions)] })
  }
  return {
    ...{ change, today },
    addCondition: (id: string): void => {
      setConditions((told) => [...told, { id, severe: 'no', askedOn: today() }])
    },
    /** What was told of a condition otherwise. */
    setCondition: (id: string, by: FieldsOf<Condition>): void => {
      setConditions((told) => told.map((one) => (one.id === id ? withFields<Condition>(one, by) : one)))
    },
    removeCondition: (id: string): void => {
      setConditions((told) => told.filter((one) => one.id !== id))
    },
  }
}

/** The person whose page is open, and every change of it. */
export const usePeople = createSharedComposable(() => {
  const store = usePeopleStore()
  const route = useRoute()
  const router = useRouter()
  const chosen = computed(() => store.people.find(({ id }) => id === route.params['id']))
  return {
    ...{ store, chosen, ...personEdits(chosen) },
    choose: (id: string) => router.replace({ name: 'people', params: { id } }),
    async add(name: string): Promise<void> {
      const person: Person = { id: nanoid(), name, conditions: [], consents: [] }
      const written = store.put(person)
      await router.replace({ name: 'people', params: { id: person.id } })
      await written
    },
    /** Adds those of a list, one after the other. */
    addListed: (listed: readonly Omit<Person, 'id' | 'conditions' | 'consents'>[]) =>
      Promise.all(listed.map((one) => store.put({ ...one, id: nanoid(), conditions: [], consents: [] }))),
    async remove(): Promise<void> {
      if (chosen.value && (await store.remove(chosen.value.id))) await router.replace({ name: 'people' })
    },
  }
})
