<script setup lang="ts">
import type { OwnPose } from '#model/pose'
import { levels } from '#model/common'
import { betweenLimits } from '#model/limits'
import { levelChoices } from '#words/practices'
import DurationField from '#web/shared/ui/DurationField.vue'
import HoldsTable from './HoldsTable.vue'

/** How long a pose of one's own is held, and what lies around the hold. */
defineProps<{ refusals: ReadonlyMap<string, string> }>()
const pose = defineModel<OwnPose>({ required: true })
const levelWords = new Map(levelChoices.map(({ value, words }) => [value, words.toLowerCase()]))
</script>

<template>
  <section>
    <h2>Times</h2>
    <HoldsTable v-model="pose.holds" :refusals="refusals" />
    <div class="times">
      <DurationField
        v-for="level in levels"
        :key="level"
        :label="`Set-up, ${levelWords.get(level) ?? level}`"
        :seconds="pose.times.setUpS[level]"
        :limits="betweenLimits"
        @change="pose.times.setUpS[level] = $event"
      />
      <DurationField
        label="Settle"
        :seconds="pose.times.settleS"
        :limits="betweenLimits"
        @change="pose.times.settleS = $event"
      />
      <DurationField
        label="Coming out"
        :seconds="pose.times.comingOutS"
        :limits="betweenLimits"
        @change="pose.times.comingOutS = $event"
      />
      <DurationField
        v-if="pose.sides"
        label="Between sides"
        :seconds="pose.times.betweenSidesS"
        :limits="betweenLimits"
        @change="pose.times.betweenSidesS = $event"
      />
      <DurationField
        label="Rest after, restorative"
        :seconds="pose.times.afterRestS.restorative"
        :limits="betweenLimits"
        @change="pose.times.afterRestS.restorative = $event"
      />
      <DurationField
        label="Rebound, yin"
        :seconds="pose.times.afterRestS.yin"
        :limits="betweenLimits"
        @change="pose.times.afterRestS.yin = $event"
      />
    </div>
  </section>
</template>

<style scoped>
.times {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 14px;
  margin-top: 10px;
}
</style>
