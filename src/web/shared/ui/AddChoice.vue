<script setup lang="ts">
import Select from 'primevue/select'
import { useId } from 'vue'

/** One more of what there is, found by typing and put in as soon as it is chosen. */
defineProps<{
  label: string
  options: readonly { readonly value: string; readonly words: string }[]
  placeholder: string
}>()
const emit = defineEmits<{ add: [value: string] }>()
const id = useId()
</script>

<template>
  <div class="add-choice">
    <label :id="id">{{ label }}</label>
    <Select
      fluid
      filter
      auto-filter-focus
      reset-filter-on-hide
      :aria-labelledby="id"
      :model-value="null"
      :options="[...options]"
      option-label="words"
      option-value="value"
      :placeholder="placeholder"
      @update:model-value="emit('add', $event)"
    />
  </div>
</template>

<style scoped>
.add-choice {
  max-width: 352px;
}
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
