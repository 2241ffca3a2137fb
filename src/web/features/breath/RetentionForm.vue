<script setup lang="ts">
import Select from 'primevue/select'
import type { RetentionSection } from '#model/section'
import NumberField from '#web/shared/ui/NumberField.vue'
import { useBreath } from './use-breath.ts'

/** A held breath by itself: full or empty, how long, how often, and the breath that leads to it. */
defineProps<{ section: RetentionSection }>()
const { set } = useBreath()
const kinds = [
  { value: 'full', words: 'held full' },
  { value: 'empty', words: 'held empty' },
] as const
/** Belly strokes belong to the empty breath alone. */
const without = (held: 'full' | 'empty') => (held === 'full' ? { held, strokes: undefined } : { held })
</script>

<template>
  <div class="form">
    <Select
      fluid
      aria-label="Full or empty"
      :model-value="section.held"
      :options="[...kinds]"
      option-label="words"
      option-value="value"
      @update:model-value="set(section, without($event))"
    />
    <NumberField
      label="Counts held"
      :value="section.half / 2"
      :least="1"
      :most="64"
      :grain="0.5"
      @change="set(section, { half: $event * 2 })"
    />
    <NumberField
      label="How often"
      :value="section.times"
      :least="1"
      :most="20"
      @change="set(section, { times: $event })"
    />
    <NumberField
      label="Breath before it: in"
      :value="section.lead.in / 2"
      :least="0.5"
      :most="64"
      :grain="0.5"
      @change="set(section, { lead: { ...section.lead, in: $event * 2 } })"
    />
    <NumberField
      label="out"
      :value="section.lead.out / 2"
      :least="0.5"
      :most="64"
      :grain="0.5"
      @change="set(section, { lead: { ...section.lead, out: $event * 2 } })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
}
</style>
