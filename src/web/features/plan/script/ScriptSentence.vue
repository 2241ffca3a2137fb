<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed } from 'vue'
import type { Sentence } from '#model/script'
import { mirrorText, storeSideText, usualPauseS } from '#core/session'
import { betweenLimits } from '#model/limits'
import DurationField from '#web/shared/ui/DurationField.vue'
import SideText from '#web/shared/ui/SideText.vue'
import { textOf } from '#web/shared/ui/text-of.ts'

/** A sentence of a script, how long it is quiet after it, and whether the long quiet lies there. */
const props = defineProps<{
  sentence: Sentence
  /** From 1. */
  number: number
  sided: boolean
  isLong: boolean
  isOnly: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<Sentence>]; quiet: []; drop: [] }>()

const shown = computed(() => (props.sided ? mirrorText(props.sentence.text, 'left') : props.sentence.text))
/** Words on several lines become as many sentences, each with its sides. */
function setText(typed: string): void {
  const stored = (line: string) => (props.sided ? storeSideText(props.sentence.text, line, 'left') : line)
  emit('change', { text: typed.split('\n').map(stored).join('\n') })
}
</script>

<template>
  <li :class="{ long: isLong }">
    <Textarea
      fluid
      auto-resize
      rows="1"
      maxlength="6000"
      :aria-label="`Sentence ${number}`"
      title="Words on several lines become as many sentences"
      :model-value="shown"
      @change="setText(textOf($event))"
    />
    <SideText v-if="sided" :stored="sentence.text" @change="emit('change', { text: $event })" />
    <div class="after">
      <span>quiet</span>
      <DurationField
        hide-label
        :label="`Quiet after sentence ${number}`"
        :seconds="sentence.pauseAfterS ?? usualPauseS"
        :limits="betweenLimits"
        @change="emit('change', { pauseAfterS: $event })"
      />
      <Button
        size="small"
        text
        severity="secondary"
        :label="isLong ? 'and the long quiet' : 'long quiet here'"
        :aria-pressed="isLong"
        :aria-label="`The long quiet after sentence ${number}`"
        @click="emit('quiet')"
      />
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-times"
        :disabled="isOnly"
        :aria-label="`Remove sentence ${number}`"
        @click="emit('drop')"
      />
    </div>
  </li>
</template>

<style scoped>
li {
  padding: 4px 0 6px;
}
li.long {
  border-bottom: 3px double var(--ink);
}
.after {
  display: grid;
  grid-template-columns: auto 66px minmax(0, 1fr) 30px;
  gap: 6px;
  align-items: center;
  font-size: 14px;
  color: var(--ink-soft);
}
.long .after :deep([aria-pressed='true']) {
  font-weight: 650;
  color: var(--ink);
}
.after > :deep(.p-button:last-child) {
  width: 30px;
  padding: 6px 0;
}
</style>
