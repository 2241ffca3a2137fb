<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, nextTick, ref } from 'vue'
import type { CupboardItem } from '#model/place'
import type { PropKind } from '#model/prop'
import { keysOf } from '#core/units'
import { propKinds } from '#library/prop-kinds'
import { propNames } from '#words/props'
import { lengthNumber } from '#words/lengths'
import NumberField from '#web/shared/ui/NumberField.vue'
import LengthField from './LengthField.vue'
import { usePlaces } from './use-places.ts'

/** What the cupboard has, by kind: how many, and their size where it was measured. */
const { chosen, unit, addItem, setCount, setSize, removeItem } = usePlaces()

const order = keysOf(propNames)
const rows = computed(() =>
  [...(chosen.value?.cupboard ?? [])].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind)),
)
const kindChoices = order.map((value) => ({ value, words: propNames[value].many }))
const what = ref<PropKind | null>(null)
async function add(kind: PropKind | null): Promise<void> {
  if (kind !== null) addItem(kind)
  await nextTick()
  what.value = null
}

const sides = ['length', 'width', 'height'] as const
const ofKind = { length: 'lengthCm', width: 'widthCm', height: 'heightCm' } as const
/** Places have no size of their own; a sheet's layer and a strap are too thin to measure. */
const isMeasured = ({ kind }: CupboardItem, side: (typeof sides)[number]): boolean => {
  const spec = propKinds[kind]
  return spec.shape !== 'wall' && spec[ofKind[side]] >= 1 && !(spec.shape === 'sheet' && side === 'height')
}
const usualText = ({ kind }: CupboardItem, side: (typeof sides)[number]): string =>
  lengthNumber(propKinds[kind][ofKind[side]], unit.value)
/** Two of a kind with sizes of their own are told apart. */
const nameOf = (item: CupboardItem): string => {
  const same = rows.value.filter(({ kind }) => kind === item.kind)
  const { many } = propNames[item.kind]
  return same.length > 1 ? `${many}, ${String(same.indexOf(item) + 1)}` : many
}
</script>

<template>
  <table class="list">
    <caption class="visually-hidden">
      What the cupboard has
    </caption>
    <thead>
      <tr>
        <th scope="col">Kind</th>
        <th scope="col">How many</th>
        <th scope="col">Length, {{ unit }}</th>
        <th scope="col">Width, {{ unit }}</th>
        <th scope="col">Height, {{ unit }}</th>
        <th><span class="visually-hidden">Take away</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="item in rows" :key="item.id">
        <th scope="row">{{ nameOf(item) }}</th>
        <td>
          <NumberField
            hide-label
            small
            :label="`How many ${nameOf(item)}`"
            :value="item.count"
            :least="0"
            :most="1000"
            @change="setCount(item.id, $event)"
          />
        </td>
        <td v-for="side in sides" :key="side">
          <template v-if="isMeasured(item, side)">
            <LengthField
              hide-label
              can-be-empty
              :label="`${nameOf(item)}: ${side}`"
              :mm="item.sizeMm?.[side]"
              :unit="unit"
              :hint="usualText(item, side)"
              @change="setSize(item.id, side, $event)"
              @empty="setSize(item.id, side, undefined)"
            />
          </template>
          <span v-else class="none">—</span>
        </td>
        <td>
          <Button
            text
            size="small"
            severity="secondary"
            icon="pi pi-times"
            :aria-label="`Take ${nameOf(item)} out of the cupboard`"
            title="Take out of the cupboard"
            @click="removeItem(item.id)"
          />
        </td>
      </tr>
      <tr v-if="rows.length === 0">
        <td colspan="6" class="none">Nothing in the cupboard yet: add what there is, or read it from a file.</td>
      </tr>
    </tbody>
  </table>
  <Select
    v-model="what"
    class="add"
    :options="kindChoices"
    option-label="words"
    option-value="value"
    placeholder="Add a kind…"
    size="small"
    filter
    aria-label="Add a kind to the cupboard"
    @update:model-value="add"
  />
</template>

<style scoped>
.list {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 10px 5px 0;
  text-align: left;
  font-weight: inherit;
  vertical-align: top;
}
thead th {
  position: sticky;
  /* Up to the edge of what scrolls, over its padding. */
  top: -12px;
  z-index: 1;
  background: var(--sheet);
  font-size: 14.5px;
  color: var(--ink-soft);
}
tbody tr {
  border-top: 1px solid var(--line-soft);
}
tbody th {
  padding-top: 10px;
  font-weight: 600;
}
td {
  width: 112px;
}
td:last-child {
  width: 40px;
}
.none {
  color: var(--ink-soft);
}
td > .none {
  display: block;
  padding-top: 6px;
}
.add {
  justify-self: start;
  margin-top: 12px;
  min-width: 220px;
}
</style>
