<script setup lang="ts">
import type { StrokesSection } from '#model/section'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import { betweenLimits } from '#model/limits'
import { useBreath } from './use-breath.ts'

/** Active exhales: how many in a round, how many rounds, and natural breath after each. */
defineProps<{ section: StrokesSection }>()
const { set } = useBreath()
</script>

<template>
  <div class="form">
    <NumberField
      label="Strokes a round"
      :value="section.strokes"
      :least="1"
      :most="200"
      @change="set(section, { strokes: $event })"
    />
    <NumberField
      label="Rounds"
      :value="section.rounds"
      :least="1"
      :most="20"
      @change="set(section, { rounds: $event })"
    />
    <DurationField
      label="Natural breath after each"
      :seconds="section.naturalAfterS ?? 60"
      :limits="betweenLimits"
      @change="set(section, { naturalAfterS: $event })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
}
</style>
