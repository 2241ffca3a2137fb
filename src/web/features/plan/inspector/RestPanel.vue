<script setup lang="ts">
import InputText from 'primevue/inputtext'
import type { RestBlock } from '#model/block'
import type { FieldsOf, ResolvedRest } from '#core/session'
import { blockLimits } from '#model/limits'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

const props = defineProps<{ resolved: ResolvedRest }>()
const { setFields } = usePlan()
const set = (fields: FieldsOf<RestBlock>) => {
  setFields(props.resolved.block, fields, 'change Rest')
}
const positions = basePositionsInOrder.map((value) => ({ value, words: basePositionNames[value] }))
</script>

<template>
  <h1>Rest</h1>
  <p class="sub">{{ basePositionNames[resolved.toPosition] }} · {{ resolved.stillness.first }}</p>
  <slot name="cautions" />
  <Part title="Stillness">
    <DurationField label="Time" large :seconds="resolved.block.s" :limits="blockLimits" @change="set({ s: $event })" />
    <SelectField
      label="Position"
      :value="resolved.toPosition"
      :options="positions"
      @change="set({ basePosition: $event })"
    />
    <label for="rest-text">Words</label>
    <InputText
      id="rest-text"
      fluid
      maxlength="300"
      :model-value="resolved.block.text ?? ''"
      @change="set({ text: textOf($event) })"
    />
  </Part>
  <slot />
</template>

<style scoped>
.select-field {
  margin-top: 8px;
}
.sub,
label {
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
  margin-top: 8px;
}
</style>
