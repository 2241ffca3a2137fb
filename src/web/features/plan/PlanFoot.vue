<script setup lang="ts">
import { computed } from 'vue'
import { tallyTimeline } from '#core/timeline'
import { formatDuration, formatMs, wholeSeconds } from '#core/units'
import { fitShown } from './fits/fit-shown.ts'
import { evennessWords } from './gauge.ts'
import { usePlan } from './use-plan.ts'

const { document, timeline } = usePlan()

const tally = computed(() => (timeline.value ? tallyTimeline(timeline.value) : undefined))
const overS = computed(() => wholeSeconds(timeline.value?.totalMs ?? 0) - (document.value?.lengthS ?? 0))
</script>

<template>
  <template v-if="document && tally">
    <button v-if="overS > 0" type="button" class="over" data-testid="over" title="Make it fit (F)" @click="fitShown = true"><i aria-hidden="true" />Does not fit: {{ formatDuration(overS) }} over {{ formatDuration(document.lengthS) }}</button>
    <span class="advice">Zovrin gives no medical advice: a doctor or licensed therapist decides.</span>
    <span class="grow" />
    <span v-if="tally.leftMs + tally.rightMs > 0" class="sides" data-testid="sides">Left {{ formatMs(tally.leftMs) }} · Right {{ formatMs(tally.rightMs) }} · {{ evennessWords(tally.leftMs, tally.rightMs) }}</span>
  </template>
  <span v-else class="advice">Zovrin gives no medical advice: a doctor or licensed therapist decides.</span>
</template>

<style scoped>
.over {
  padding: 2px 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 650;
  white-space: nowrap;
  cursor: pointer;
}
.over:hover {
  text-decoration: underline;
}
.over i {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 8px;
  background: var(--ink);
  transform: rotate(45deg);
}
.advice {
  color: #4b5854;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.grow {
  flex: 1;
}
.sides {
  white-space: nowrap;
}
</style>
