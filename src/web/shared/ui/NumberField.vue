<script setup lang="ts">
import { parseNumber, steppedNumber } from '#core/units'
import { numberWords } from '#words/numbers'
import TypedField from './TypedField.vue'
import type { Typed } from './TypedField.vue'

/** A number as teachers type it, with a point or a comma; the arrow keys go by steps. */
const props = defineProps<{
  label: string
  value: number | undefined
  least: number
  most: number
  /** What is typed comes to the nearest multiple of this; whole numbers where absent. */
  grain?: number
  /** How far an arrow key goes; the grain where absent. */
  step?: number
  /** Whether it may stay empty, and so unset. */
  canBeEmpty?: boolean
  small?: boolean
  hideLabel?: boolean
  /** What holds where it is left empty. */
  hint?: string | undefined
}>()
const emit = defineEmits<{ change: [value: number]; empty: [] }>()

const limits = () => ({ least: props.least, most: props.most, grain: props.grain ?? 1 })
function read(text: string): Typed<number | undefined> {
  if (props.canBeEmpty && text.trim() === '') return { value: undefined, shown: '' }
  const parsed = parseNumber(text, limits(), props.label)
  return parsed.ok ? { value: parsed.value, shown: String(parsed.value) } : { mend: numberWords(parsed) }
}
function change(value: number | undefined): void {
  if (value === undefined) emit('empty')
  else emit('change', value)
}
function goBy(by: 1 | -1): void {
  const next = steppedNumber(props.value ?? props.least, by * (props.step ?? props.grain ?? 1), limits())
  if (next !== props.value) emit('change', next)
}
</script>

<template>
  <TypedField
    :label="label"
    :shown="value === undefined ? '' : String(value)"
    :read="read"
    inputmode="decimal"
    :hint="hint"
    :small="small"
    :hide-label="hideLabel"
    @change="change"
    @step="goBy"
  />
</template>
