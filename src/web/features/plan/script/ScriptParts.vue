<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Script, Sentence } from '#model/script'
import { beginning, movePart, quietAfterOf, scriptParts, withoutSentences, withSentence } from '#core/session'
import { counted } from '#words/text'
import ScriptSentence from './ScriptSentence.vue'

/** The parts of a script as a list to reorder; a part opens to its sentences. */
const props = defineProps<{ script: Script; sided: boolean }>()
const emit = defineEmits<{ change: [script: Script] }>()

const parts = computed(() => scriptParts(props.script))
/** A part is told by its name; where two have one, by which of them it is. */
const keyed = computed(() =>
  parts.value.map((part, at) => ({
    ...part,
    key: `${part.name} ${String(parts.value.slice(0, at).filter(({ name }) => name === part.name).length)}`,
    title: part.name === '' ? beginning : part.name,
    sentences: props.script.sentences.slice(part.from, part.to),
  })),
)
const isOne = computed(() => parts.value.length === 1)
const opened = ref<ReadonlySet<string>>(new Set())
const isOpen = (key: string): boolean => isOne.value || opened.value.has(key)
function toggle(key: string): void {
  const next = new Set(opened.value)
  if (!next.delete(key)) next.add(key)
  opened.value = next
}

const list = useTemplateRef('list')
async function move(at: number, by: number): Promise<void> {
  const to = at + by
  if (to < 0 || to >= parts.value.length) return
  emit('change', movePart(props.script, at, to))
  await nextTick()
  // The focus goes with the part.
  list.value?.querySelectorAll<HTMLElement>('.head > button:first-child')[to]?.focus()
}
function keys(event: KeyboardEvent, at: number): void {
  const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0
  if (!event.altKey || by === 0) return
  event.preventDefault()
  event.stopPropagation()
  void move(at, by)
}

const quietAfter = computed(() => quietAfterOf(props.script))
const set = (at: number, change: Partial<Sentence>) => {
  emit('change', withSentence(props.script, at, change))
}
function drop(at: number): void {
  const left = withoutSentences(props.script, new Set([at]))
  if (left) emit('change', left)
}
</script>

<template>
  <ol ref="list" class="parts" aria-label="Parts of the script">
    <li v-for="({ key, title, from, sentences }, at) in keyed" :key="key">
      <div v-if="!isOne" class="head">
        <button
          type="button"
          :aria-expanded="isOpen(key)"
          title="Open it; Alt + ↑ or ↓ moves it"
          @click="toggle(key)"
          @keydown="keys($event, at)"
        >
          <i class="pi" :class="isOpen(key) ? 'pi-chevron-down' : 'pi-chevron-right'" aria-hidden="true" />
          <b>{{ title }}</b> <span>{{ counted(sentences.length, 'sentence') }}</span>
        </button>
        <Button
          text
          size="small"
          severity="secondary"
          icon="pi pi-arrow-up"
          :aria-label="`Move ${title} up`"
          :disabled="at === 0"
          @click="move(at, -1)"
        />
        <Button
          text
          size="small"
          severity="secondary"
          icon="pi pi-arrow-down"
          :aria-label="`Move ${title} down`"
          :disabled="at === keyed.length - 1"
          @click="move(at, 1)"
        />
      </div>
      <ol v-if="isOpen(key)" class="sentences" :aria-label="`Sentences of ${title}`">
        <ScriptSentence
          v-for="(sentence, nth) in sentences"
          :key="from + nth"
          :sentence="sentence"
          :number="from + nth + 1"
          :sided="sided"
          :is-long="quietAfter === from + nth + 1"
          :is-only="script.sentences.length === 1"
          @change="set(from + nth, $event)"
          @quiet="emit('change', { ...script, quietAfter: from + nth + 1 })"
          @drop="drop(from + nth)"
        />
      </ol>
      <p v-else-if="quietAfter > from && quietAfter <= from + sentences.length" class="quiet">the long quiet</p>
    </li>
  </ol>
</template>

<style scoped>
.parts > li {
  border-top: 1px solid var(--line-soft);
}
.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 30px 30px;
  align-items: center;
}
.head > button:first-child {
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 7px 2px;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.head b {
  font-weight: 600;
}
.head span,
.head i,
.quiet {
  font-size: 14px;
  color: var(--ink-soft);
}
.head i {
  font-size: 11px;
}
.head :deep(.p-button) {
  width: 30px;
  padding: 6px 0;
}
.quiet {
  padding: 0 0 6px 22px;
  font-style: italic;
}
</style>
