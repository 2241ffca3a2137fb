<script setup lang="ts" generic="Value extends string">
import Select from 'primevue/select'
import { useId } from 'vue'

/** One thing to choose of an item: its label beside a list. */
defineProps<{
  label: string
  /** What it is called where the label alone does not say it. */
  spoken?: string
  value: Value | null
  options: readonly { readonly value: Value; readonly words: string }[]
  placeholder?: string
}>()
const emit = defineEmits<{ choose: [value: Value] }>()
const id = useId()
</script>

<template>
  <label :for="id">{{ label }}</label>
  <Select
    :input-id="id"
    :model-value="value"
    :options="[...options]"
    option-label="words"
    option-value="value"
    :placeholder="placeholder"
    fluid
    size="small"
    :aria-label="spoken ?? label"
    @update:model-value="emit('choose', $event as Value)"
  />
</template>
