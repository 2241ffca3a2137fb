<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, useId } from 'vue'
import { mirrorText, storeSideText, typedLines } from '#core/session'
import type { ResolvedHold } from '#core/session'
import { textOf } from '#web/shared/ui/text-of.ts'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

/** What is said while people arrange themselves: the pose's words until the teacher has own ones here. */
const props = defineProps<{ resolved: ResolvedHold }>()
const { setFields } = usePlan()
const id = useId()

/** As many lines as a set-up may have. */
const mostLines = 12
const isSided = computed(() => props.resolved.pose.sides !== undefined)
const shown = computed(() =>
  props.resolved.setUpWords.map((line) => (isSided.value ? mirrorText(line, 'left') : line)).join('\n'),
)
const name = computed(() => props.resolved.pose.names.english)

/** A line that was not touched keeps its sides as they stand. */
function set(typed: string): void {
  const before = props.resolved.setUpWords
  const lines = typedLines(typed)
    .slice(0, mostLines)
    .map((line, at) => (isSided.value ? storeSideText(before[at] ?? '', line, 'left') : line))
  setFields(
    props.resolved.block,
    { setUpWords: lines.length === 0 ? undefined : lines },
    `change the words of ${name.value}`,
  )
}
</script>

<template>
  <Part title="Said while arranging" :note="isSided ? 'a line each, written for the left side' : 'a line each'">
    <label :for="id" class="visually-hidden">Said while arranging {{ name }}, a line each</label>
    <Textarea :id="id" fluid auto-resize rows="2" maxlength="4000" :model-value="shown" @change="set(textOf($event))" />
    <Button
      v-if="resolved.block.setUpWords"
      size="small"
      text
      severity="secondary"
      label="Take the usual words again"
      @click="setFields(resolved.block, { setUpWords: undefined }, `take the usual words of ${name}`)"
    />
  </Part>
</template>
