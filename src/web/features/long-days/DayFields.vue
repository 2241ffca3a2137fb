<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, useId } from 'vue'
import { saveCalendar } from '#web/shared/house/class-calendar.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import WhoComes from '#web/shared/people/WhoComes.vue'
import NameField from '#web/shared/ui/NameField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useLongDays } from './use-long-days.ts'

/** When and where the day is, and who comes. */
const { chosen, change } = useLongDays()
const places = usePlacesStore()
const id = useId()
const placeChoices = computed(() => [
  { value: '', words: 'no place yet' },
  ...places.places.map((place) => ({ value: place.id, words: place.name })),
])
function setStart(event: Event): void {
  const startsAt = textOf(event).slice(0, 5)
  if (startsAt !== '') void change({ startsAt })
}
</script>

<template>
  <section v-if="chosen" class="day-fields" aria-labelledby="day-fields">
    <h2 id="day-fields">The day</h2>
    <NameField label="Name" :name="chosen.name" @change="change({ name: $event })" />
    <div class="row">
      <div>
        <label :for="`${id}-day`">Day</label>
        <InputText
          :id="`${id}-day`"
          type="date"
          fluid
          :model-value="chosen.day ?? ''"
          @change="change({ day: textOf($event) || undefined })"
        />
      </div>
      <div>
        <label :for="`${id}-hour`">Begins</label>
        <InputText :id="`${id}-hour`" type="time" fluid :model-value="chosen.startsAt" @change="setStart" />
      </div>
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
    <Button
      v-if="chosen.day !== undefined"
      class="save"
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-download"
      label="Save as calendar"
      @click="saveCalendar(chosen.name, { longDays: [chosen] })"
    />
  </section>
</template>

<style scoped>
.day-fields {
  display: grid;
  gap: 8px;
}
h2 {
  margin: 0;
}
.save {
  justify-self: start;
}
label {
  font-size: 14px;
  color: var(--ink-soft);
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
