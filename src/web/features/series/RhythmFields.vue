<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Checkbox from 'primevue/checkbox'
import { computed, useId } from 'vue'
import { mostWeeks } from '#model/limits'
import type { Weekday } from '#model/series'
import { weekdays } from '#model/series'
import { weekdayNames } from '#words/series'
import NameField from '#web/shared/ui/NameField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import WhoComes from '#web/shared/people/WhoComes.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useSeries } from './use-series.ts'

/** When a series is: its days of the week, the hour, the first day and how many weeks; and where. */
const { chosen, change } = useSeries()
const places = usePlacesStore()
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
    <WhoComes
      :people="chosen.people"
      :guests="chosen.guests"
      @people="change({ people: $event })"
      @guests="change({ guests: $event })"
    />
  </section>
</template>

<style scoped>
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
