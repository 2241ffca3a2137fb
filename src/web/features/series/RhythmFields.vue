<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Checkbox from 'primevue/checkbox'
import { computed, onMounted, useId } from 'vue'
import { mostWeeks } from '#model/limits'
import type { Weekday } from '#model/series'
import { weekdays } from '#model/series'
import { weekdayNames } from '#words/series'
import NameField from '#web/shared/ui/NameField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { useNames } from '#web/shared/people/names.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useSeries } from './use-series.ts'

/** When a series is: its days of the week, the hour, the first day and how many weeks; and where. */
const { chosen, change } = useSeries()
const places = usePlacesStore()
const people = usePeopleStore()
onMounted(() => people.load())
const { called } = useNames()
const id = useId()
const placeChoices = computed(() => [
  { value: '', words: 'no place yet' },
  ...places.places.map((place) => ({ value: place.id, words: place.name })),
])
/** A series has one day at least: the last one stays. */
function tick(day: Weekday, on: boolean): void {
  const now = weekdays.filter((one) => (one === day ? on : (chosen.value?.weekdays.includes(one) ?? false)))
  if (now.length > 0) void change({ weekdays: now })
}
/** Somebody by name comes to the series, or no longer. */
function comes(personId: string, on: boolean): void {
  const others = (chosen.value?.people ?? []).filter((one) => one !== personId)
  void change({ people: on ? [...others, personId] : others })
}
function setFirst(event: Event): void {
  const firstDay = textOf(event)
  if (firstDay !== '') void change({ firstDay })
}
</script>

<template>
  <section v-if="chosen" class="rhythm" aria-labelledby="rhythm-title">
    <h2 id="rhythm-title">The series</h2>
    <NameField label="Name" :name="chosen.name" @change="change({ name: $event })" />
    <fieldset>
      <legend>Days</legend>
      <label v-for="day in weekdays" :key="day">
        <Checkbox
          binary
          :model-value="chosen.weekdays.includes(day)"
          :disabled="chosen.weekdays.length === 1 && chosen.weekdays.includes(day)"
          @update:model-value="tick(day, $event)"
        />
        {{ weekdayNames[day].slice(0, 3) }}
      </label>
    </fieldset>
    <div class="row">
      <div>
        <label :for="`${id}-first`">First day</label>
        <InputText :id="`${id}-first`" type="date" fluid :model-value="chosen.firstDay" @change="setFirst" />
      </div>
      <div>
        <label :for="`${id}-hour`">Begins</label>
        <InputText
          :id="`${id}-hour`"
          type="time"
          fluid
          :model-value="chosen.startsAt ?? ''"
          @change="change({ startsAt: textOf($event).slice(0, 5) || undefined })"
        />
      </div>
      <NumberField
        label="Weeks"
        :value="chosen.weeks"
        :least="1"
        :most="mostWeeks"
        @change="change({ weeks: $event })"
      />
      <NumberField
        label="Every so many weeks"
        :value="chosen.everyWeeks ?? 1"
        :least="1"
        :most="8"
        @change="change({ everyWeeks: $event === 1 ? undefined : $event })"
      />
    </div>
    <SelectField
      label="Place"
      :value="chosen.placeId ?? ''"
      :options="placeChoices"
      @change="change({ placeId: $event || undefined, roomId: undefined })"
    />
    <details v-if="people.people.length > 0">
      <summary>
        Who comes: {{ chosen.people.length === 0 ? 'nobody by name' : `${chosen.people.length} by name` }}
      </summary>
      <label v-for="(person, at) in people.people" :key="person.id" class="person">
        <Checkbox
          binary
          :model-value="chosen.people.includes(person.id)"
          @update:model-value="comes(person.id, $event)"
        />
        {{ called(person, at) }}
      </label>
    </details>
    <NumberField
      label="And without a name"
      :value="chosen.guests"
      :least="0"
      :most="500"
      @change="change({ guests: $event })"
    />
  </section>
</template>

<style scoped>
.person {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
  overflow-wrap: anywhere;
}
summary {
  cursor: pointer;
}
.rhythm {
  display: grid;
  gap: 8px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend,
div > label {
  padding: 0;
  font-size: 14px;
  color: var(--ink-soft);
}
fieldset label {
  display: flex;
  align-items: center;
  gap: 5px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: end;
}
</style>
