<script setup lang="ts">
import { computed } from 'vue'
import type { ClosingBlock } from '#model/block'
import { finalRestFloorS } from '#core/session'
import type { ResolvedClosing } from '#core/session'
import { betweenLimits, blockLimits, formatDuration } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

const props = defineProps<{ resolved: ResolvedClosing }>()
const { document, replace } = usePlan()
const set = (change: Partial<ClosingBlock>) => {
  replace({ ...props.resolved.block, ...change }, 'change the closing')
}
const floorS = computed(() => (document.value ? finalRestFloorS(document.value.lengthS, document.value.level) : 0))
const roll = computed(() => (props.resolved.answers.roll === 'either' ? 'either side' : `the ${props.resolved.answers.roll}`))
</script>

<template>
  <h1>Closing</h1>
  <p class="sub">final rest and coming up, always last</p>
  <slot name="cautions" />
  <Part title="Final rest">
    <DurationField label="On the back, or the side you prefer" large :seconds="resolved.finalRestS.value" :limits="blockLimits" @change="set({ finalRestS: $event })" />
    <p class="sub">At least {{ formatDuration(floorS) }} for this length.</p>
  </Part>
  <Part title="Coming up">
    <div class="three">
      <DurationField label="Coming out" :seconds="resolved.comingOutS.value" :limits="betweenLimits" @change="set({ comingOutS: $event })" />
      <DurationField label="On the side" :seconds="resolved.rollS.value" :limits="betweenLimits" @change="set({ rollS: $event })" />
      <DurationField label="Sitting up" :seconds="resolved.sittingUpS.value" :limits="betweenLimits" @change="set({ sittingUpS: $event })" />
    </div>
    <p class="sub">Roll to {{ roll }}, or the side you prefer.</p>
  </Part>
  <slot />
</template>

<style scoped>
.sub {
  color: var(--ink-soft);
  margin-top: 4px;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
</style>
