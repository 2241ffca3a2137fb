<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { shelfEntries } from '#web/shared/shelf/entries.ts'
import { makeFinder } from '#web/shared/shelf/find.ts'
import ShelfThumb from '#web/shared/shelf/ShelfThumb.vue'
import { vDraggable } from '../dragging.ts'
import { usePlan } from '../use-plan.ts'
import { bestOnShelf, inGroups, shelfLines } from './shelf-groups.ts'
import type { ShelfLine } from './shelf-groups.ts'

const emit = defineEmits<{ added: [] }>()

const { document, add } = usePlan()
const wanted = ref('')
const field = useTemplateRef<{ $el: HTMLInputElement }>('field')
const list = useTemplateRef('list')

const own = useOwnStore()
const practice = computed(() => document.value?.practice ?? 'mixed')
const level = computed(() => document.value?.level ?? 'regular')
const lines = computed(() =>
  shelfLines(shelfEntries(own.shelf, { practice: practice.value, level: level.value }, own.pieces)),
)
const find = computed(() => makeFinder(lines.value))
const found = computed(() => find.value(wanted.value))
const groups = computed(() => inGroups(found.value))

/** What Enter takes, marked while something is looked for. */
const best = computed(() => (wanted.value.trim() === '' ? undefined : bestOnShelf(found.value, wanted.value)))

/** What Enter takes is seen, wherever in the list it stands. */
watch(groups, () => list.value?.querySelector('.best')?.scrollIntoView({ block: 'nearest' }), { flush: 'post' })

function focusFind(): void {
  const input = field.value?.$el
  input?.focus()
  input?.select()
}
defineExpose({ focusFind })

function put({ thing, name }: ShelfLine, thenSpine: boolean): void {
  add(thing, name)
  if (thenSpine) emit('added')
}

function putFirst(): void {
  const line = best.value
  if (!line) return
  put(line, true)
  wanted.value = ''
}

const rows = (): HTMLElement[] => [...(list.value?.querySelectorAll<HTMLElement>('.line') ?? [])]

/** One line is a tab stop, the one that had the focus last: the arrow keys walk the others. */
const lastId = ref<string>()
const firstId = computed(() => groups.value[0]?.lines[0]?.id)
watch(groups, (now) => {
  if (!now.some(({ lines: all }) => all.some(({ id }) => id === lastId.value))) lastId.value = undefined
})
/** Arrow keys walk the lines; up from the first goes back to the field. */
function walk(event: KeyboardEvent, by: number): void {
  event.preventDefault()
  const all = rows()
  const at = all.findIndex((row) => row === event.target)
  if (at + by < 0) focusFind()
  else all[at + by]?.focus()
}

async function leave(): Promise<void> {
  wanted.value = ''
  await nextTick()
  emit('added')
}
</script>

<template>
  <section class="shelf" aria-label="Shelf">
    <header>
      <h2>Shelf</h2>
      <RouterLink class="all" :to="{ name: 'shelf' }">All of the shelf</RouterLink>
    </header>
    <label class="visually-hidden" for="shelf-find">Find a pose or breath</label>
    <InputText
      id="shelf-find"
      ref="field"
      v-model="wanted"
      class="find"
      placeholder="Find a pose or breath   /"
      autocomplete="off"
      @keydown.enter.prevent="putFirst"
      @keydown.down="walk($event, 1)"
      @keydown.esc="leave"
    />
    <div ref="list" class="list scrolls">
      <template v-for="group in groups" :key="group.name">
        <h3>{{ group.name }}</h3>
        <ul>
          <li v-for="line in group.lines" :key="line.id">
            <button
              v-draggable="{ what: 'thing', thing: line.thing, name: line.name }"
              type="button"
              class="line"
              :class="{ best: line === best }"
              :tabindex="line.id === (lastId ?? firstId) ? 0 : -1"
              @focus="lastId = line.id"
              :aria-label="`Add ${line.name}, ${line.under}, usual ${line.usual}`"
              @click="put(line, false)"
              @keydown.down="walk($event, 1)"
              @keydown.up="walk($event, -1)"
              @keydown.enter.prevent="put(line, true)"
              @keydown.esc="leave"
            >
              <ShelfThumb :thing="line.thing" :glyph="line.glyph" />
              <span class="words"
                ><span class="name">{{ line.name }}</span
                ><small>{{ line.under }}</small></span
              >
              <span v-if="line === best" class="usual" aria-hidden="true">Enter</span>
              <span v-else class="usual">{{ line.usual }}</span>
              <i class="pi pi-plus" aria-hidden="true" />
            </button>
          </li>
        </ul>
      </template>
      <p v-if="groups.length === 0" class="none">
        Nothing on the shelf is called “{{ wanted }}”. Try part of the English or Sanskrit name, or where it is felt.
      </p>
    </div>
  </section>
</template>

<style scoped>
.shelf {
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--line);
  background: var(--sheet);
  padding-top: 14px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 0 16px;
}
.all {
  font-size: 14px;
  color: var(--ink-soft);
}
.find {
  margin: 8px 16px 10px;
}
.list {
  border-top: 1px solid var(--line-soft);
  flex: 1;
}
h3 {
  padding: 10px 16px 4px;
  color: var(--ink-soft);
  font-size: 14px;
}
li {
  border-top: 1px solid var(--line-soft);
}
.line {
  display: grid;
  --thumb: 48px;
  grid-template-columns: var(--thumb) minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  padding: 5px 12px 5px 10px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: grab;
  position: relative;
}
.line:focus-visible {
  outline-offset: -2px;
}
.line:hover,
.line:focus-visible {
  background: var(--line-soft);
}
.words {
  min-width: 0;
}
.name {
  display: block;
  overflow-wrap: anywhere;
}
small {
  display: block;
  font-size: 13px;
  color: var(--ink-soft);
}
.usual {
  font-size: 14px;
  color: var(--ink-soft);
  white-space: nowrap;
}
.pi-plus {
  display: none;
  position: absolute;
  right: 14px;
  padding: 6px;
  border-radius: 6px;
  background: var(--ink);
  color: #fff;
  font-size: 12px;
}
.line:hover .pi-plus,
.line:focus-visible .pi-plus {
  display: block;
}
/* The plus stands in its place. */
.line:hover .usual,
.line:focus-visible .usual {
  visibility: hidden;
}
.best {
  background: var(--chosen-wash);
}
.none {
  padding: 14px 16px;
  color: var(--ink-soft);
}
</style>
