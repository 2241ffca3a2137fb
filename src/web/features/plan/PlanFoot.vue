<script setup lang="ts">
import { computed } from 'vue'
import { tallyTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import FootFindings from '#web/shared/findings/FootFindings.vue'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import { useFindings } from './findings/use-findings.ts'
import { evennessWords } from './gauge.ts'
import { usePlan } from './use-plan.ts'

const { document, timeline } = usePlan()
const { shown, isChecked, open, toMend, wordsOf } = useFindings()

const tally = computed(() => (timeline.value ? tallyTimeline(timeline.value) : undefined))
const worst = computed(() => open.value.find(({ finding }) => finding.grade !== 'tip')?.finding)
</script>

<template>
  <template v-if="document && tally">
    <FootFindings
      v-if="isChecked"
      :grade="worst?.grade"
      :counted="toMend"
      :first="worst ? wordsOf(worst).title : ''"
      none="Nothing needs a look"
      :aria-expanded="shown"
      @press="shown = !shown"
    />
    <AdviceNote />
    <span class="grow" />
    <span v-if="tally.leftMs + tally.rightMs > 0" class="sides" data-testid="sides"
      >Left {{ formatMs(tally.leftMs) }} · Right {{ formatMs(tally.rightMs) }} ·
      {{ evennessWords(tally.leftMs, tally.rightMs) }}</span
    >
  </template>
  <AdviceNote v-else />
</template>

<style scoped>
.grow {
  flex: 1;
}
.sides {
  white-space: nowrap;
}
</style>
