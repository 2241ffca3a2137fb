<script setup lang="ts">
import { keysOf } from '#core/units'
import Button from 'primevue/button'
import { computed, useId } from 'vue'
import type { PropKind } from '#model/prop'
import type { BodyPart, PropTurn, SetUpItem } from '#model/set-up'
import { carries } from '#core/props'
import { namedFolds } from '#library/prop-kinds'
import type { FoldName } from '#library/prop-kinds'
import {
  bodyParts,
  countedProp,
  defaultTurn,
  foldNameOf,
  foldNames,
  itemWords,
  partNames,
  propNames,
  turnChoices,
} from '#words/props'
import ItemChoice from './ItemChoice.vue'
import { useProps } from './use-props.ts'
import NumberField from '#web/shared/ui/NumberField.vue'

/** One item of a set-up: what it is and how high it comes; opened, its kind, count, fold and turn can be changed. */
const props = defineProps<{
  item: SetUpItem
  /** With its unit; absent where it has none. */
  height: string | undefined
  isOpen: boolean
}>()
const emit = defineEmits<{ toggle: [] }>()
const { kinds, elevation, change, remove } = useProps()

const id = useId()
const everyKind = keysOf(propNames)
const spec = computed(() => kinds.value[props.item.kind])
const loaded = computed(
  () => elevation.value?.piles.flatMap(({ pieces }) => pieces).filter(({ itemId }) => itemId === props.item.id) ?? [],
)
const layers = computed(() => loaded.value[0]?.layer.n ?? 1)
const detail = computed(() =>
  spec.value.shape === 'sheet' && layers.value > 1 ? `${String(layers.value)} layers` : '',
)

const kindChoices = computed(() =>
  everyKind
    .filter(
      (kind) =>
        kind === props.item.kind ||
        (carries(kinds.value[kind]) && carries(spec.value) && props.item.lies === undefined),
    )
    .map((value) => ({ value, words: propNames[value].one })),
)
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
const step = computed(() => props.item.piles ?? 1)

function setKind(kind: PropKind): void {
  const isSheet = kinds.value[kind].shape === 'sheet'
  const { folds, ...rest } = props.item
  change(props.item.id, {
    ...rest,
    kind,
    turn: isSheet || kinds.value[kind].shape === 'cylinder' ? props.item.turn : defaultTurn(kinds.value[kind]),
    folds: isSheet ? (folds ?? [...namedFolds.standard]) : undefined,
  })
}
const setFold = (name: FoldChoice) => {
  // Folds without a name stay as they are.
  if (name !== '') change(props.item.id, { folds: [...namedFolds[name]] })
}
const setTurn = (turn: PropTurn) => {
  change(props.item.id, { turn })
}
/** Something that was only listed gets its place here. */
const placeChoices = bodyParts.map((value) => ({ value, words: partNames[value] }))
function place(part: BodyPart): void {
  const folds = spec.value.shape === 'sheet' ? { folds: [...namedFolds.standard] } : {}
  change(props.item.id, { ...folds, under: part })
}
const kindLabel = computed(() =>
  props.item.under ? `Kind under the ${partNames[props.item.under].toLowerCase()}` : 'Kind',
)
const countLabel = computed(() => (props.item.piles === 2 ? 'Both sides together' : 'How many'))
</script>

<template>
  <li class="item">
    <button type="button" class="line" :aria-expanded="isOpen" :aria-controls="`${id}-parts`" @click="emit('toggle')">
      <span
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
        :least="step"
        :most="20"
        :grain="step"
        small
        @change="change(item.id, { count: $event })"
      />
      <ItemChoice
        v-if="item.under === undefined"
        label="Under"
        spoken="Under which part"
        :value="null"
        :options="placeChoices"
        placeholder="Choose a part"
        @choose="place"
      />
      <ItemChoice
        v-else-if="spec.shape === 'sheet'"
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
      <Button
        class="away"
        size="small"
        text
        severity="secondary"
        icon="pi pi-times"
        :label="`Take ${countedProp(item.kind, item.count)} away`"
        @click="remove(item.id)"
      />
    </div>
  </li>
</template>

<style scoped>
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
.line:hover span {
  text-decoration: underline;
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
.away {
  grid-column: 1 / -1;
  justify-self: start;
}
@media print {
  .parts {
    display: none;
  }
}
</style>
