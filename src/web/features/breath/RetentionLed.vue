<script setup lang="ts">
import type { RetentionSection } from '#model/section'
import { betweenLimits } from '#model/limits'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import PaceField from '#web/shared/ui/PaceField.vue'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How a held breath is led: its count, how its end is told, belly strokes in the empty one, natural breath after. */
const props = defineProps<{ section: RetentionSection }>()
const { set } = useBreath()
const second = { num: 1000, den: 1 }
const ends = [
  { value: 'counts', words: 'its last counts' },
  { value: 'bowl', words: 'a bowl at its end' },
] as const
function setStrokes(n: number): void {
  const { strokes } = props.section
  set(props.section, { strokes: n === 0 ? undefined : { pace: strokes?.pace ?? second, n } })
}
</script>

<template>
  <div class="led">
    <PaceField :pace="section.pace ?? second" @change="set(section, { pace: $event })" />
    <DurationField
      label="Natural breath after"
      :seconds="section.naturalAfterS ?? 30"
      :limits="betweenLimits"
      @change="set(section, { naturalAfterS: $event })"
    />
    <SelectField
      label="Its end is told by"
      :value="section.countDown ?? 'counts'"
      :options="ends"
      @change="set(section, { countDown: $event === 'counts' ? undefined : $event })"
    />
    <NumberField
      v-if="section.held === 'empty'"
      label="Belly strokes"
      :value="section.strokes?.n ?? 0"
      :least="0"
      :most="60"
      @change="setStrokes"
    />
  </div>
</template>

<style scoped>
.led {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: end;
  margin-bottom: 14px;
}
</style>
