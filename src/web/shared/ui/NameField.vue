<script setup lang="ts">
import { textLimits } from '#model/limits'
import TypedField from './TypedField.vue'
import type { Typed } from './TypedField.vue'

/** The name of something: never empty, and no longer than a name may be. */
defineProps<{ label: string; name: string; hideLabel?: boolean }>()
const emit = defineEmits<{ change: [name: string] }>()

function read(text: string): Typed<string> {
  const name = text.trim()
  if (name === '') return { mend: 'Type a name; Escape brings the former one back.' }
  if (name.length <= textLimits.name) return { value: name, shown: name }
  return { mend: `A name has at most ${String(textLimits.name)} signs, this has ${String(name.length)}.` }
}
</script>

<template>
  <TypedField :label="label" :shown="name" :read="read" :hide-label="hideLabel" @change="emit('change', $event)" />
</template>
