<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { propKinds } from '#model/prop'
import type { PropKind } from '#model/prop'
import { propNames } from '#words/props'
import NumberField from '#web/shared/ui/NumberField.vue'

/** Props by kind and count, per person. */
interface Counted {
  kind: PropKind
  count: number
}
const list = defineModel<Counted[]>({ required: true })
const kinds = propKinds.map((value) => ({ value, words: propNames[value].one }))

function set(index: number, change: Partial<Counted>): void {
  list.value = list.value.map((prop, at) => (at === index ? { ...prop, ...change } : prop))
}
const add = () => {
  const kind = propKinds.find((one) => !list.value.some((prop) => prop.kind === one)) ?? 'blanket'
  list.value = [...list.value, { kind, count: 1 }]
}
const drop = (index: number) => {
  list.value = list.value.filter((_, at) => at !== index)
}
</script>

<template>
  <ul>
    <li v-for="(prop, index) in list" :key="index">
      <NumberField
        hide-label
        :label="`How many, prop ${index + 1}`"
        :value="prop.count"
        :least="1"
        :most="20"
        @change="set(index, { count: $event })"
      />
      <Select
        :aria-label="`Kind of prop ${index + 1}`"
        fluid
        :model-value="prop.kind"
        :options="kinds"
        option-label="words"
        option-value="value"
        @update:model-value="set(index, { kind: $event })"
      />
      <Button
        text
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Remove prop ${index + 1}`"
        @click="drop(index)"
      />
    </li>
  </ul>
  <Button v-if="list.length < 12" size="small" text severity="secondary" label="Add a prop" @click="add" />
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 76px minmax(0, 240px) 36px;
  gap: 8px;
  margin-top: 6px;
}
</style>
