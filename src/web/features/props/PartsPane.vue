<script setup lang="ts">
import Select from 'primevue/select'
import { computed, nextTick, ref, watch } from 'vue'
import { mostItems } from '#model/limits'
import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import { isPlaced } from '#core/props'
import { mirrorText } from '#core/session'
import { keysOf } from '#core/units'
import { addingNumbers, lengthText } from '#words/lengths'
import { bodyParts, partNames, propNames } from '#words/props'
import ComfortList from './ComfortList.vue'
import ItemRow from './ItemRow.vue'
import KeepSetUp from './KeepSetUp.vue'
import OwnSetUps from './OwnSetUps.vue'
import ReachHeight from './ReachHeight.vue'
import SetUpForHeights from './SetUpForHeights.vue'
import { useProps } from './use-props.ts'

/** What lies under each part, from the floor up, with its height; what is not comfortable; and a height to reach. */
const { chosen, items, elevation, unit, add, told } = useProps()

/** The parts that have something, in the order of the body; then what was listed and has no place yet. */
const parts = computed(() => [
  ...bodyParts.map((part) => ({
    key: part,
    title: partNames[part],
    sum: sumOf(part),
    note: '',
    items: items.value.filter(({ under }) => under === part),
  })),
  {
    key: 'listed',
    title: 'Listed, not placed',
    sum: undefined,
    note: 'Fetched and counted; drawn once it is under a part.',
    items: items.value.filter((item) => !isPlaced(item)),
  },
])
/** How high each item comes, by its id, so that the items of a heap add up to what the heap is shown to be. */
const heights = computed(
  () =>
    new Map(
      (elevation.value?.piles ?? []).flatMap(({ pieces }) => {
        const ids = [...new Set(pieces.map(({ itemId }) => itemId))]
        const sums = ids.map((id) => pieces.reduce((sum, piece) => sum + (piece.itemId === id ? piece.loaded : 0), 0))
        const shown = addingNumbers(sums, unit.value)
        return ids.map((id, at) => [id, `${shown[at] ?? ''} ${unit.value}`] as const)
      }),
    ),
)
/** The place of each in the order in which it is laid, as the picture has it. */
const numbers = computed(() => new Map(items.value.map(({ id }, at) => [id, at + 1])))
const laid = computed(() => parts.value.filter((part) => part.items.length > 0))
function sumOf(part: BodyPart): string | undefined {
  const there = elevation.value?.piles.filter((pile) => pile.part === part) ?? []
  // Heaps beside each other have no height together.
  const pieces = there.length === 1 ? (there[0]?.pieces.length ?? 0) : 0
  return there[0] && pieces > 1 ? lengthText(there[0].height, unit.value) : undefined
}

const openId = ref<string>()
// By name: what is read anew from the server is the same set-up.
watch(
  () => chosen.value?.key,
  () => (openId.value = undefined),
)

const what = ref<PropKind>('blanket')
const kindChoices = keysOf(propNames).map((value) => ({ value, words: propNames[value].one }))
const addTo = ref<BodyPart | null>(null)
const addChoices = bodyParts.map((value) => ({ value, words: partNames[value] }))
async function addAt(part: BodyPart | null): Promise<void> {
  if (part === null) return
  const before = new Set(items.value.map(({ id }) => id))
  add(what.value, part)
  openId.value = items.value.find(({ id }) => !before.has(id))?.id
  // After the list has taken what was chosen.
  await nextTick()
  addTo.value = null
}
</script>

<template>
  <div class="eyebrow">From the floor up</div>
  <h1>Under each part</h1>
  <KeepSetUp />
  <p class="visually-hidden" aria-live="polite">{{ told }}</p>
  <ComfortList />
  <section v-for="{ key, title, sum, note, items: there } in laid" :key="key" class="part">
    <h3>
      {{ title }}<span v-if="sum" class="sum">{{ sum }} in all</span>
    </h3>
    <p v-if="note" class="note">{{ note }}</p>
    <ul>
      <ItemRow
        v-for="(item, at) in there"
        :key="item.id"
        :item="item"
        :number="numbers.get(item.id) ?? 0"
        :height="heights.get(item.id)"
        :is-open="openId === item.id"
        :is-first="at === 0"
        :is-last="at === there.length - 1"
        @toggle="openId = openId === item.id ? undefined : item.id"
      />
    </ul>
  </section>
  <p v-if="items.length === 0" class="part none">Nothing lies under this one.</p>
  <p v-if="items.length >= mostItems" class="part note">A set-up has at most {{ mostItems }} kinds of things.</p>
  <div v-else class="part add">
    <Select
      v-model="what"
      :options="kindChoices"
      option-label="words"
      option-value="value"
      size="small"
      fluid
      aria-label="What to add"
    />
    <Select
      v-model="addTo"
      :options="addChoices"
      option-label="words"
      option-value="value"
      placeholder="Add it at…"
      size="small"
      fluid
      aria-label="Add it at a part"
      @update:model-value="addAt"
    />
  </div>
  <SetUpForHeights />
  <div v-if="chosen?.figure" class="part"><ReachHeight /></div>
  <OwnSetUps />
  <section v-if="chosen?.withoutProps" class="part">
    <h3>If there is none</h3>
    <p class="note">{{ mirrorText(chosen.withoutProps, 'left') }}</p>
  </section>
  <p class="part note">
    Heights are under this person’s weight, within about 15 %. Look at them again at 1 and 3 minutes.
  </p>
</template>

<style scoped>
.eyebrow {
  font-size: 14px;
  color: var(--ink-soft);
}
h1 {
  font-size: 23px;
}
.part {
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
h3 {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  margin-bottom: 4px;
  font-size: 16px;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
}
.sum {
  font-weight: 500;
  font-size: 14px;
  color: var(--ink-soft);
}
.note,
.none {
  font-size: 14px;
  color: #4b5854;
}
@media print {
  .add {
    display: none;
  }
}
</style>
