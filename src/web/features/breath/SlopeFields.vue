<script setup lang="ts">
import { computed } from 'vue'
import type { RoundsSection, Slope } from '#model/section'
import type { ResolvedRounds } from '#core/breath'
import NumberField from '#web/shared/ui/NumberField.vue'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'
import CountsField from '#web/shared/ui/CountsField.vue'

/** One part that grows or shrinks from set to set, to a limit and back at least half way. */
const props = defineProps<{ section: RoundsSection; resolved: ResolvedRounds }>()
const { set } = useBreath()

const none = 'none'
const parts = [
  { value: none, words: 'the same in every set' },
  { value: 'out', words: 'the exhale changes' },
  { value: 'in', words: 'the inhale changes' },
  { value: 'full', words: 'the pause on full changes' },
  { value: 'empty', words: 'the pause on empty changes' },
] as const
const slope = computed(() => props.section.slope)

/** A slope wants sets to change by: without them there are three. */
const amountOf = ({ amount }: RoundsSection): RoundsSection['amount'] =>
  amount && !('fillS' in amount) && !('breaths' in amount)
    ? amount
    : { sets: Math.max(3, props.resolved.sets.length), roundsPerSet: props.resolved.sets[0]?.rounds ?? 6 }
function setPart(part: Slope['part'] | typeof none): void {
  const { section, resolved } = props
  if (part === none) set(section, { slope: undefined })
  else
    set(section, {
      amount: amountOf(section),
      slope: { part, byHalf: 2, everySets: 1, to: Math.min(128, resolved.pattern[part] + 4) },
    })
}
const put = (changed: Partial<Slope>): void => {
  if (slope.value) set(props.section, { slope: { ...slope.value, ...changed } })
}
/** To fewer counts than there are it shrinks, to more it grows; the size of a step stays. */
function setTo(to: number): void {
  if (!slope.value) return
  const { part, byHalf } = slope.value
  put({ to, byHalf: Math.abs(byHalf) * (to < props.resolved.pattern[part] ? -1 : 1) })
}
</script>

<template>
  <div class="slope">
    <SelectField label="From set to set" :value="slope?.part ?? none" :options="parts" @change="setPart" />
    <div v-if="slope" class="fields">
      <CountsField
        label="By counts"
        :half="Math.abs(slope.byHalf)"
        :least="0.5"
        :most="4"
        @change="put({ byHalf: Math.sign(slope.byHalf) * $event })"
      />
      <NumberField
        label="Every sets"
        :value="slope.everySets"
        :least="1"
        :most="20"
        @change="put({ everySets: $event })"
      />
      <CountsField label="To counts" :half="slope.to" :least="0" :most="64" @change="setTo" />
    </div>
  </div>
</template>

<style scoped>
.slope {
  display: grid;
  gap: 4px;
  margin-bottom: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
</style>
