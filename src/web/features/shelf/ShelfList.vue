<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { basePositionNames } from '#words/positions'
import { targetNames } from '#words/targets'
import { capital } from '#words/text'
import type { ShelfEntry } from '#web/shared/shelf/entries.ts'
import ShelfThumb from '#web/shared/shelf/ShelfThumb.vue'
import { useShelf } from './use-shelf.ts'

const { session, shown, entries, chosen, wanted, add, clear } = useShelf()
const levelWords = { new: 'everyone', regular: 'regular and up', experienced: 'experienced' } as const
const whom = ({ isRare, fromLevel }: ShelfEntry) => (isRare ? 'in person' : levelWords[fromLevel])
const otherNames = ({ sanskrit, others }: ShelfEntry) => [...(sanskrit ? [sanskrit] : []), ...others].join(', ')
const glyphOf = ({ kind, base, isProtocol }: ShelfEntry) =>
  kind === 'breath' || isProtocol ? 'breath' : kind === 'piece' ? 'words' : base
function whatOf({ kind, sided, isProtocol }: ShelfEntry): string {
  if (kind === 'breath') return 'breath'
  if (isProtocol) return 'a protocol'
  if (kind === 'piece') return 'a piece begins here'
  const sides = sided ? 'each side' : 'both at once'
  return kind === 'movement' ? `movement, ${sides}` : sides
}
const counted = computed(() =>
  shown.value.length === entries.value.length
    ? `${String(entries.value.length)} on the shelf`
    : `${String(shown.value.length)} of ${String(entries.value.length)}`,
)

const isTicked = computed(() => Object.values(chosen.value).some((values) => values.length > 0))
const what = computed(() => {
  const named = wanted.value === '' ? [] : [`“${wanted.value}”`]
  return [...named, ...(isTicked.value ? ['all of what is ticked'] : [])].join(' and ')
})

/** Arrow keys walk the names. */
function walk(event: KeyboardEvent, by: number): void {
  const names = [...document.querySelectorAll<HTMLElement>('.shelf-list .name')]
  const next = names[names.findIndex((name) => name === event.target) + by]
  if (!next) return
  event.preventDefault()
  next.focus()
}
</script>

<template>
  <div class="shelf-list">
    <header>
      <h1>All of the shelf</h1>
      <span class="counted" role="status">{{ counted }}</span>
      <RouterLink class="make" :to="{ name: 'own-pose-new' }">Make a pose of your own</RouterLink>
    </header>
    <table v-if="shown.length > 0" class="list">
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col">Position</th>
          <th scope="col">Where it is felt</th>
          <th scope="col" class="figure">Usual</th>
          <th scope="col">For</th>
          <th v-if="session.document" scope="col"><span class="visually-hidden">Add</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in shown" :key="entry.id">
          <th scope="row">
            <span class="named">
              <ShelfThumb :thing="entry.thing" :glyph="glyphOf(entry)" />
              <span>
                <RouterLink
                  class="name"
                  :to="{ name: 'shelf-page', params: { id: entry.id } }"
                  @keydown.down="walk($event, 1)"
                  @keydown.up="walk($event, -1)"
                  >{{ entry.name }}</RouterLink
                >
                <span v-if="entry.isOwn" class="own">your own</span>
                <small>{{ otherNames(entry) }}</small>
              </span>
            </span>
          </th>
          <td>
            {{ capital(basePositionNames[entry.base]) }}<small>{{ whatOf(entry) }}</small>
          </td>
          <td class="felt">{{ entry.targets.map((target) => targetNames[target]).join(', ') }}</td>
          <td class="figure">{{ entry.usual }}</td>
          <td>{{ whom(entry) }}</td>
          <td v-if="session.document" class="figure">
            <!-- As plain as can be: a hundred of them come at once. -->
            <button
              type="button"
              class="add"
              :aria-label="`Add ${entry.name} to ${session.document.name}`"
              :title="`Add to ${session.document.name}`"
              @click="add(entry.thing, entry.name)"
            >
              <i class="pi pi-plus" aria-hidden="true" />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-else class="none">
      <p>
        Nothing on the shelf fits {{ what }}.
        <template v-if="wanted !== ''"
          >Try part of the English or Sanskrit name, or tick at the left where it is felt.</template
        >
      </p>
      <Button severity="secondary" outlined label="Clear all" @click="clear" />
    </div>
  </div>
</template>

<style scoped>
.shelf-list {
  margin: 18px 22px;
  padding: 16px 20px 20px;
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 8px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
  margin-bottom: 8px;
}
.counted {
  flex: 1;
  color: var(--ink-soft);
}
.make {
  font-weight: 650;
}
.list th,
.list td {
  padding-block: 7px;
  vertical-align: middle;
}
.named {
  display: flex;
  align-items: center;
  gap: 12px;
}
.name {
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
.own {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  font-size: 13px;
  font-weight: 500;
}
small {
  display: block;
  font-size: 14px;
  font-weight: 500;
  color: var(--ink-soft);
}
.add {
  width: 36px;
  height: 32px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.add:hover {
  background: var(--ground);
  color: var(--ink);
}
.felt {
  white-space: normal;
}
.none {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 24px 0;
}
@media (max-width: 800px) {
  .shelf-list {
    margin: 8px;
    padding: 10px 12px;
  }
  header {
    flex-wrap: wrap;
  }
  .list :is(th, td):nth-child(3),
  .list :is(th, td):nth-child(5) {
    display: none;
  }
}
</style>
