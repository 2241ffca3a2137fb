<script setup lang="ts">
import type { RetentionSection } from '#model/section'
import NumberField from '#web/shared/ui/NumberField.vue'
import { useBreath } from './use-breath.ts'
import CountsField from '#web/shared/ui/CountsField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

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
    <SelectField
      hide-label
      label="Full or empty"
      :value="section.held"
      :options="kinds"
      @change="set(section, without($event))"
    />
    <CountsField
      label="Counts held"
      :half="section.half"
      :least="1"
      :most="64"
      @change="set(section, { half: $event })"
    />
    <NumberField
      label="How often"
      :value="section.times"
      :least="1"
      :most="20"
      @change="set(section, { times: $event })"
    />
    <CountsField
      label="Breath before it: in"
      :half="section.lead.in"
      :least="0.5"
      :most="64"
      @change="set(section, { lead: { ...section.lead, in: $event } })"
    />
    <CountsField
      label="out"
      :half="section.lead.out"
      :least="0.5"
      :most="64"
      @change="set(section, { lead: { ...section.lead, out: $event } })"
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
