<script setup lang="ts">
import Button from 'primevue/button'
import { computed, useTemplateRef } from 'vue'
import type { EditedSpan, SpanEdit } from '#core/captions'
import { formatMs } from '#core/units'
import { dayTimeText } from '#words/dates'
import { counted } from '#words/text'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import RecordingStrip from './RecordingStrip.vue'
import RecordingTold from './RecordingTold.vue'
import SpanPane from './SpanPane.vue'
import { splitMs } from './recording-state.ts'
import { stripKeys } from './strip-keys.ts'
import type { StripCommand } from './strip-keys.ts'
import { useRecording } from './use-recording.ts'

/** A recorded class by its captions: what was held, beside what was announced, and left beside right; all of it can be put right. */
const recording = useRecording()
const { shown, told, problem, kept, deleted, notKept, nameOf, poses, tell } = recording
const spans = computed(() => shown.value?.state.spans ?? [])
const chosen = computed(() => shown.value?.state.chosen ?? 0)
const span = computed(() => spans.value[chosen.value])
const wholeMs = computed(() => (spans.value.at(-1)?.endMs ?? 0) - (spans.value[0]?.startMs ?? 0))
const strip = useTemplateRef('strip')
const pane = useTemplateRef('pane')

const edit = (change: SpanEdit, words: string): void => {
  tell({ type: 'edit', edit: change, words })
}
const choose = (at: number): void => {
  tell({ type: 'choose', at })
}
const start = (at: number, toMs: number): void => {
  edit({ type: 'start', at, toMs }, 'move an edge')
}
const join = (): void => {
  edit({ type: 'joinNext', at: chosen.value }, 'join two stretches')
}
const split = (atMs: number): void => {
  edit({ type: 'split', at: chosen.value, atMs }, 'split a stretch')
}
function chooseSpan(wanted: EditedSpan): void {
  choose(spans.value.findIndex(({ startMs }) => startMs === wanted.startMs))
  strip.value?.focus()
}
function act(command: StripCommand): void {
  const at = chosen.value
  const now = span.value
  if (!now || !shown.value) return
  if (command.type === 'go') choose(at + command.by)
  if (command.type === 'first') choose(0)
  if (command.type === 'last') choose(spans.value.length - 1)
  if (command.type === 'start') start(at, now.startMs + command.byMs)
  if (command.type === 'end') start(at + 1, now.endMs + command.byMs)
  if (command.type === 'join') join()
  if (command.type === 'split') split(splitMs(now, shown.value.recording.captions))
  if (command.type === 'side') edit({ type: 'name', at, as: { side: command.side } }, 'name a stretch')
  if (command.type === 'name') pane.value?.focus()
}
const undo = (): void => {
  tell({ type: 'undo' })
}
useUndoKeys({
  undo,
  redo: () => {
    tell({ type: 'redo' })
  },
})
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Measure a recording</h1>
        <RouterLink :to="{ name: 'journal' }">Back to the journal</RouterLink>
      </header>
      <p class="about">
        The captions of a recorded class tell what was held, and for how long. They are read and kept in this browser
        alone: nothing is sent. What nobody said is not known.
      </p>
      <div class="files">
        <ReadFile
          label="Choose a file of captions"
          what="File of captions"
          is-any
          accept=".vtt,.srt,.txt,text/vtt,text/plain"
          @read="(_text, file) => recording.read(file)"
        />
        <SelectField
          v-if="kept.length > 1 && shown"
          label="Measured before"
          hide-label
          :value="shown.recording.id"
          :options="kept.map(({ id, name, readAt }) => ({ value: id, words: `${name}, ${dayTimeText(readAt)}` }))"
          @change="recording.open"
        />
      </div>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p v-if="notKept" role="alert">
        This browser does not keep it: what you put right is lost when this window closes.
      </p>
      <p v-if="deleted" class="deleted" role="status">
        “{{ deleted.name }}” is deleted.
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-undo"
          label="Bring it back"
          @click="recording.bringBack"
        />
      </p>
      <template v-if="shown && told && span">
        <header class="page-head name">
          <h2>{{ shown.recording.name }}</h2>
          <span>
            <UndoButton
              :steps="shown.state.done.length"
              :words="`Undo: ${shown.state.done.at(-1)?.words ?? ''}`"
              @undo="undo"
            />
            <Button
              size="small"
              text
              severity="secondary"
              icon="pi pi-trash"
              label="Delete"
              @click="recording.remove"
            />
            <Button
              size="small"
              severity="secondary"
              outlined
              label="Make a session of it"
              @click="recording.makeSession"
            />
          </span>
        </header>
        <p>
          {{ formatMs(wholeMs) }}, {{ counted(told.holds.length, 'hold', 'holds')
          }}<template v-if="told.longestQuiet"
            >; the longest quiet {{ formatMs(told.longestQuiet.endMs - told.longestQuiet.startMs) }}, from
            {{ formatMs(told.longestQuiet.startMs) }}</template
          >.
        </p>
        <p v-for="note in shown.recording.notes" :key="note" class="soft">{{ note }}</p>
        <RecordingStrip
          ref="strip"
          :spoken="told.spoken"
          :spans="spans"
          :chosen="chosen"
          :name-of="nameOf"
          @choose="choose"
          @move="edit($event, 'move an edge')"
          @command="act"
        />
        <SpanPane
          ref="pane"
          :span="span"
          :captions="shown.recording.captions"
          :poses="poses"
          :is-first="chosen === 0"
          :is-last="chosen === spans.length - 1"
          @name="edit({ type: 'name', at: chosen, as: $event }, 'name a stretch')"
          @start="start(chosen, $event)"
          @end="start(chosen + 1, $event)"
          @join="join"
          @split="split"
        />
        <details>
          <summary>Keys on the strip</summary>
          <dl>
            <template v-for="[keys, does] in stripKeys" :key="keys">
              <dt>{{ keys }}</dt>
              <dd>{{ does }}</dd>
            </template>
          </dl>
        </details>
        <RecordingTold :told="told" :name-of="nameOf" @choose="chooseSpan" />
      </template>
    </div>
  </div>
</template>

<style scoped>
.about {
  max-width: 640px;
  margin-bottom: 12px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.soft {
  color: var(--ink-soft);
  font-size: 15px;
}
.name {
  margin-top: 18px;
  align-items: center;
}
h2 {
  margin: 0;
  overflow-wrap: anywhere;
}
.deleted {
  display: flex;
  align-items: center;
  gap: 12px;
}
details {
  margin-top: 10px;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 2px 12px;
  margin: 4px 0 0;
}
dt {
  font-weight: 650;
}
dd {
  margin: 0;
}
</style>
