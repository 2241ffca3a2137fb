<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, useId, useTemplateRef } from 'vue'
import type { PropKind } from '#model/prop'
import type { BodyPart, PropTurn, SetUpItem } from '#model/set-up'
import { keysOf } from '#core/units'
import { namedFolds } from '#library/prop-kinds'
import type { FoldName } from '#library/prop-kinds'
import {
  bodyParts,
  countedProp,
  defaultTurn,
  foldNameOf,
  foldNames,
  heapNames,
  itemWords,
  partNames,
  propNames,
  turnChoices,
  wayNames,
} from '#words/props'
import NumberField from '#web/shared/ui/NumberField.vue'
import ItemChoice from './ItemChoice.vue'
import { mayHaveTwoHeaps, waysOf } from './item-edits.ts'
import { useItemDrag } from './use-item-drag.ts'
import { useProps } from './use-props.ts'

/** One item of a set-up: what it is and how high it comes; opened, everything of it can be changed. */
const props = defineProps<{
  item: SetUpItem
  /** Its place in the order in which the set-up is laid. */
  number: number
  /** With its unit; absent where it has none. */
  height: string | undefined
  isOpen: boolean
  /** The least and the most it can be among what is at its part. */
  isFirst: boolean
  isLast: boolean
}>()
const emit = defineEmits<{ toggle: [] }>()
const { kinds, elevation, change, remove, moveBy, bring } = useProps()

const id = useId()
const spec = computed(() => kinds.value[props.item.kind])
const loaded = computed(
  () => elevation.value?.piles.flatMap(({ pieces }) => pieces).filter(({ itemId }) => itemId === props.item.id) ?? [],
)
const layers = computed(() => loaded.value[0]?.layer.n ?? 1)
const detail = computed(() =>
  spec.value.shape === 'sheet' && layers.value > 1 ? `${String(layers.value)} layers` : '',
)

const kindChoices = keysOf(propNames).map((value) => ({ value, words: propNames[value].one }))
type FoldChoice = FoldName | ''
const foldName = computed((): FoldChoice => foldNameOf(props.item.folds ?? []) ?? '')
const foldChoices = computed(() => {
  const named: { value: FoldChoice; words: string }[] = keysOf(foldNames).map((value) => ({
    value,
    words: foldNames[value],
  }))
  return foldName.value !== ''
    ? named
    : [...named, { value: '' as const, words: `${String(props.item.folds?.length ?? 0)} folds` }]
})
const turns = computed(() => [...turnChoices(spec.value)])
const ways = computed(() => waysOf(props.item.kind, kinds.value).map((value) => ({ value, words: wayNames[value] })))
const heaps = computed(() =>
  mayHaveTwoHeaps(props.item) ? (['1', '2'] as const).map((value) => ({ value, words: heapNames[value] })) : [],
)
const grain = computed(() => props.item.piles ?? 1)
const partChoices = bodyParts.map((value) => ({ value, words: partNames[value] }))

const setKind = (kind: PropKind) => {
  change(props.item.id, { kind })
}
const setFold = (name: FoldChoice) => {
  // Folds without a name stay as they are.
  if (name !== '') change(props.item.id, { folds: [...namedFolds[name]] })
}
const setTurn = (turn: PropTurn) => {
  change(props.item.id, { turn })
}
const setPart = (under: BodyPart) => {
  change(props.item.id, { under })
}
const setWay = (way: 'under' | NonNullable<SetUpItem['lies']>) => {
  change(props.item.id, { lies: way === 'under' ? undefined : way })
}
const setHeaps = (heap: '1' | '2') => {
  change(props.item.id, { piles: heap === '2' ? 2 : undefined })
}

const kindLabel = computed(() =>
  props.item.under ? `Kind under the ${partNames[props.item.under].toLowerCase()}` : 'Kind',
)
const countLabel = computed(() => (props.item.piles === 2 ? 'Both sides together' : 'How many'))

const row = useTemplateRef('row')
const over = useItemDrag(
  row,
  () => props.item.id,
  (dragged, side) => {
    bring(dragged, props.item.id, side)
  },
)
async function keys(event: KeyboardEvent): Promise<void> {
  const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : undefined
  if (event.key === 'Delete') remove(props.item.id)
  else if (by !== undefined && event.altKey) moveBy(props.item.id, by)
  else return
  event.preventDefault()
  await nextTick()
  row.value?.querySelector('button')?.focus()
}
</script>

<template>
  <li ref="row" class="item" :class="over">
    <button
      type="button"
      class="line"
      :aria-expanded="isOpen"
      :aria-controls="`${id}-parts`"
      @click="emit('toggle')"
      @keydown="keys"
    >
      <span class="number" aria-hidden="true">{{ number }}</span>
      <span class="what"
        >{{ itemWords(item, spec) }}<small v-if="detail">{{ detail }}</small></span
      >
      <b>{{ height ?? '—' }}</b>
    </button>
    <div v-if="isOpen" :id="`${id}-parts`" class="parts">
      <ItemChoice label="Kind" :spoken="kindLabel" :value="item.kind" :options="kindChoices" @choose="setKind" />
      <span aria-hidden="true">{{ countLabel }}</span>
      <NumberField
        hide-label
        :label="countLabel"
        :value="item.count"
        :least="grain"
        :most="20"
        :grain="grain"
        small
        @change="change(item.id, { count: $event })"
      />
      <ItemChoice
        v-if="heaps.length > 0"
        label="Lying"
        spoken="In one heap or two"
        :value="item.piles === 2 ? '2' : '1'"
        :options="heaps"
        @choose="setHeaps"
      />
      <ItemChoice
        label="Part"
        spoken="At which part"
        :value="item.under ?? null"
        :options="partChoices"
        placeholder="Choose a part"
        @choose="setPart"
      />
      <ItemChoice
        v-if="item.under !== undefined && ways.length > 1"
        label="How"
        spoken="Under it, over it, round it"
        :value="item.lies ?? 'under'"
        :options="ways"
        @choose="setWay"
      />
      <ItemChoice
        v-if="item.under !== undefined && spec.shape === 'sheet'"
        label="Fold"
        :value="foldName"
        :options="foldChoices"
        @choose="setFold"
      />
      <ItemChoice
        v-if="turns.length > 0 && item.lies === undefined && item.under !== undefined"
        label="Turned"
        :value="item.turn ?? defaultTurn(spec)"
        :options="turns"
        @choose="setTurn"
      />
      <div class="acts">
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-arrow-up"
          aria-label="Nearer the floor"
          title="Nearer the floor (Alt+↑)"
          :disabled="isFirst"
          @click="moveBy(item.id, -1)"
        />
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-arrow-down"
          aria-label="Nearer the body"
          title="Nearer the body (Alt+↓)"
          :disabled="isLast"
          @click="moveBy(item.id, 1)"
        />
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-times"
          :label="`Take ${countedProp(item.kind, item.count)} away`"
          @click="remove(item.id)"
        />
      </div>
    </div>
  </li>
</template>

<style scoped>
.item {
  position: relative;
}
.item.before::before,
.item.after::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  height: 2px;
  background: var(--ink);
}
.item.before::before {
  top: -1px;
}
.item.after::after {
  bottom: -1px;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  padding: 4px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.line:hover .what {
  text-decoration: underline;
}
.number {
  flex: none;
  display: grid;
  place-items: center;
  width: 20px;
  height: 20px;
  margin-top: 1px;
  border: 1px solid var(--edge);
  border-radius: 50%;
  font-size: 13px;
  font-weight: 650;
}
.what {
  flex: 1;
}
.line b {
  white-space: nowrap;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.parts {
  display: grid;
  grid-template-columns: 82px minmax(0, 1fr);
  gap: 6px 10px;
  align-items: center;
  margin: 2px 0 8px;
  padding: 8px 10px;
  background: #f0f3ef;
  border-radius: 8px;
}
.parts :deep(label),
.parts > span {
  font-size: 14px;
  line-height: 1.15;
}
.acts {
  grid-column: 1 / -1;
  display: flex;
}
@media print {
  .parts {
    display: none;
  }
}
</style>
