<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { classWhen } from '#words/class-days'
import { conditionChoices, conditionWords } from '#words/people'
import { useNames } from '#web/shared/people/names.ts'
import AddChoice from '#web/shared/ui/AddChoice.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import { useWhoView } from './use-who-view.ts'

/** Who is expected: by name, without one, and what was told of some without a name. */
const { planned, people, classes, keep } = useWhoView()
const { called, covered } = useNames()

const coming = computed(() =>
  (planned.value?.people ?? []).flatMap(({ personId, away }, at) => {
    const person = people.people.find((one) => one.id === personId)
    return person ? [{ personId, isAway: away ?? false, name: called(person, at) }] : []
  }),
)
const others = computed(() => {
  const there = new Set(planned.value?.people.map(({ personId }) => personId))
  return people.people.flatMap((person, at) =>
    there.has(person.id) ? [] : [{ value: person.id, words: called(person, at) }],
  )
})
const setPeople = (make: (people: PlannedClass['people']) => PlannedClass['people']): void => {
  keep((now) => ({ ...now, people: make(now.people) }))
}
const addPerson = (personId: string): void => {
  setPeople((all) => [...all, { personId }])
}
function setAway(personId: string, isAway: boolean): void {
  setPeople((all) =>
    all.map((one) => {
      if (one.personId !== personId) return one
      const { away: _former, ...rest } = one
      return isAway ? { ...rest, away: true } : rest
    }),
  )
}
/** The last class before this one that people came to by name: of the same session, if there is one. */
const before = computed(() => {
  const now = planned.value
  if (!now) return undefined
  const earlier = classes.planned.filter((one) => one.id !== now.id && one.day <= now.day && one.people.length > 0)
  return earlier.findLast(({ sessionId }) => sessionId === now.sessionId) ?? earlier.at(-1)
})
function copyPeople(): void {
  const from = before.value
  if (!from) return
  setPeople((all) => [
    ...all,
    ...from.people.flatMap(({ personId }) => (all.some((one) => one.personId === personId) ? [] : [{ personId }])),
  ])
}

const needs = computed(() => planned.value?.needs ?? [])
const setNeeds = (make: (needs: NonNullable<PlannedClass['needs']>) => NonNullable<PlannedClass['needs']>): void => {
  keep((now) => {
    const { needs: former = [], ...rest } = now
    const made = make(former)
    const told = made.reduce((sum, { people: some }) => sum + some, 0)
    return { ...rest, guests: Math.max(rest.guests, told), ...(made.length > 0 ? { needs: made } : {}) }
  })
}
const addNeed = (id: string): void => {
  setNeeds((all) => [...all, { id: nanoid(8), condition: { id, severe: 'no' }, people: 1 }])
}
const told = computed(() => needs.value.reduce((sum, { people: some }) => sum + some, 0))
const setGuests = (guests: number): void => {
  keep((now) => ({ ...now, guests }))
}
</script>

<template>
  <section v-if="planned" class="comes">
    <h3>Who comes</h3>
    <ul>
      <li v-for="{ personId, isAway, name } in coming" :key="personId">
        <label :class="{ away: isAway }">
          <Checkbox binary :model-value="!isAway" @update:model-value="setAway(personId, !$event)" />
          <span>{{ name }}</span> <small v-if="isAway">stays away</small>
        </label>
        <Button
          text
          size="small"
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Take ${name} out of this class`"
          title="Take out of this class"
          @click="setPeople((all) => all.filter((one) => one.personId !== personId))"
        />
      </li>
    </ul>
    <AddChoice
      label="Add somebody"
      :options="others"
      :placeholder="covered ? 'Names are covered' : 'Choose by name…'"
      @add="addPerson"
    />
    <Button
      v-if="before"
      size="small"
      text
      severity="secondary"
      icon="pi pi-copy"
      :label="`The people of ${classWhen(before)}`"
      @click="copyPeople"
    />
    <div class="row">
      <NumberField label="Without a name" :value="planned.guests" :least="told" :most="500" @change="setGuests" />
      <Button
        size="small"
        severity="secondary"
        outlined
        icon="pi pi-plus"
        label="One more"
        @click="setGuests(planned.guests + 1)"
      />
    </div>
    <h3>What is known of some without a name</h3>
    <div v-for="need in needs" :key="need.id" class="row">
      <NumberField
        :label="conditionWords(need.condition.id).name"
        :value="need.people"
        :least="1"
        :most="100"
        @change="setNeeds((all) => all.map((one) => (one.id === need.id ? { ...one, people: $event } : one)))"
      />
      <Button
        text
        size="small"
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Take away ${conditionWords(need.condition.id).name}`"
        @click="setNeeds((all) => all.filter((one) => one.id !== need.id))"
      />
    </div>
    <AddChoice
      label="Add what somebody has"
      :options="conditionChoices"
      placeholder="Choose a condition…"
      @add="addNeed"
    />
  </section>
</template>

<style scoped>
.comes {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line-soft);
}
.comes > :not(button) {
  width: 100%;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
li label {
  display: flex;
  align-items: center;
  gap: 8px;
}
.away span {
  color: var(--ink-soft);
  text-decoration: line-through;
}
small {
  font-size: 14px;
  color: var(--ink-soft);
}
.row {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: end;
  gap: 10px;
}
</style>
