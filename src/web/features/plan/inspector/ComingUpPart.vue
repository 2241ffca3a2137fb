<script setup lang="ts">
import type { Answers } from '#model/answers'
import type { RestBlock } from '#model/block'
import { betweenLimits } from '#model/limits'
import type { ComingUp } from '#core/session'
import { keysOf } from '#core/units'
import { answerWords } from '#words/answers'
import DurationField from '#web/shared/ui/DurationField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import Part from './Part.vue'

/** The steps from lying still to sitting, with their times and the side people roll to. */
defineProps<{ up: ComingUp; roll: Answers['roll'] }>()
defineEmits<{ time: [times: NonNullable<RestBlock['ending']>]; roll: [roll: Answers['roll']] }>()
const { answers } = answerWords.roll
const rolls = keysOf(answers).map((value) => ({ value, words: answers[value] }))
</script>

<template>
  <Part title="Coming up">
    <div class="three">
      <DurationField
        label="Coming out"
        :seconds="up.comingOutS.value"
        :limits="betweenLimits"
        @change="$emit('time', { comingOutS: $event })"
      />
      <DurationField
        label="On the side"
        :seconds="up.rollS.value"
        :limits="betweenLimits"
        @change="$emit('time', { rollS: $event })"
      />
      <DurationField
        label="Sitting up"
        :seconds="up.sittingUpS.value"
        :limits="betweenLimits"
        @change="$emit('time', { sittingUpS: $event })"
      />
    </div>
    <SelectField label="Roll to" :value="roll" :options="rolls" @change="$emit('roll', $event)" />
    <p class="sub">Whichever it is, “or the side you prefer” is said with it.</p>
    <slot />
  </Part>
</template>

<style scoped>
.select-field {
  margin-top: 8px;
}
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
