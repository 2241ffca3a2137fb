<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { computed } from 'vue'
import type { Pace, Pattern } from '#model/breath'

/** The counts of a round in halves of a count, and how long one count lasts. */
const props = defineProps<{ pattern: Pattern; pace: Pace }>()
const emit = defineEmits<{ pattern: [pattern: Pattern]; pace: [pace: Pace] }>()

const counts = [
  { part: 'in', words: 'In', least: 0.5 },
  { part: 'out', words: 'Out', least: 0.5 },
] as const
const paceS = computed(() => props.pace.num / props.pace.den / 1000)

function setCounts(part: 'in' | 'out', value: number | null): void {
  if (value === null) return
  const halves = Math.round(value * 2)
  if (halves !== props.pattern[part]) emit('pattern', { ...props.pattern, [part]: halves })
}
function setPace(value: number | null): void {
  if (value === null || value === paceS.value) return
  emit('pace', { num: Math.round(value * 1000), den: 1 })
}
</script>

<template>
  <div class="pattern">
    <div v-for="{ part, words, least } in counts" :key="part">
      <label :for="`count-${part}`">{{ words }}, counts</label>
      <InputNumber
        :input-id="`count-${part}`"
        fluid
        :min="least"
        :max="64"
        :step="0.5"
        :max-fraction-digits="1"
        :model-value="pattern[part] / 2"
        @update:model-value="setCounts(part, $event)"
      />
    </div>
    <div>
      <label for="count-pace">One count, s</label>
      <InputNumber
        input-id="count-pace"
        fluid
        :min="0.25"
        :max="10"
        :step="0.1"
        :max-fraction-digits="2"
        :model-value="paceS"
        @update:model-value="setPace"
      />
    </div>
  </div>
</template>

<style scoped>
.pattern {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
label {
  display: block;
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
