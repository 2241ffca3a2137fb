<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import { nextTick, useTemplateRef } from 'vue'
import { textLimits } from '#model/limits'
import { formatMs } from '#core/units'
import LineField from '#web/shared/ui/LineField.vue'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { isTyping } from '#web/shared/session/use-undo-keys.ts'
import { useMarks } from './use-marks.ts'

/** Looking on while another device leads: what is marked here stands beside the record of the class, at its time. */
const props = defineProps<{ classId: string; inMs: () => number }>()
const { marks, isSent, mark, write, takeAway } = useMarks(props.classId)
const list = useTemplateRef<HTMLElement>('list')

async function markNow(): Promise<void> {
  await mark(props.inMs())
  await nextTick()
  list.value?.querySelector('input')?.focus()
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() !== 'm' || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  if (isTyping(event.target)) return
  event.preventDefault()
  void markNow()
})
/** What is written is written: the next M marks again. */
function leaveField(event: KeyboardEvent): void {
  if (event.target instanceof HTMLInputElement) event.target.blur()
}
</script>

<template>
  <section class="look-on" aria-labelledby="look-on">
    <h2 id="look-on">Look on</h2>
    <p class="note">What you mark here stands in the journal beside the record of this class, at its time.</p>
    <Button class="mark" severity="secondary" outlined @click="markNow"><b>Mark</b> <kbd>M</kbd></Button>
    <p v-if="!isSent" role="status">Not saved yet: Zovrin’s server does not answer. Your marks are kept here.</p>
    <ol v-if="marks.length > 0" ref="list" aria-label="Your marks" @keydown.enter="leaveField">
      <li v-for="one in marks" :key="one.id">
        <span class="figure">{{ formatMs(one.atMs) }}</span>
        <div>
          <LineField
            :label="`What you saw at ${formatMs(one.atMs)}`"
            :text="one.text"
            :most="textLimits.line"
            @change="write(one, $event)"
          />
          <NameTyped :text="one.text" @change="write(one, $event)" />
        </div>
        <Button
          text
          severity="secondary"
          icon="pi pi-trash"
          :aria-label="`Take away the mark at ${formatMs(one.atMs)}`"
          @click="takeAway(one)"
        />
      </li>
    </ol>
  </section>
</template>

<style scoped>
.look-on {
  display: grid;
  justify-items: start;
  gap: 10px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
h2 {
  margin: 0;
  font-size: 26px;
}
.note {
  font-size: 17px;
  color: var(--ink-soft);
}
.mark {
  min-height: 56px;
  padding-inline: 28px;
  font-size: 20px;
}
ol {
  justify-self: stretch;
  max-height: 32dvh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) auto;
  align-items: end;
  gap: 12px;
  padding: 4px 0;
}
.figure {
  padding-bottom: 6px;
  font-size: 20px;
}
</style>
