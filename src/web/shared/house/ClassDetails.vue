<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, shallowRef } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { withFields } from '#core/session'
import { keysOf } from '#core/units'
import { classWhen } from '#words/class-days'
import { fetchingNames } from '#words/fetching'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import HandOver from './HandOver.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** When and where a planned class is, and how its things come to the mats. */
const props = defineProps<{ planned: PlannedClass | undefined }>()
const classes = usePlannedClassesStore()
const places = usePlacesStore()

const place = computed(() => places.places.find(({ id }) => id === props.planned?.placeId))
const placeChoices = computed(() => places.places.map(({ id, name }) => ({ value: id, words: name })))
const roomChoices = computed(() => [
  { value: '', words: 'the largest room' },
  ...(place.value?.rooms ?? []).map(({ id, name }) => ({ value: id, words: name })),
])
const fetchingChoices = keysOf(fetchingNames).map((value) => ({ value, words: fetchingNames[value] }))

function change(by: { readonly [K in keyof PlannedClass]?: PlannedClass[K] | undefined }): void {
  if (props.planned) void classes.put(withFields<PlannedClass>(props.planned, by))
}
const textOf = (event: Event): string => (event.target instanceof HTMLInputElement ? event.target.value : '')
function setDay(event: Event): void {
  // A date that is only half typed is none yet.
  const day = textOf(event)
  if (day !== '') change({ day })
}

/** What was taken away last, to be brought back. */
const gone = shallowRef<PlannedClass>()
async function remove(): Promise<void> {
  const { planned } = props
  if (planned && (await classes.remove(planned.id))) gone.value = planned
}
async function bringBack(): Promise<void> {
  const { value } = gone
  if (!value || !(await classes.put(value))) return
  classes.openWith(value.sessionId, value.id)
  gone.value = undefined
}
</script>

<template>
  <div v-if="planned" class="details">
    <div class="row">
      <div>
        <label for="class-day">Day</label>
        <InputText id="class-day" type="date" fluid :model-value="planned.day" @change="setDay" />
      </div>
      <div>
        <label for="class-time">Begins</label>
        <InputText
          id="class-time"
          type="time"
          fluid
          :model-value="planned.startsAt ?? ''"
          @change="change({ startsAt: textOf($event).slice(0, 5) || undefined })"
        />
      </div>
    </div>
    <SelectField
      v-if="placeChoices.length > 1"
      label="Place"
      :value="planned.placeId"
      :options="placeChoices"
      @change="change({ placeId: $event, roomId: undefined })"
    />
    <SelectField
      v-if="roomChoices.length > 2"
      label="Room"
      :value="planned.roomId ?? ''"
      :options="roomChoices"
      @change="change({ roomId: $event || undefined })"
    />
    <SelectField
      label="Things are fetched"
      :value="planned.fetching ?? 'talk'"
      :options="fetchingChoices"
      @change="change({ fetching: $event })"
    />
    <HandOver :key="planned.id" :planned="planned" />
    <Button
      size="small"
      text
      severity="secondary"
      icon="pi pi-times"
      :label="planned.handedFrom?.teacherId ? `Give it back to ${planned.handedFrom.name}` : 'Take this class away'"
      @click="remove"
    />
  </div>
  <p v-if="gone" class="gone" role="status">
    {{ classWhen(gone) }} {{ gone.handedFrom?.teacherId ? `given back to ${gone.handedFrom.name}` : 'taken away' }}.
    <Button
      v-if="!gone.handedFrom"
      size="small"
      text
      severity="secondary"
      icon="pi pi-undo"
      label="Bring it back"
      @click="bringBack"
    />
  </p>
</template>

<style scoped>
.details {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.details > * {
  max-width: 100%;
}
.details > :not(button) {
  width: 100%;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
@media print {
  .details {
    display: none;
  }
}
</style>
