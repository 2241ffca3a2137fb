<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { SomeAnswers } from '#model/answers'
import type { TimeName } from '#model/times'
import { withFields } from '#core/session'
import type { Change, FieldsOf, Resolved, Sourced } from '#core/session'
import { answerWords } from '#words/answers'
import { afterRestName } from '#words/practices'
import { blockName } from '#words/blocks'
import { partsWords } from '#words/handling'
import { usePlan } from '../use-plan.ts'
import { textOf } from '#web/shared/ui/text-of.ts'
import Part from './Part.vue'
import TimeRow from './TimeRow.vue'

/** The times around a block, each changed in place, with where it comes from and a way back to that. */
type Moving = Exclude<Resolved, { kind: 'talk' }>
const props = defineProps<{ resolved: Moving; change: Change }>()
const { document, setFields } = usePlan()

const restName = computed(() => {
  const name = afterRestName(document.value?.practice ?? 'mixed')
  return name.charAt(0).toUpperCase() + name.slice(1)
})

interface Row {
  readonly name: string
  readonly time: TimeName
  readonly value: Sourced<number>
  /** What it is composed of. */
  readonly made?: string
}
const rows = computed((): Row[] => {
  const { resolved } = props
  const { changeS, parts } = props.change
  const change: Row = { name: 'Change', time: 'changeS', value: changeS, ...(parts ? { made: partsWords(parts) } : {}) }
  if (resolved.kind === 'hold') {
    const { times } = resolved
    const row = (name: string, time: keyof typeof times): Row => ({ name, time, value: times[time] })
    const sided =
      resolved.sides.length > 1
        ? [row('Between sides', 'betweenSidesS'), row('Set-up, second side', 'secondSetUpS')]
        : []
    return [
      change,
      row('Set-up', 'setUpS'),
      row('Settle', 'settleS'),
      row('Coming out', 'comingOutS'),
      ...sided,
      row(restName.value, 'afterRestS'),
    ]
  }
  if (resolved.kind === 'movement') {
    const sided =
      resolved.sides.length > 1
        ? [{ name: 'Between sides', time: 'betweenSidesS', value: resolved.betweenSidesS } as const]
        : []
    return [change, { name: 'Set-up', time: 'setUpS', value: resolved.setUpS }, ...sided]
  }
  return resolved.kind === 'breath' ? [change, { name: 'Set-up', time: 'setUpS', value: resolved.setUpS }] : [change]
})

const name = computed(() => blockName(props.resolved))
function set(time: TimeName, seconds: number | undefined): void {
  const { block } = props.resolved
  const words = seconds === undefined ? 'take the usual times around' : 'change the times around'
  setFields(block, { times: withFields(block.times ?? {}, { [time]: seconds }) }, `${words} ${name.value}`)
}
function setChangeText(typed: string): void {
  const changeText = typed.trim() === '' ? undefined : typed.trim()
  setFields(props.resolved.block, { changeText }, `change what is said before ${name.value}`)
}

/** Answers of the handbook's table that a hold may give for itself. */
const asked = ['betweenSides', 'afterHold', 'movementInHold', 'muscles', 'comingOutOfFolds'] as const
const answers = computed(() => {
  const { resolved } = props
  if (resolved.kind !== 'hold') return []
  const isFold = resolved.pose.meanings?.some(({ question }) => question === 'comingOutOfFolds') ?? false
  return asked
    .filter(
      (question) =>
        (question !== 'betweenSides' || resolved.sides.length > 1) && (question !== 'comingOutOfFolds' || isFold),
    )
    .map((question) => ({
      question,
      asks: answerWords[question].asks,
      isSet: resolved.block.answers?.[question] !== undefined,
      value: resolved.answers[question],
      options: Object.entries(answerWords[question].answers).map(([value, words]) => ({ value, words })),
    }))
})
/** Its fields are many, and most teachers never open them: they are set out when it is first opened. */
const isAsked = ref(false)
function setAnswer(fields: FieldsOf<SomeAnswers>): void {
  const { block } = props.resolved
  setFields(block, { answers: withFields(block.answers ?? {}, fields) }, `answer otherwise in ${name.value}`)
}
</script>

<template>
  <Part title="Around it">
    <TimeRow
      v-for="{ name: label, time, value, made } in rows"
      :key="time"
      :name="label"
      :seconds="value.value"
      :from="value.from"
      :made="made"
      @change="set(time, $event)"
      @usual="set(time, undefined)"
    />
    <label for="change-text">Said for the change, in your words</label>
    <InputText
      id="change-text"
      fluid
      maxlength="300"
      :model-value="resolved.block.changeText ?? ''"
      placeholder="fetch the chairs"
      @change="setChangeText(textOf($event))"
    />
    <details v-if="answers.length > 0" @toggle="isAsked = true">
      <summary>What this hold does otherwise</summary>
      <div v-for="row in isAsked ? answers : []" :key="row.question" class="answer">
        <span :id="`block-answer-${row.question}`"
          >{{ row.asks }} <small>{{ row.isSet ? 'set here' : 'by the school' }}</small></span
        >
        <Button
          v-if="row.isSet"
          class="back"
          text
          size="small"
          severity="secondary"
          icon="pi pi-undo"
          :aria-label="`${row.asks}: as the school`"
          @click="setAnswer({ [row.question]: undefined })"
        />
        <Select
          size="small"
          fluid
          :aria-labelledby="`block-answer-${row.question}`"
          :model-value="row.value"
          :options="row.options"
          option-label="words"
          option-value="value"
          @update:model-value="setAnswer({ [row.question]: $event })"
        />
      </div>
    </details>
  </Part>
</template>

<style scoped>
.back {
  width: 26px;
  height: 26px;
  padding: 0;
}
small {
  font-size: 13px;
  color: var(--ink-soft);
}
label {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
details {
  margin-top: 8px;
}
summary {
  cursor: pointer;
}
.answer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  margin-top: 6px;
  font-size: 14.5px;
}
.answer :deep(.p-select) {
  grid-column: 1 / -1;
}
</style>
