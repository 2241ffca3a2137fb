<script setup lang="ts" generic="T extends string | number">
import Select from 'primevue/select'
import { useId } from 'vue'

/** One of several, chosen under a label. */
defineProps<{
  label: string
  /** Told to those who hear the page alone. */
  hideLabel?: boolean
  value: T
  options: readonly { readonly value: T; readonly words: string }[]
}>()
const emit = defineEmits<{ change: [value: T] }>()
const id = useId()
</script>

<template>
  <div class="select-field">
    <span :id="id" class="label" :class="{ 'visually-hidden': hideLabel }">{{ label }}</span>
    <Select
      fluid
      :aria-labelledby="id"
      :model-value="value"
      :options="[...options]"
      option-label="words"
      option-value="value"
      @update:model-value="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
