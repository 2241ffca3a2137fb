<script setup lang="ts" generic="T extends string | number">
import Select from 'primevue/select'
import { computed, useId } from 'vue'

/** One of several, chosen under a label. */
const props = defineProps<{
  label: string
  /** Told to those who hear the page alone. */
  hideLabel?: boolean
  value: T
  /** Many: one types part of what is looked for. */
  isSearched?: boolean
  options: readonly { readonly value: T; readonly words: string }[]
}>()
const emit = defineEmits<{ change: [value: T] }>()
const id = useId()

/** The control shows nothing for a value of no characters: an option that stands for nothing is another one to it. */
const nothing = ' '
const known = computed(() =>
  props.options.map(({ value, words }) => ({ value: value === '' ? nothing : value, words })),
)
const toChange = (value: T | typeof nothing): void => {
  emit('change', value === nothing ? ('' as T) : (value as T))
}
</script>

<template>
  <div class="select-field">
    <span :id="id" class="label" :class="{ 'visually-hidden': hideLabel }">{{ label }}</span>
    <Select
      fluid
      :aria-labelledby="id"
      :model-value="value === '' ? nothing : value"
      :options="known"
      option-label="words"
      option-value="value"
      :filter="isSearched"
      :pt="isSearched ? { pcFilter: { root: { 'aria-label': `Part of the name: ${label}` } } } : undefined"
      @update:model-value="toChange"
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
