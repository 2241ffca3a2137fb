<script setup lang="ts">
import Button from 'primevue/button'
import type { RoundsSection, Station } from '#model/section'
import NumberField from '#web/shared/ui/NumberField.vue'
import LineField from './LineField.vue'

/** Places for the hands in their order, each with its rounds. */
const props = defineProps<{ section: RoundsSection }>()
const emit = defineEmits<{ change: [stations: Station[]] }>()
const all = (): Station[] => props.section.stations ?? []
const put = (at: number, fields: Partial<Station>): void => {
  emit(
    'change',
    all().map((station, index) => (index === at ? { ...station, ...fields } : station)),
  )
}
</script>

<template>
  <ol class="stations" aria-label="Places for the hands">
    <li v-for="(station, index) in section.stations" :key="index">
      <LineField
        :label="`Place ${String(index + 1)}`"
        :value="station.place"
        needed
        @change="put(index, { place: $event })"
      />
      <NumberField
        label="Rounds there"
        :value="station.rounds"
        :least="1"
        :most="60"
        @change="put(index, { rounds: $event })"
      />
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Take out ${station.place}`"
        :disabled="section.stations?.length === 1"
        @click="emit('change', all().toSpliced(index, 1))"
      />
    </li>
    <li>
      <Button
        size="small"
        text
        severity="secondary"
        label="Another place"
        :disabled="(section.stations?.length ?? 0) >= 12"
        @click="emit('change', [...all(), { place: 'Another place', rounds: all()[0]?.rounds ?? 5 }])"
      />
    </li>
  </ol>
</template>

<style scoped>
.stations {
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px auto;
  gap: 10px;
  align-items: end;
}
</style>
