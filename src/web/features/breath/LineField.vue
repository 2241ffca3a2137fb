<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { ref, useId, watch } from 'vue'
import { textLimits } from '#model/limits'

/** A line of words, taken when the field is left. */
const props = defineProps<{ label: string; value: string; needed?: boolean }>()
const emit = defineEmits<{ change: [value: string] }>()
const id = useId()
const text = ref(props.value)
watch(
  () => props.value,
  (value) => (text.value = value),
)
function take(): void {
  const typed = text.value.trim()
  // What is needed stays as it was when it is left empty.
  if (typed === '' && props.needed) text.value = props.value
  else if (typed !== props.value) emit('change', typed)
}
</script>

<template>
  <div class="line">
    <label :for="id">{{ label }}</label>
    <InputText :id="id" v-model="text" fluid :maxlength="textLimits.line" @blur="take" @keydown.enter="take" />
  </div>
</template>

<style scoped>
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
