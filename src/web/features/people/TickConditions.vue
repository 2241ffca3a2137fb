<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import { conditionChoices, conditionWords } from '#words/people'
import { usePeople } from './use-people.ts'

/** All there is to ask, to be ticked in from a form on paper: in the order of the form. */
const { chosen, addCondition, removeCondition } = usePeople()
const told = computed(() => new Set(chosen.value?.conditions.map(({ id }) => id)))
function tick(id: string, isTold: boolean): void {
  if (isTold) addCondition(id)
  else removeCondition(id)
}
</script>

<template>
  <details>
    <summary>Tick in what they ticked on paper</summary>
    <ul>
      <li v-for="{ value, words } in conditionChoices" :key="value">
        <label>
          <Checkbox binary :model-value="told.has(value)" @update:model-value="tick(value, $event)" />
          <span :title="conditionWords(value).asks">{{ words }}</span>
        </label>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
ul {
  columns: 2;
  margin-top: 8px;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 30px;
  break-inside: avoid;
  line-height: 1.2;
}
</style>
