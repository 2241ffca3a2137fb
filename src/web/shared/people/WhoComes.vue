<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { onMounted } from 'vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import { useNames } from './names.ts'
import { usePeopleStore } from './people-store.ts'

/** Who comes to all of something: people by name, ticked, and how many without one. */
const props = defineProps<{ people: readonly string[]; guests: number }>()
const emit = defineEmits<{ people: [ids: string[]]; guests: [count: number] }>()
const store = usePeopleStore()
onMounted(() => store.load())
const { called } = useNames()
/** Somebody by name comes, or no longer. */
function tick(personId: string, on: boolean): void {
  const others = props.people.filter((one) => one !== personId)
  emit('people', on ? [...others, personId] : others)
}
</script>

<template>
  <details v-if="store.people.length > 0">
    <summary>Who comes: {{ people.length === 0 ? 'nobody by name' : `${people.length} by name` }}</summary>
    <label v-for="(person, at) in store.people" :key="person.id">
      <Checkbox binary :model-value="people.includes(person.id)" @update:model-value="tick(person.id, $event)" />
      {{ called(person, at) }}
    </label>
  </details>
  <NumberField label="And without a name" :value="guests" :least="0" :most="500" @change="emit('guests', $event)" />
</template>

<style scoped>
label {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
  overflow-wrap: anywhere;
}
summary {
  cursor: pointer;
}
</style>
