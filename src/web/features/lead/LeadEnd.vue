<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { ref } from 'vue'
import { formatMs } from '#core/units'

defineProps<{
  name: string
  ledMs: number
  plannedMs: number
  left: boolean
  saveState: 'saved' | 'saving' | 'retrying'
}>()
const emit = defineEmits<{ save: [note: string] }>()
const note = ref('')
</script>

<template>
  <div class="end">
    <h1>{{ left ? 'Left early' : 'Done' }}</h1>
    <p class="sum">
      {{ name }}: {{ formatMs(ledMs) }} led, {{ formatMs(plannedMs) }} planned.{{
        left ? ' What was done is kept.' : ''
      }}
    </p>
    <div>
      <label for="lead-note">What happened, in a line</label>
      <Textarea id="lead-note" v-model="note" fluid rows="3" maxlength="20000" />
    </div>
    <Button label="Save and open the record" @click="emit('save', note)" />
    <p v-if="saveState === 'retrying'" role="status">
      Not saved: Zovrin’s server does not answer. The record is kept in this browser; it is tried again.
    </p>
  </div>
</template>

<style scoped>
.end {
  margin: auto;
  width: min(620px, 92vw);
  display: grid;
  gap: 18px;
}
h1 {
  font-size: 40px;
}
.sum {
  font-size: 22px;
}
label {
  color: var(--ink-soft);
}
.end :deep(.p-button) {
  min-height: 44px;
  justify-self: start;
  background: var(--chosen);
  border-color: var(--chosen);
  color: #1d2a2a;
}
</style>
