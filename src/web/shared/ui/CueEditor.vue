<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { Cue, Sound } from '#model/cue'
import type { Phase } from '#model/phase'
import { mirrorText, storeSideText } from '#core/session'
import { betweenLimits } from '#model/limits'
import DurationField from './DurationField.vue'
import SideText from './SideText.vue'
import { textOf } from '#web/shared/ui/text-of.ts'

/** Cues with their moments, words and sounds. In a pose with sides words are written for the left one. */
const props = defineProps<{ sided: boolean; phases?: readonly Phase[] }>()
const cues = defineModel<readonly Cue[]>({ required: true })

type Moment = 'start' | 'half' | 'share' | 'end'
const allMoments: { value: Moment; words: string }[] = [
  { value: 'start', words: 'after the start' },
  { value: 'half', words: 'at half time' },
  { value: 'share', words: 'after a share' },
  { value: 'end', words: 'before the end' },
]
const sounds: { value: Sound['kind'] | 'none'; words: string }[] = [
  { value: 'none', words: 'no sound' },
  { value: 'bowl', words: 'bowl' },
  { value: 'wood', words: 'wood' },
  { value: 'lowBell', words: 'low bell' },
]

const momentOf = ({ at }: Cue): Moment =>
  'share' in at ? (at.share === 0.5 ? 'half' : 'share') : 'beforeEndS' in at ? 'end' : 'start'
const secondsOf = ({ at }: Cue): number => ('fromStartS' in at ? at.fromStartS : 'beforeEndS' in at ? at.beforeEndS : 0)
/** A share other than half is only offered to a cue that has one. The same list each time, so that nothing is drawn anew. */
const moments = allMoments.filter(({ value }) => value !== 'share')
const momentChoices = (cue: Cue) => (momentOf(cue) === 'share' ? allMoments : moments)
function makeAt(moment: Moment, seconds: number): Cue['at'] {
  if (moment === 'half' || moment === 'share') return { share: 0.5 }
  return moment === 'end' ? { beforeEndS: Math.max(1, seconds) } : { fromStartS: seconds }
}
const phaseChoices = computed(() => (props.phases ?? []).map(({ id, name }) => ({ value: id, words: name })))
const restPhase = computed(() => props.phases?.find(({ length }) => 'rest' in length)?.id ?? '')

const shown = (cue: Cue) => (props.sided ? mirrorText(cue.text ?? '', 'left') : (cue.text ?? ''))

function set(index: number, change: Partial<Cue>): void {
  cues.value = cues.value.map((cue, at) => (at === index ? { ...cue, ...change } : cue))
}
function setText(index: number, cue: Cue, typed: string): void {
  set(index, { text: props.sided ? storeSideText(cue.text ?? '', typed, 'left') : typed })
}
function setSound(index: number, kind: Sound['kind'] | 'none'): void {
  cues.value = cues.value.map((cue, at) => {
    if (at !== index) return cue
    const { sound, ...silent } = cue
    return kind === 'none'
      ? { ...silent, text: silent.text ?? '' }
      : { ...silent, sound: { kind, strokes: sound?.strokes ?? 1 } }
  })
}
const add = () => {
  cues.value = [...cues.value, { id: nanoid(8), at: { fromStartS: 30 }, text: '' }]
}
const drop = (index: number) => {
  cues.value = cues.value.filter((_, at) => at !== index)
}
</script>

<template>
  <ul class="cues">
    <li v-for="(cue, index) in cues" :key="cue.id">
      <Select
        size="small"
        :aria-label="`When cue ${index + 1} is said`"
        :model-value="momentOf(cue)"
        :options="momentChoices(cue)"
        option-label="words"
        option-value="value"
        @update:model-value="set(index, { at: makeAt($event, secondsOf(cue) || 20) })"
      />
      <DurationField
        v-if="momentOf(cue) === 'start' || momentOf(cue) === 'end'"
        hide-label
        :label="`Time of cue ${index + 1}`"
        :seconds="secondsOf(cue)"
        :limits="betweenLimits"
        @change="set(index, { at: makeAt(momentOf(cue), $event) })"
      />
      <span v-else />
      <Button
        text
        size="small"
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Remove cue ${index + 1}`"
        @click="drop(index)"
      />
      <div class="words">
        <InputText
          :aria-label="`Words of cue ${index + 1}`"
          fluid
          maxlength="300"
          :model-value="shown(cue)"
          @change="setText(index, cue, textOf($event))"
        />
        <SideText v-if="sided" :stored="cue.text ?? ''" @change="set(index, { text: $event })" />
        <div class="last">
          <Select
            size="small"
            :aria-label="`Sound of cue ${index + 1}`"
            :model-value="cue.sound?.kind ?? 'none'"
            :options="sounds"
            option-label="words"
            option-value="value"
            @update:model-value="setSound(index, $event)"
          />
          <Select
            v-if="phaseChoices.length > 1"
            size="small"
            :aria-label="`Phase of cue ${index + 1}`"
            :model-value="cue.phaseId ?? restPhase"
            :options="phaseChoices"
            option-label="words"
            option-value="value"
            @update:model-value="set(index, { phaseId: $event })"
          />
        </div>
      </div>
    </li>
  </ul>
  <Button v-if="cues.length < 20" size="small" text severity="secondary" label="Add a cue" @click="add" />
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 72px 30px;
  gap: 4px;
  align-items: start;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
}
li:first-child {
  border-top: 0;
}
.words {
  grid-column: 1 / -1;
  display: grid;
  gap: 4px;
}
.last {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 4px;
}
li :deep(.p-button) {
  width: 30px;
  padding: 6px 0;
}
</style>
