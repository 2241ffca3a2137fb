<script setup lang="ts">
import type { Pace, Pattern } from '#model/breath'
import PaceField from '#web/shared/ui/PaceField.vue'
import CountsField from '#web/shared/ui/CountsField.vue'

/** The counts of a round in halves of a count, and how long one count lasts. */
defineProps<{ pattern: Pattern; pace: Pace }>()
const emit = defineEmits<{ pattern: [pattern: Pattern]; pace: [pace: Pace] }>()

const counts = [
  { part: 'in', words: 'In', least: 0.5 },
  { part: 'out', words: 'Out', least: 0.5 },
] as const
</script>

<template>
  <div class="pattern">
    <CountsField
      v-for="{ part, words, least } in counts"
      :key="part"
      :label="`${words}, counts`"
      :half="pattern[part]"
      :least="least"
      :most="64"
      @change="emit('pattern', { ...pattern, [part]: $event })"
    />
    <PaceField :pace="pace" @change="emit('pace', $event)" />
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
