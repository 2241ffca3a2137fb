<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { useId } from 'vue'

/** Several short texts, one a line. `read` and `write` turn a stored line into what is shown, and back. */
const props = defineProps<{
  label: string
  note?: string
  refusal?: string
  read?: (line: string) => string
  write?: (line: string) => string
}>()
const lines = defineModel<string[]>({ required: true })
const id = useId()
const asIs = (line: string) => line

function take(event: Event): void {
  const typed = (event.target as HTMLTextAreaElement).value
  lines.value = typed
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map(props.write ?? asIs)
}
</script>

<template>
  <div>
    <label :for="id"
      >{{ label }} <small v-if="note">{{ note }}</small></label
    >
    <Textarea
      :id="id"
      fluid
      rows="3"
      auto-resize
      :invalid="refusal !== undefined"
      :model-value="lines.map(read ?? asIs).join('\n')"
      @change="take"
    />
    <p v-if="refusal" class="refusal" role="alert">{{ refusal }}</p>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-top: 10px;
  font-size: 14px;
  color: var(--ink-soft);
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
</style>
