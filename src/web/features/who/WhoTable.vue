<script setup lang="ts">
import { computed } from 'vue'
import type { Resolved } from '#core/session'
import { isAsPlanned } from '#core/class'
import type { Taking } from '#core/class'
import { blockName } from '#words/blocks'
import { blockLength, formInCell, offerToAll } from '#words/forms'
import { counted } from '#words/text'
import CautionMark from '#web/shared/cautions/CautionMark.vue'
import { useWhoView } from './use-who-view.ts'

/** Blocks down, people across, those with most to look at first; empty: as planned. */
const { rows, columns, through, at, look, takingsIn, nameOf } = useWhoView()

const folded = computed(() => through.value.length - columns.value.length)
const cellOf = (blockId: string, personId: string): Taking | undefined => {
  const taking = columns.value
    .find(({ comer }) => comer.id === personId)
    ?.takings.find((one) => one.blockId === blockId)
  return taking && !isAsPlanned(taking) ? taking : undefined
}
const isHere = (personId: string | undefined, blockId: string | undefined): boolean =>
  at.value.personId === personId && at.value.blockId === blockId
const idOf = ({ block }: Resolved): string => block.id
const others = (blockId: string): number => takingsIn(blockId).filter((one) => !isAsPlanned(one)).length
const grade = (taking: Taking) => taking.planned.verdict.grade
const spoken = (taking: Taking, row: Resolved): string =>
  `${nameOf(taking.personId)}, ${blockName(row)}: ${formInCell(taking)}${taking.chosen ? ', chosen' : ''}`
</script>

<template>
  <div class="wide">
    <table>
      <caption class="visually-hidden">
        Who takes what: an empty cell is done as planned
      </caption>
      <thead>
        <tr>
          <th scope="col" class="first">empty: as planned</th>
          <th v-for="{ comer } in columns" :key="comer.id" scope="col">
            <button
              type="button"
              :title="nameOf(comer.id)"
              :aria-pressed="isHere(comer.id, undefined)"
              @click="look(comer.id, undefined)"
            >
              {{ nameOf(comer.id) }}
            </button>
          </th>
          <th v-if="folded > 0" scope="col" class="folded">
            {{ columns.length > 0 ? 'and ' : '' }}{{ folded }} as planned
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="idOf(row)">
          <th scope="row" class="first">
            <button type="button" :aria-pressed="isHere(undefined, idOf(row))" @click="look(undefined, idOf(row))">
              <span class="name">{{ blockName(row) }}</span> <small>{{ blockLength(row) }}</small>
            </button>
            <p v-if="offerToAll(takingsIn(idOf(row)))" class="offer" :title="offerToAll(takingsIn(idOf(row)))">
              {{ offerToAll(takingsIn(idOf(row))) }}
            </p>
          </th>
          <td v-for="{ comer } in columns" :key="comer.id" :class="{ here: isHere(comer.id, idOf(row)) }">
            <button
              v-if="cellOf(idOf(row), comer.id)"
              type="button"
              class="cell"
              :aria-pressed="isHere(comer.id, idOf(row))"
              :aria-label="spoken(cellOf(idOf(row), comer.id)!, row)"
              @click="look(comer.id, idOf(row))"
            >
              <CautionMark v-if="grade(cellOf(idOf(row), comer.id)!)" :grade="grade(cellOf(idOf(row), comer.id)!)!" />
              {{ formInCell(cellOf(idOf(row), comer.id)!) }}
              <i v-if="cellOf(idOf(row), comer.id)!.chosen" class="pi pi-check" aria-hidden="true" />
            </button>
            <button
              v-else
              type="button"
              class="cell"
              :aria-label="`${nameOf(comer.id)}, ${blockName(row)}: as planned`"
              :aria-pressed="isHere(comer.id, idOf(row))"
              @click="look(comer.id, idOf(row))"
            />
          </td>
          <td v-if="folded > 0" class="folded">
            {{ others(idOf(row)) > 0 ? counted(others(idOf(row)), 'person', 'people') : '' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 0;
  text-align: left;
  vertical-align: top;
  font-weight: 500;
}
thead th {
  padding-bottom: 4px;
  font-size: 14.5px;
  color: var(--ink-soft);
  vertical-align: bottom;
}
tbody tr {
  border-top: 1px solid var(--line-soft);
}
.first {
  position: sticky;
  left: 0;
  z-index: 1;
  min-width: 196px;
  max-width: 240px;
  padding: 4px 12px 6px 4px;
  background: var(--sheet);
}
tbody .first {
  padding-top: 6px;
}
.name {
  font-weight: 650;
}
small {
  white-space: nowrap;
  font-size: 14px;
  color: var(--ink-soft);
}
.offer {
  padding-left: 4px;
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  font-size: 14px;
  line-height: 1.25;
  color: var(--ink-soft);
}
button {
  padding: 2px 4px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
thead button {
  display: -webkit-box;
  overflow: hidden;
  max-width: 110px;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  font-weight: 650;
  color: var(--ink);
}
button[aria-pressed='true'] {
  outline: 2px solid var(--ink);
  outline-offset: -1px;
  background: var(--chosen-wash);
}
td {
  min-width: 68px;
  height: 1px;
}
.cell {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 34px;
  padding: 6px 4px;
  font-size: 14.5px;
  line-height: 1.2;
}
.cell:not([aria-pressed='true']):hover {
  background: var(--line-soft);
}
.cell .pi {
  font-size: 11px;
  color: var(--ink-soft);
}
.folded {
  min-width: 76px;
  padding: 8px 0 0 8px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
