<script setup lang="ts">
import { computed } from 'vue'
import type { Pace, Pattern } from '#model/breath'
import NumberField from '#web/shared/ui/NumberField.vue'

/** The counts of a round in halves of a count, and how long one count lasts. */
const props = defineProps<{ pattern: Pattern; pace: Pace }>()
const emit = defineEmits<{ pattern: [pattern: Pattern]; pace: [pace: Pace] }>()

const counts = [
  { part: 'in', words: 'In', least: 0.5 },
  { part: 'out', words: 'Out', least: 0.5 },
] as const
const paceS = computed(() => props.pace.num / props.pace.den / 1000)
</script>

<template>
  <div class="pattern">
    <NumberField
      v-for="{ part, words, least } in counts"
      :key="part"
      :label="`${words}, counts`"
      :value="pattern[part] / 2"
      :least="least"
      :most="64"
      :grain="0.5"
      @change="emit('pattern', { ...pattern, [part]: $event * 2 })"
    />
    <NumberField
      label="One count, s"
      :value="paceS"
      :least="0.25"
      :most="10"
      :grain="0.01"
      :step="0.1"
      @change="emit('pace', { num: Math.round($event * 1000), den: 1 })"
    />
  </div>
</template>

<style scoped>
.pattern {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  margin-top: 6px;
}
</style>
