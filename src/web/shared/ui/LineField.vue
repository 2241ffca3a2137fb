<script setup lang="ts">
import TypedField from './TypedField.vue'
import type { Typed } from './TypedField.vue'

/** A line of words that may be left out. */
const props = defineProps<{ label: string; text: string; most: number; hint?: string | undefined }>()
const emit = defineEmits<{ change: [text: string] }>()

function read(text: string): Typed<string> {
  const line = text.trim()
  return line.length <= props.most
    ? { value: line, shown: line }
    : { mend: `At most ${String(props.most)} signs, this has ${String(line.length)}.` }
}
</script>

<template>
  <TypedField :label="label" :shown="text" :read="read" :hint="hint" @change="emit('change', $event)" />
</template>
