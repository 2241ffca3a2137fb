<script setup lang="ts">
import SelectButton from 'primevue/selectbutton'
import { useId } from 'vue'
import type { BreathAnswers } from '#model/led-class'
import { breathWasWords, freedForWords } from '#words/breath-answers'

/** How the breath was, asked after class; pressed again, an answer is taken back. */
const props = defineProps<{ answers: BreathAnswers; asksFreed: boolean }>()
const emit = defineEmits<{ change: [answers: BreathAnswers] }>()
const id = useId()

function put<K extends keyof BreathAnswers>(key: K, value: BreathAnswers[K] | null): void {
  const { [key]: _, ...others } = props.answers
  emit('change', value === null ? others : { ...others, [key]: value })
}
</script>

<template>
  <div class="asked">
    <div>
      <span :id="`${id}-was`" class="question">How was the breath?</span>
      <SelectButton
        :model-value="answers.was ?? null"
        :options="[...breathWasWords]"
        option-label="label"
        option-value="value"
        :aria-labelledby="`${id}-was`"
        @update:model-value="put('was', $event)"
      />
    </div>
    <div v-if="asksFreed">
      <span :id="`${id}-freed`" class="question">Why was it left free?</span>
      <SelectButton
        :model-value="answers.freedFor ?? null"
        :options="[...freedForWords]"
        option-label="label"
        option-value="value"
        :aria-labelledby="`${id}-freed`"
        @update:model-value="put('freedFor', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 28px;
}
.question {
  display: block;
  margin-bottom: 4px;
  color: var(--ink-soft);
}
.asked :deep(.p-togglebutton) {
  min-height: 44px;
}
</style>
