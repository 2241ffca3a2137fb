<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { recordedWords, roomToSay } from '#words/own-voice'
import type { Sentence } from '#web/shared/voice/sentences.ts'

/** The sentence that is recorded now: what to say, how much room there is for it, and what is heard of it. */
const props = defineProps<{
  sentence: Sentence
  place: number
  of: number
  state: 'idle' | 'asking' | 'recording' | 'keeping'
  /** How loud it is now, 0 to 1, and how long it is recorded. */
  level: number
  lengthMs: number
  hasLetterKeys: boolean
}>()
const emit = defineEmits<{ record: []; hear: []; remove: []; step: [by: 1 | -1] }>()
const isRecording = computed(() => props.state === 'recording')
const label = computed(() => {
  if (isRecording.value) return 'Stop'
  if (props.state === 'keeping') return 'Keeping it…'
  return props.sentence.voice ? 'Record again' : 'Record'
})
/** The ear hears halves: −40 dB is the bar's beginning. */
const shown = computed(() =>
  Math.max(0, Math.min(100, 100 + (20 * Math.log10(Math.max(props.level, 1e-5)) * 100) / 40)),
)
const about = computed(() => {
  const { voice } = props.sentence
  return voice ? recordedWords(voice.lengthMs, props.sentence) : roomToSay(props.sentence)
})
</script>

<template>
  <section class="card" aria-labelledby="sentence">
    <p class="where">
      {{ sentence.where }}<template v-if="sentence.times > 1">, {{ sentence.times }} times in all</template>
      <span>{{ place }} of {{ of }}</span>
    </p>
    <h2 id="sentence">{{ sentence.text }}</h2>
    <p class="about" :class="{ long: sentence.voice && sentence.voice.lengthMs > sentence.mostMs }">{{ about }}</p>
    <div class="acts">
      <Button
        class="record"
        :icon="isRecording ? 'pi pi-stop' : 'pi pi-circle-fill'"
        :label="label"
        :disabled="state === 'asking' || state === 'keeping'"
        @click="emit('record')"
      />
      <Button
        severity="secondary"
        outlined
        icon="pi pi-volume-up"
        label="Listen"
        :disabled="!sentence.voice || state !== 'idle'"
        @click="emit('hear')"
      />
      <Button
        severity="secondary"
        outlined
        label="Remove"
        :disabled="!sentence.voice || state !== 'idle'"
        @click="emit('remove')"
      />
    </div>
    <div class="meter" :class="{ on: isRecording }" aria-hidden="true">
      <span :style="{ width: isRecording ? `${shown}%` : '0' }" />
    </div>
    <p class="running" role="timer">
      <template v-if="isRecording">Recording, {{ Math.floor(lengthMs / 1000) }} s</template>
    </p>
    <div class="steps">
      <Button
        severity="secondary"
        text
        icon="pi pi-arrow-up"
        label="Before"
        :disabled="place <= 1 || state !== 'idle'"
        @click="emit('step', -1)"
      />
      <Button
        severity="secondary"
        text
        icon="pi pi-arrow-down"
        label="Next"
        :disabled="place >= of || state !== 'idle'"
        @click="emit('step', 1)"
      />
      <small><template v-if="hasLetterKeys">R records and stops, L listens, </template>↑ ↓ choose</small>
    </div>
    <slot />
  </section>
</template>

<style scoped>
.card {
  padding: 16px 20px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--ground);
}
.where {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  margin: 0;
  color: #4b5854;
}
h2 {
  min-height: 3.9em;
  margin: 8px 0;
  font-size: 27px;
  line-height: 1.3;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.about {
  min-height: 3em;
  margin: 0 0 10px;
}
.long {
  font-weight: 650;
  color: var(--avoid);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.acts :deep(.p-button) {
  min-height: 48px;
}
.record {
  min-width: 168px;
}
.meter {
  height: 12px;
  margin-top: 14px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  overflow: hidden;
}
.meter span {
  display: block;
  height: 100%;
  background: var(--both);
}
.running {
  min-height: 1.5em;
  margin: 4px 0 0;
  font-variant-numeric: tabular-nums;
}
.steps {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
small {
  font-size: 14px;
  color: #4b5854;
}
</style>
