<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Session } from '#model/session'
import type { Wording } from '#model/wording'
import { rollWords, stillnessWords, stopWords, withFields, wordingOf } from '#core/session'
import { keysOf } from '#core/units'
import { usePlan } from '../use-plan.ts'

/** How the three things are said that no setting takes away: each in one of three wordings. */
const props = defineProps<{ session: Session }>()
const { store } = usePlan()
const chosen = computed(() => wordingOf(props.session.wording))
const rows = computed(() => [
  {
    key: 'stillness' as const,
    asks: 'To be still, and not to bear anything',
    options: keysOf(stillnessWords).map((value) => ({
      value,
      words: `${stillnessWords[value].full}; then: ${stillnessWords[value].short}`,
    })),
  },
  {
    key: 'roll' as const,
    asks: 'The roll out of lying',
    options: keysOf(rollWords).map((value) => ({ value, words: rollWords[value].right })),
  },
  {
    key: 'stop' as const,
    asks: 'The stop signs',
    options: keysOf(stopWords).map((value) => ({ value, words: stopWords[value] })),
  },
])
function choose(key: keyof Wording, value: string): void {
  const wording = withFields(props.session.wording ?? {}, { [key]: value })
  store.edit({ type: 'details', details: { wording } }, 'change how it is said')
}
</script>

<template>
  <details>
    <summary>How it is said</summary>
    <div v-for="row in rows" :key="row.key" class="row">
      <span :id="`wording-${row.key}`">{{ row.asks }}</span>
      <Select
        :aria-labelledby="`wording-${row.key}`"
        class="whole"
        fluid
        size="small"
        :model-value="chosen[row.key]"
        :options="row.options"
        option-label="words"
        option-value="value"
        @update:model-value="choose(row.key, $event)"
      />
    </div>
  </details>
</template>

<style scoped>
details {
  margin-top: 8px;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
.row span {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
/* A sentence is read whole before it is chosen. */
.whole :deep(.p-select-label) {
  white-space: normal;
}
</style>
