<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, useId } from 'vue'
import { textLimits } from '#model/limits'
import { formatDuration } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useProps } from './use-props.ts'

/** What changes in mid-hold: the set-up as it begins, and from a moment on; each is looked at and changed by itself. */
const { steps, step, holdS, lookAtStep, addStep, changeStep, sayStep, removeStep } = useProps()
const id = useId()

const atStart = 'start'
const stages = computed(() => [
  { value: atStart, words: 'As it begins' },
  ...steps.value.map(({ id, atS }) => ({ value: id, words: `From ${formatDuration(atS)} on` })),
])
const limits = computed(() => ({ leastS: 0, mostS: holdS.value ?? 0 }))
</script>

<template>
  <template v-if="holdS !== undefined">
    <SelectButton
      v-if="steps.length > 0"
      :model-value="step?.id ?? atStart"
      :options="stages"
      option-label="words"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-label="When in the hold"
      @update:model-value="lookAtStep($event === atStart ? undefined : $event)"
    />
    <Button
      v-if="steps.length < 3"
      size="small"
      text
      severity="secondary"
      icon="pi pi-plus"
      label="A step in the hold"
      @click="addStep"
    />
    <div v-if="step" class="fields">
      <DurationField
        class="from"
        label="From"
        :seconds="step.atS"
        :limits="limits"
        @change="changeStep({ at: { fromStartS: $event } })"
      />
      <div class="words">
        <label :for="id">What is said</label>
        <InputText
          :id="id"
          :key="step.id"
          :model-value="step.text ?? ''"
          :maxlength="textLimits.line"
          :placeholder="step.does"
          size="small"
          fluid
          @change="sayStep(textOf($event))"
        />
      </div>
      <Button size="small" text severity="secondary" icon="pi pi-times" label="Leave it out" @click="removeStep" />
    </div>
  </template>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  flex-basis: 100%;
}
.from {
  flex: 0 0 84px;
}
.words label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.words {
  flex: 1 1 240px;
}
</style>
