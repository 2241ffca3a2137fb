<script setup lang="ts">
import { computed, ref, useId, useTemplateRef } from 'vue'
import { editSpans, startDoubtMs } from '#core/captions'
import type { EditedSpan, SpanEdit, ToldOfRecording } from '#core/captions'
import { formatMs } from '#core/units'
import { spanWords } from '#words/recordings'
import { useLetterKeys } from '#web/shared/settings/letter-keys.ts'
import { stripCommand } from './strip-keys.ts'
import type { StripCommand } from './strip-keys.ts'

/** A recording in true time: when somebody spoke, what was done, and how sure each of its edges is. */
const props = defineProps<{
  /** When somebody spoke. */
  spoken: ToldOfRecording['spoken']
  spans: readonly EditedSpan[]
  chosen: number
  nameOf: (span: EditedSpan) => string
}>()
const emit = defineEmits<{ choose: [at: number]; move: [edit: SpanEdit]; command: [command: StripCommand] }>()
const letters = useLetterKeys()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
defineExpose({ focus: () => box.value?.focus({ preventScroll: true }) })

/** While an edge is dragged, the strip is as it will be when it is let go. */
const dragged = ref<SpanEdit>()
const spans = computed(() => (dragged.value ? editSpans(props.spans, dragged.value) : props.spans))
const startMs = computed(() => props.spans[0]?.startMs ?? 0)
const wholeMs = computed(() => Math.max(1, (props.spans.at(-1)?.endMs ?? 0) - startMs.value))
const share = (ms: number): string => `${String((ms / wholeMs.value) * 100)}%`
const place = (fromMs: number, toMs: number) => ({ left: share(fromMs - startMs.value), width: share(toMs - fromMs) })

/** Where the edges are, and the band in which each may lie in truth. */
const edges = computed(() =>
  spans.value.slice(1).map((span, index) => {
    const at = index + 1
    const doubtMs = startDoubtMs(spans.value, at)
    const fromMs = Math.max(startMs.value, span.startMs - doubtMs)
    const toMs = Math.min(startMs.value + wholeMs.value, span.startMs + doubtMs)
    return { at, left: share(span.startMs - startMs.value), band: doubtMs > 0 ? place(fromMs, toMs) : undefined }
  }),
)
const label = (span: EditedSpan): string =>
  `${formatMs(span.startMs)}–${formatMs(span.endMs)} ${spanWords(span, props.nameOf(span))}`

function press(event: KeyboardEvent): void {
  const command = stripCommand(event, letters.value)
  if (!command) return
  event.preventDefault()
  emit('command', command)
}
function drag(at: number, event: PointerEvent): void {
  const width = box.value?.getBoundingClientRect()
  if (!width || !(event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) return
  const share = (event.clientX - width.left) / width.width
  dragged.value = { type: 'start', at, toMs: startMs.value + share * wholeMs.value }
}
function grab(event: PointerEvent): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function letGo(): void {
  if (dragged.value) emit('move', dragged.value)
  dragged.value = undefined
}
</script>

<template>
  <div class="recording">
    <div class="spoken" aria-hidden="true">
      <i v-for="(words, at) in spoken" :key="at" :style="place(words.startMs, words.endMs)" />
    </div>
    <div
      ref="box"
      class="strip"
      role="listbox"
      tabindex="0"
      aria-label="What was done, in true time"
      :aria-activedescendant="`${id}-${chosen}`"
      @keydown="press"
    >
      <div
        v-for="(span, at) in spans"
        :id="`${id}-${at}`"
        :key="at"
        role="option"
        :class="['span', span.kind, span.side, { chosen: at === chosen }]"
        :aria-selected="at === chosen"
        :aria-label="label(span)"
        :title="label(span)"
        :style="place(span.startMs, span.endMs)"
        @click="emit('choose', at)"
      >
        <span v-if="span.kind === 'hold'" aria-hidden="true">{{ nameOf(span) }}</span>
      </div>
      <template v-for="edge in edges" :key="edge.at">
        <i v-if="edge.band" class="doubt" aria-hidden="true" :style="edge.band" />
        <i
          class="edge"
          aria-hidden="true"
          :style="{ left: edge.left }"
          @pointerdown="grab"
          @pointermove="drag(edge.at, $event)"
          @pointerup="letGo"
          @pointercancel="dragged = undefined"
        />
      </template>
    </div>
    <p class="key soft" aria-hidden="true">
      <span><i class="spoken-key" /> spoken</span> <span><i class="hold" /> held</span>
      <span><i class="left" /> left</span> <span><i class="right" /> right</span> <span><i class="rest" /> rest</span>
      <span><i class="breath" /> breath</span> <span><i /> all else</span>
      <span><i class="doubt-key" /> may lie here</span>
    </p>
  </div>
</template>

<style scoped>
.spoken {
  position: relative;
  height: 12px;
  margin: 10px 0 4px;
}
.spoken i {
  position: absolute;
  inset-block: 3px 1px;
  background: var(--ink-soft);
}
.strip {
  position: relative;
  height: 52px;
  background: var(--line-soft);
  outline: 1px solid var(--line);
}
.strip:focus-visible {
  outline: 3px solid var(--ink);
}
.span {
  position: absolute;
  inset-block: 0;
  overflow: hidden;
  padding: 3px 5px;
  font-size: 14px;
  line-height: 1.15;
  color: #fff;
  border-left: 1px solid var(--sheet);
  cursor: pointer;
  container-type: inline-size;
}
/* A few letters of a name tell nothing. */
@container (width < 56px) {
  .span span {
    display: none;
  }
}
.chosen {
  box-shadow: inset 0 0 0 3px var(--chosen);
}
.hold {
  background: var(--both);
}
.left {
  background: var(--left);
}
.right {
  background: var(--right);
}
.rest {
  background: var(--rest);
}
.breath {
  background: var(--breath);
}
.doubt {
  position: absolute;
  bottom: 0;
  height: 14px;
  pointer-events: none;
}
.doubt,
.doubt-key {
  background: repeating-linear-gradient(135deg, var(--ink) 0 1.5px, rgb(255 255 255 / 70%) 1.5px 4px);
}
.edge {
  position: absolute;
  inset-block: 0;
  width: 9px;
  margin-left: -5px;
  cursor: ew-resize;
  touch-action: none;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin-top: 4px;
  font-size: 15px;
  color: var(--ink-soft);
}
.key i {
  display: inline-block;
  width: 18px;
  height: 10px;
  background: var(--line-soft);
}
.key .hold {
  background: var(--both);
}
.key .left {
  background: var(--left);
}
.key .right {
  background: var(--right);
}
.key .rest {
  background: var(--rest);
}
.key .breath {
  background: var(--breath);
}
.key .spoken-key {
  height: 8px;
  background: var(--ink-soft);
}
.key .doubt-key {
  background: repeating-linear-gradient(135deg, var(--ink) 0 1.5px, rgb(255 255 255 / 70%) 1.5px 4px);
}
</style>
