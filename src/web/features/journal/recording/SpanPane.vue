<script setup lang="ts">
import Button from 'primevue/button'
import { computed, useTemplateRef } from 'vue'
import { holdLimits, ledLimits } from '#model/limits'
import { leastSpanMs, spanKinds } from '#core/captions'
import type { Caption, EditedSpan, SpanNamed } from '#core/captions'
import { formatMs } from '#core/units'
import { spanNames } from '#words/recordings'
import DurationField from '#web/shared/ui/DurationField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** The stretch that is chosen: what it is, from when to when, and what was said in it. */
const props = defineProps<{
  span: EditedSpan
  captions: readonly Caption[]
  poses: readonly { readonly value: string; readonly words: string }[]
  isFirst: boolean
  isLast: boolean
}>()
const emit = defineEmits<{
  name: [as: SpanNamed]
  start: [toMs: number]
  end: [toMs: number]
  join: []
  split: [atMs: number]
}>()
const kinds = spanKinds.map((value) => ({ value, words: spanNames[value] }))
const sides = [
  { value: '', words: 'Both, or not said' },
  { value: 'left', words: 'Left' },
  { value: 'right', words: 'Right' },
] as const
const poses = computed(() => [{ value: '', words: 'Unknown shape' }, ...props.poses])
/** A time of the recording, as it is typed. */
const times = { leastS: 0, mostS: ledLimits.runMs / 1000 }
const announced = { leastS: 0, mostS: holdLimits.mostS }
const said = computed(() =>
  props.captions.filter(({ startMs, endMs }) => startMs < props.span.endMs && endMs > props.span.startMs),
)
const mayCut = ({ startMs }: Caption): boolean =>
  startMs >= props.span.startMs + leastSpanMs && startMs <= props.span.endMs - leastSpanMs
const fields = useTemplateRef<HTMLElement>('fields')
defineExpose({ focus: () => fields.value?.querySelector<HTMLElement>('[role=combobox]')?.focus() })
</script>

<template>
  <section class="pane" aria-labelledby="span-title">
    <div ref="fields" class="fields">
      <h2 id="span-title">{{ formatMs(span.startMs) }}–{{ formatMs(span.endMs) }}</h2>
      <SelectField label="What it is" :value="span.kind" :options="kinds" @change="emit('name', { kind: $event })" />
      <template v-if="span.kind === 'hold'">
        <SelectField
          label="Pose"
          is-searched
          :value="span.poseId ?? ''"
          :options="poses"
          @change="emit('name', { poseId: $event === '' ? null : $event })"
        />
        <SelectField
          label="Side"
          :value="span.side ?? ''"
          :options="sides"
          @change="emit('name', { side: $event === '' ? null : $event })"
        />
      </template>
      <div class="times">
        <DurationField
          v-if="!isFirst"
          label="Begins at"
          :seconds="Math.round(span.startMs / 1000)"
          :limits="times"
          @change="emit('start', $event * 1000)"
        />
        <DurationField
          v-if="!isLast"
          label="Ends at"
          :seconds="Math.round(span.endMs / 1000)"
          :limits="times"
          @change="emit('end', $event * 1000)"
        />
        <DurationField
          v-if="span.kind === 'hold'"
          label="Announced"
          :seconds="span.announcedS ?? 0"
          :limits="announced"
          @change="emit('name', { announcedS: $event === 0 ? null : $event })"
        />
      </div>
      <Button
        v-if="!isLast"
        size="small"
        severity="secondary"
        outlined
        label="Join with the next"
        @click="emit('join')"
      />
    </div>
    <div class="said">
      <h3>Said in it</h3>
      <p v-if="said.length === 0" class="soft">Nothing: quiet.</p>
      <ol>
        <li v-for="caption in said" :key="`${caption.startMs} ${caption.text}`">
          <span class="figure soft">{{ formatMs(caption.startMs) }}</span>
          <span>{{ caption.text }}</span>
          <Button
            v-if="mayCut(caption)"
            size="small"
            text
            severity="secondary"
            label="Split here"
            :aria-label="`Split at ${formatMs(caption.startMs)}`"
            @click="emit('split', caption.startMs)"
          />
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 26px;
  margin-top: 12px;
  padding: 12px 14px;
  background: var(--ground);
  border-radius: 6px;
}
.fields {
  display: grid;
  align-content: start;
  gap: 8px;
}
.times {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 8px;
}
h2,
h3 {
  margin: 0;
  font-size: 18px;
}
.said {
  min-width: 0;
}
ol {
  max-height: 300px;
  margin: 4px 0 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 10px;
  padding: 3px 0;
  border-top: 1px solid var(--line-soft);
}
.soft {
  color: var(--ink-soft);
}
@media (max-width: 760px) {
  .pane {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
