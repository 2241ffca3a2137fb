<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { ref, useId, watch } from 'vue'
import { formatDuration, parseDuration } from '#core/units'
import type { SecondsRange } from '#model/limits'
import type { Seconds } from '#core/units'
import { durationWords } from '#words/durations'

/** A time as teachers type it; a refused one stays in the field with the mend in words under it. */
const props = defineProps<{
  label: string
  seconds: Seconds
  limits: SecondsRange
  large?: boolean
  hideLabel?: boolean
}>()
const emit = defineEmits<{ change: [seconds: Seconds] }>()

const id = useId()
const text = ref(formatDuration(props.seconds))
const mend = ref('')

watch(
  () => props.seconds,
  (seconds) => {
    text.value = formatDuration(seconds)
    mend.value = ''
  },
)

function take(): void {
  if (text.value.trim() === formatDuration(props.seconds)) {
    mend.value = ''
    return
  }
  const read = parseDuration(text.value, props.limits, props.label)
  if (!read.ok) {
    mend.value = durationWords(read)
    return
  }
  mend.value = ''
  text.value = formatDuration(read.value)
  if (read.value !== props.seconds) emit('change', read.value)
}

function giveUp(): void {
  text.value = formatDuration(props.seconds)
  mend.value = ''
}
</script>

<template>
  <div class="duration">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <InputText
      :id="id"
      v-model="text"
      fluid
      autocomplete="off"
      :class="{ large }"
      :invalid="mend !== ''"
      :aria-describedby="mend === '' ? undefined : `${id}-mend`"
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="giveUp"
    />
    <p v-if="mend !== ''" :id="`${id}-mend`" class="mend" role="alert">{{ mend }}</p>
  </div>
</template>

<style scoped>
.duration {
  min-width: 0;
}
label {
  font-size: 14px;
  color: var(--ink-soft);
  display: block;
}
.large {
  font-size: 25px;
  font-weight: 650;
  padding-block: 0.1rem;
}
.mend {
  color: var(--avoid);
  font-size: 14px;
  margin: 2px 0 0;
}
</style>
