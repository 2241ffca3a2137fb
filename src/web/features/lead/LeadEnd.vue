<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { BreathAnswers } from '#model/led-class'
import type { OutboxState } from '#core/lead'
import { formatMs } from '#core/units'
import { recordAtEndWords } from '#words/saving'
import NameTyped from '#web/shared/people/NameTyped.vue'
import BreathAsked from '#web/shared/lead/BreathAsked.vue'
import type { AsksOfBreath } from './asks-of-breath.ts'

const props = defineProps<{
  name: string
  ledMs: number
  plannedMs: number
  left: boolean
  /** It was ended by hand a moment ago. */
  canUndo: boolean
  asks: AsksOfBreath
  saveState: OutboxState
  refusal: string
}>()
const emit = defineEmits<{ save: [note: string, breath: BreathAnswers]; undo: [] }>()
const note = ref('')
const breath = shallowRef<BreathAnswers>({})
const record = computed(() => recordAtEndWords(props.saveState, props.refusal))

/** As long as Back undoes an End, it is offered here. */
const undoForMs = 10_000
const isSoon = ref(true)
useTimeoutFn(() => (isSoon.value = false), undoForMs)
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === 'ArrowLeft' && props.canUndo && !(event.target instanceof HTMLTextAreaElement)) emit('undo')
})
</script>

<template>
  <div class="end">
    <h1>{{ left ? 'Left early' : 'Done' }}</h1>
    <p class="sum">
      {{ name }}: {{ formatMs(ledMs) }} led, {{ formatMs(plannedMs) }} planned.{{
        left ? ' What was done is kept.' : ''
      }}
    </p>
    <BreathAsked v-if="asks.was" :answers="breath" :asks-freed="asks.freedFor" @change="breath = $event" />
    <div>
      <label for="lead-note">What happened, in a line</label>
      <Textarea id="lead-note" v-model="note" fluid rows="3" maxlength="20000" />
      <NameTyped :text="note" @change="note = $event" />
    </div>
    <Button v-if="canUndo && isSoon" severity="secondary" outlined label="Back: it goes on" @click="emit('undo')" />
    <Button class="save" label="Save and open the record" @click="emit('save', note, breath)" />
    <p v-if="record !== ''" :role="saveState === 'refused' ? 'alert' : 'status'">{{ record }}</p>
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
}
.end :deep(.save) {
  background: var(--chosen);
  border-color: var(--chosen);
  color: #1d2a2a;
}
</style>
