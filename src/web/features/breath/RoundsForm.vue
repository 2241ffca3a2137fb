<script setup lang="ts">
import { computed } from 'vue'
import type { Pattern } from '#model/breath'
import type { RoundsSection } from '#model/section'
import type { ResolvedRounds } from '#core/breath'
import { roundsAs } from './rounds-as.ts'
import AmountFields from './AmountFields.vue'
import RatioField from './RatioField.vue'
import StationsField from './StationsField.vue'
import { useBreath } from './use-breath.ts'
import CountsField from '#web/shared/ui/CountsField.vue'

/** Rounds: the four parts of one, typed apart or as a ratio, and how many. */
const props = defineProps<{ section: RoundsSection; resolved: ResolvedRounds | undefined }>()
const { set } = useBreath()

const parts = [
  { part: 'in', label: 'In', least: 0.5 },
  { part: 'full', label: 'Held full', least: 0 },
  { part: 'out', label: 'Out', least: 0.5 },
  { part: 'empty', label: 'Held empty', least: 0 },
] as const
const even: Pattern = { in: 8, full: 0, out: 8, empty: 0 }
const pattern = computed(() => props.resolved?.pattern ?? props.section.pattern ?? even)
const setPattern = (next: Pattern): void => {
  set(props.section, { pattern: next })
}
</script>

<template>
  <div class="form">
    <template v-if="resolved">
      <div class="parts">
        <CountsField
          v-for="{ part, label, least } in parts"
          :key="part"
          :label="label"
          :half="pattern[part]"
          :least="least"
          :most="64"
          @change="setPattern({ ...pattern, [part]: $event })"
        />
        <RatioField :pattern="pattern" @change="setPattern" />
      </div>
    </template>
    <AmountFields :section="section" :resolved="resolved" @change="set(section, { amount: $event })" />
    <StationsField
      v-if="section.stations"
      :section="section"
      @change="set(section, roundsAs(section, { stations: $event }))"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.parts {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) minmax(0, 1.6fr);
  gap: 10px;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
