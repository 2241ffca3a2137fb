<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import type { RestBlock } from '#model/block'
import { isLying, usualComingUp } from '#core/session'
import type { FieldsOf, ResolvedRest } from '#core/session'
import { blockLimits } from '#model/limits'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import ComingUpPart from './ComingUpPart.vue'
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
    <template v-if="isLying(resolved.toPosition)">
      <div class="comes-up">
        <Checkbox
          binary
          input-id="rest-comes-up"
          :model-value="resolved.ending !== undefined"
          @update:model-value="set({ ending: $event ? { ...usualComingUp } : undefined })"
        />
        <label for="rest-comes-up">Comes up in steps, as at the end</label>
      </div>
      <p v-if="!resolved.ending" class="sub">For a rest before a break: a bell, the roll and sitting up.</p>
    </template>
  </Part>
  <ComingUpPart
    v-if="resolved.ending"
    :up="resolved.ending"
    :roll="resolved.answers.roll"
    @time="set({ ending: { ...resolved.block.ending, ...$event } })"
    @roll="set({ answers: { ...resolved.block.answers, roll: $event } })"
  />
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
.comes-up {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 12px;
}
.comes-up label {
  margin: 0;
  font-size: inherit;
  color: var(--ink);
}
</style>
