<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { computed, useId } from 'vue'
import { mirrorText, storeSideText } from '#core/session'
import SideText from '#web/shared/ui/SideText.vue'
import { textOf } from '#web/shared/ui/text-of.ts'

/**
 * Several short texts, one a line. With `sided` they are written for the left side, and every word for a
 * side can be kept as it stands. `read` and `write` turn a stored line into what is written, and back.
 */
const props = defineProps<{
  label: string
  note?: string
  refusal?: string
  sided?: boolean
  read?: (line: string) => string
  write?: (line: string) => string
}>()
const lines = defineModel<string[]>({ required: true })
const id = useId()
const asIs = (line: string) => line

const written = computed(() => lines.value.map(props.read ?? asIs))
const shown = computed(() => {
  const text = written.value.join('\n')
  return props.sided ? mirrorText(text, 'left') : text
})

function keep(text: string): void {
  lines.value = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map(props.write ?? asIs)
}
function take(event: Event): void {
  const typed = textOf(event)
  keep(props.sided ? storeSideText(written.value.join('\n'), typed, 'left') : typed)
}
const takeLine = (index: number, line: string) => {
  keep(written.value.with(index, line).join('\n'))
}
</script>

<template>
  <div>
    <label :for="id"
      >{{ label }} <small v-if="note">{{ note }}</small></label
    >
    <Textarea
      :id="id"
      fluid
      rows="3"
      auto-resize
      :invalid="refusal !== undefined"
      :model-value="shown"
      @change="take"
    />
    <template v-if="sided">
      <!-- A line that is read otherwise than it is stored has words of its own for a side. -->
      <template v-for="(line, index) in written" :key="index">
        <SideText v-if="line === lines[index]" :stored="line" @change="takeLine(index, $event)" />
      </template>
    </template>
    <p v-if="refusal" class="refusal">{{ refusal }}</p>
  </div>
</template>

<style scoped>
small {
  font-size: 13px;
}
label {
  display: block;
  margin-top: 10px;
  font-size: 14px;
  color: var(--ink-soft);
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
</style>
