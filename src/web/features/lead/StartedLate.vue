<script setup lang="ts">
import { computed } from 'vue'
import { freeUntilMs, promisedMs, wallTime } from '#core/lead'
import type { Conducted } from '#core/lead'
import { formatDuration, formatMs } from '#core/units'
import { clockText } from '#words/dates'

/** A class that started late: asked once, while it runs, when it ends. The answer is the promised end. */
const props = defineProps<{ conducted: Conducted; lateMs: number }>()
const emit = defineEmits<{ promise: [endMs: number] }>()

const clock = (runMs: number): string => clockText(wallTime(props.conducted, runMs))
const asSaidMs = computed(() => promisedMs(props.conducted))
const inFullMs = computed(() => asSaidMs.value + props.lateMs)
const fits = computed(() => inFullMs.value <= (freeUntilMs(props.conducted) ?? Infinity))
const length = computed(() => {
  const { lengthS } = props.conducted.start.document
  return lengthS === 3600 ? 'A full hour' : `All ${formatDuration(lengthS)}`
})
defineExpose({
  /** Answers by a digit: 1 as it was said, 2 in full. */
  answer(digit: string): boolean {
    if (digit === '1') emit('promise', asSaidMs.value)
    else if (digit === '2' && fits.value) emit('promise', inFullMs.value)
    else return false
    return true
  },
})
</script>

<template>
  <section class="late" role="group" aria-label="Started late">
    <p>Started {{ formatMs(lateMs) }} late.</p>
    <button type="button" tabindex="-1" @pointerdown.prevent @click="emit('promise', asSaidMs)">
      <kbd>1</kbd> End at {{ clock(asSaidMs) }}
    </button>
    <button v-if="fits" type="button" tabindex="-1" @pointerdown.prevent @click="emit('promise', inFullMs)">
      <kbd>2</kbd> {{ length }}, to {{ clock(inFullMs) }}
    </button>
  </section>
</template>

<style scoped>
.late {
  grid-row: 4;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  padding: 10px 28px;
  border-top: 1px solid var(--line);
  font-size: 20px;
}
button {
  min-height: 56px;
  padding: 8px 18px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 22px;
  font-weight: 650;
  cursor: pointer;
}
kbd {
  font: inherit;
  font-weight: 500;
}
@media (hover: none) {
  kbd {
    display: none;
  }
}
</style>
