<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import type { Seat } from '#model/section'
import { practisedIn } from '#core/cautions'
import { keysOf } from '#core/units'
import { capital } from '#words/text'
import { seatNames } from '#words/seats'
import BreathSoundsFields from './BreathSoundsFields.vue'
import BeforeFields from './BeforeFields.vue'
import BreathChecks from './BreathChecks.vue'
import FillTime from './FillTime.vue'
import LineField from './LineField.vue'
import LocksFields from './LocksFields.vue'
import RetentionLed from './RetentionLed.vue'
import RoundsLed from './RoundsLed.vue'
import SlopeFields from './SlopeFields.vue'
import SteadyCount from './SteadyCount.vue'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How the section that is looked at is led; then what its block is cautioned for. */
const { resolved, section, resolvedSection, put } = useBreath()
const CautionList = defineAsyncComponent(() => import('#web/shared/cautions/CautionList.vue'))

const asBefore = 'asBefore'
const seats = [
  { value: asBefore, words: 'as before it' } as const,
  ...keysOf(seatNames).map((value) => ({ value, words: seatNames[value] })),
]
function setSeat(seat: Seat | typeof asBefore): void {
  if (!section.value) return
  const { seat: _, ...kept } = section.value
  put(seat === asBefore ? kept : { ...kept, seat })
}
function setSay(say: string): void {
  if (!section.value) return
  const { say: _, ...kept } = section.value
  put(say === '' ? kept : { ...kept, say })
}
const practised = computed(() => resolved.value && practisedIn(resolved.value))
const before = computed(() => resolved.value?.techniques.flatMap(({ preparation }) => preparation) ?? [])
const stopSigns = computed(() => [...new Set(resolved.value?.techniques.flatMap((one) => one.stopSigns))].join('; '))
</script>

<template>
  <h2>How it is led</h2>
  <BreathChecks />
  <template v-if="section && resolvedSection">
    <RoundsLed
      v-if="section.kind === 'rounds' && resolvedSection.kind === 'rounds'"
      :section="section"
      :resolved="resolvedSection"
    />
    <SlopeFields
      v-if="section.kind === 'rounds' && resolvedSection.kind === 'rounds' && !section.stations"
      :section="section"
      :resolved="resolvedSection"
    />
    <FillTime
      v-if="section.kind === 'rounds' && resolvedSection.kind === 'rounds' && !section.stations"
      :key="section.id"
      :section="section"
      :resolved="resolvedSection"
    />
    <RetentionLed v-if="section.kind === 'retention'" :section="section" />
    <LocksFields v-if="section.kind === 'rounds' || section.kind === 'retention'" :section="section" />
    <div class="part">
      <SelectField label="Seat" :value="section.seat ?? asBefore" :options="seats" @change="setSeat" />
      <LineField label="Said as it begins" :value="section.say ?? ''" @change="setSay" />
    </div>
  </template>
  <CautionList v-if="practised" :practised="practised" />
  <BeforeFields />
  <template v-if="before.length > 0">
    <h3>Each of them wants</h3>
    <p>{{ before.join(' ') }}</p>
  </template>
  <h3>Stop, and breathe as you like, at</h3>
  <p>{{ capital(stopSigns) }}.</p>
  <BreathSoundsFields />
  <SteadyCount />
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
h3 {
  margin: 14px 0 4px;
  font-size: 16px;
}
p {
  color: var(--ink-soft);
}
.part {
  display: grid;
  gap: 8px;
  margin-bottom: 14px;
}
</style>
