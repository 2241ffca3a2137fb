<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import type { Cue } from '#model/cue'
import { betweenLimits } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'

/** Cues with their moments: from the start, at half time, before the end. */
const props = defineProps<{ read: (text: string) => string; write: (text: string) => string }>()
const cues = defineModel<Cue[]>({ required: true })

const moments = [
  { value: 'start', words: 'after the start' },
  { value: 'half', words: 'at half time' },
  { value: 'end', words: 'before the end' },
] as const
type Moment = (typeof moments)[number]['value']

const momentOf = ({ at }: Cue): Moment => ('share' in at ? 'half' : 'beforeEndS' in at ? 'end' : 'start')
const secondsOf = ({ at }: Cue): number => ('fromStartS' in at ? at.fromStartS : 'beforeEndS' in at ? at.beforeEndS : 0)
const makeAt = (moment: Moment, seconds: number): Cue['at'] =>
  moment === 'half' ? { share: 0.5 } : moment === 'end' ? { beforeEndS: Math.max(1, seconds) } : { fromStartS: seconds }

function set(index: number, change: Partial<Cue>): void {
  cues.value = cues.value.map((cue, at) => (at === index ? { ...cue, ...change } : cue))
}
const add = () => {
  cues.value = [...cues.value, { id: nanoid(8), at: { fromStartS: 30 }, text: '' }]
}
const drop = (index: number) => {
  cues.value = cues.value.filter((_, at) => at !== index)
}
</script>

<template>
  <ul>
    <li v-for="(cue, index) in cues" :key="cue.id">
      <Select :aria-label="`When cue ${index + 1} is said`" :model-value="momentOf(cue)" :options="moments as never[]" option-label="words" option-value="value" @update:model-value="set(index, { at: makeAt($event as Moment, secondsOf(cue) || 20) })" />
      <DurationField v-if="momentOf(cue) !== 'half'" hide-label :label="`Seconds of cue ${index + 1}`" :seconds="secondsOf(cue)" :limits="betweenLimits" @change="set(index, { at: makeAt(momentOf(cue), $event) })" />
      <span v-else />
      <InputText :aria-label="`Words of cue ${index + 1}`" fluid maxlength="300" :model-value="props.read(cue.text ?? '')" @change="set(index, { text: props.write(($event.target as HTMLInputElement).value) })" />
      <Button text severity="secondary" icon="pi pi-times" :aria-label="`Remove cue ${index + 1}`" @click="drop(index)" />
    </li>
  </ul>
  <Button v-if="cues.length < 20" size="small" text severity="secondary" label="Add a cue" @click="add" />
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 160px 84px minmax(0, 1fr) 36px;
  gap: 8px;
  margin-top: 6px;
}
</style>
