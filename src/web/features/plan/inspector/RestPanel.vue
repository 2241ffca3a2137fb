<script setup lang="ts">
import InputText from 'primevue/inputtext'
import type { RestBlock } from '#model/block'
import type { ResolvedRest } from '#core/session'
import { blockLimits } from '#core/units'
import { basePositionNames } from '#library/base-positions'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

const props = defineProps<{ resolved: ResolvedRest }>()
const { replace } = usePlan()
const set = (change: Partial<RestBlock>) => {
  replace({ ...props.resolved.block, ...change }, 'change Rest')
}
</script>

<template>
  <h1>Rest</h1>
  <p class="sub">{{ basePositionNames[resolved.toPosition] }} · move if anything tingles or hurts</p>
  <slot name="cautions" />
  <Part title="Stillness">
    <DurationField label="Time" large :seconds="resolved.block.s" :limits="blockLimits" @change="set({ s: $event })" />
    <label for="rest-text">Words</label>
    <InputText id="rest-text" fluid maxlength="300" :model-value="resolved.block.text ?? ''" @change="set({ text: ($event.target as HTMLInputElement).value })" />
  </Part>
  <slot />
</template>

<style scoped>
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
