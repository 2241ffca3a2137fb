<script setup lang="ts">
import { computed } from 'vue'
import { tallyTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import { useFindings } from './findings/use-findings.ts'
import { evennessWords } from './gauge.ts'
import { usePlan } from './use-plan.ts'

const { document, timeline } = usePlan()
const { shown, isChecked, open, counted, wordsOf } = useFindings()

const tally = computed(() => (timeline.value ? tallyTimeline(timeline.value) : undefined))
const worst = computed(() => open.value.find(({ finding }) => finding.grade !== 'tip')?.finding)
</script>

<template>
  <template v-if="document && tally">
    <button v-if="isChecked" type="button" class="findings" :aria-expanded="shown" @click="shown = !shown">
      <template v-if="worst"><FindingMark :grade="worst.grade" /><b>{{ counted }}</b> <span class="first" data-testid="first-finding">{{ wordsOf(worst).title }}</span></template>
      <template v-else>Nothing needs a look</template>
    </button>
    <span class="advice">Zovrin gives no medical advice: a doctor or licensed therapist decides.</span>
    <span class="grow" />
    <span v-if="tally.leftMs + tally.rightMs > 0" class="sides" data-testid="sides">Left {{ formatMs(tally.leftMs) }} · Right {{ formatMs(tally.rightMs) }} · {{ evennessWords(tally.leftMs, tally.rightMs) }}</span>
  </template>
  <span v-else class="advice">Zovrin gives no medical advice: a doctor or licensed therapist decides.</span>
</template>

<style scoped>
.findings {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
  padding: 2px 6px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  white-space: nowrap;
  cursor: pointer;
}
.findings:hover {
  text-decoration: underline;
}
.first {
  overflow: hidden;
  text-overflow: ellipsis;
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
