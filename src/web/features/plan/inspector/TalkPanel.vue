<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import type { TalkBlock } from '#model/block'
import type { ResolvedTalk } from '#core/session'
import { blockLimits } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

const props = defineProps<{ resolved: ResolvedTalk }>()
const { replace } = usePlan()

function set(change: Partial<TalkBlock>): void {
  replace({ ...props.resolved.block, ...change }, `change ${props.resolved.block.title}`)
}
function setTitle(field: HTMLInputElement): void {
  const title = field.value.trim()
  if (title === '') field.value = props.resolved.block.title
  else set({ title })
}
</script>

<template>
  <h1>{{ resolved.block.title }}</h1>
  <Part title="Talk">
    <label for="talk-title">Name</label>
    <InputText id="talk-title" fluid maxlength="120" :model-value="resolved.block.title" @change="setTitle($event.target as HTMLInputElement)" />
    <label for="talk-text">What to say</label>
    <Textarea id="talk-text" fluid rows="5" maxlength="20000" :model-value="resolved.block.text ?? ''" @change="set({ text: ($event.target as HTMLTextAreaElement).value })" />
    <DurationField label="Time" :seconds="resolved.block.s" :limits="blockLimits" @change="set({ s: $event })" />
  </Part>
</template>

<style scoped>
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
  margin-top: 8px;
}
</style>
