<script setup lang="ts">
import { formatDuration, parseDuration } from '#core/units'
import type { SecondsRange } from '#model/limits'
import type { Seconds } from '#core/units'
import { durationWords } from '#words/durations'
import TypedField from './TypedField.vue'
import type { Typed } from './TypedField.vue'

/** A time as teachers type it. */
const props = defineProps<{
  label: string
  seconds: Seconds
  limits: SecondsRange
  large?: boolean
  hideLabel?: boolean
}>()
const emit = defineEmits<{ change: [seconds: Seconds] }>()

function read(text: string): Typed<Seconds> {
  const parsed = parseDuration(text, props.limits, props.label)
  return parsed.ok ? { value: parsed.value, shown: formatDuration(parsed.value) } : { mend: durationWords(parsed) }
}
</script>

<template>
  <TypedField
    :label="label"
    :shown="formatDuration(seconds)"
    :read="read"
    :large="large"
    :hide-label="hideLabel"
    @change="emit('change', $event)"
  />
</template>
