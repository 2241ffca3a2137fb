<script setup lang="ts">
import { computed } from 'vue'
import type { PropKind } from '#model/prop'
import type { LedgerRow } from '#core/class'
import type { Timeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { blockName } from '#words/blocks'
import { propNames } from '#words/props'
import { capital } from '#words/text'

/** What is in use by kind over the class, against what there is: a line a kind, worst first. */
const props = defineProps<{
  rows: readonly LedgerRow[]
  stock: Readonly<Partial<Record<PropKind, number>>> | undefined
  timeline: Timeline
}>()
const chosen = defineModel<PropKind | undefined>({ required: true })

const [width, height] = [1000, 44]
const x = (ms: number): number => (ms / Math.max(1, props.timeline.totalMs)) * width

const lines = computed(() =>
  props.rows
    .map((row) => {
      const here = props.stock && (props.stock[row.kind] ?? 0)
      const most = Math.max(row.atOnce, here ?? 0, 1)
      const y = (n: number): number => height - 2 - (n / most) * (height - 8)
      const over = row.over.length > 0 ? row.over : [{ startMs: 0, endMs: props.timeline.totalMs, n: row.atOnce }]
      return {
        row,
        here,
        missing: here === undefined ? 0 : Math.max(0, row.atOnce - here),
        name: capital(propNames[row.kind].many),
        area: over.map(({ startMs, endMs, n }) => ({
          ...{ x: x(startMs), y: y(n), width: x(endMs) - x(startMs), height: height - 2 - y(n) },
          isOver: here !== undefined && n > here,
        })),
        line: here === undefined ? undefined : y(here),
      }
    })
    .sort((a, b) => Number(b.missing > 0) - Number(a.missing > 0)),
)
/** Names stand no closer than that, in shares of the width. */
const leastApart = 2.6

/** The blocks under the chart, each with its name where there is room for it: those that take things first. */
const blocks = computed(() => {
  const taking = new Set(props.rows.flatMap(({ over }) => over.flatMap(({ blockId, n }) => (n > 0 ? [blockId] : []))))
  const all = props.timeline.blocks.map(({ block, startMs, endMs }) => ({
    id: block.block.id,
    name: blockName(block),
    at: formatMs(startMs),
    left: (x(startMs) / width) * 100,
    share: ((x(endMs) - x(startMs)) / width) * 100,
  }))
  const named: number[] = []
  const isNamed = new Set<string>()
  for (const { id, left } of [
    ...all.filter((one) => taking.has(one.id)),
    ...all.filter((one) => !taking.has(one.id)),
  ]) {
    if (named.some((other) => Math.abs(other - left) < leastApart)) continue
    named.push(left)
    isNamed.add(id)
  }
  return all.map((one) => ({ ...one, isNamed: isNamed.has(one.id) }))
})
const verdict = ({ missing, here }: { readonly missing: number; readonly here: number | undefined }): string =>
  here === undefined ? '' : missing > 0 ? `${String(missing)} missing` : 'enough'
</script>

<template>
  <table class="ledger">
    <caption class="visually-hidden">
      What is in use by kind, against what there is
    </caption>
    <thead>
      <tr>
        <th scope="col">Kind</th>
        <th scope="col" class="number">{{ stock ? 'we have' : '' }}</th>
        <th scope="col" class="number">in use</th>
        <th scope="col" class="over"><span class="visually-hidden">Over the class</span></th>
        <th scope="col"><span class="visually-hidden">Whether it is enough</span></th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="one in lines"
        :key="one.row.kind"
        :class="{ missing: one.missing > 0, chosen: chosen === one.row.kind }"
      >
        <th scope="row">
          <button type="button" :aria-pressed="chosen === one.row.kind" @click="chosen = one.row.kind">
            {{ one.name }}
          </button>
        </th>
        <td class="number">{{ one.here ?? '' }}</td>
        <td class="number">{{ one.row.atOnce }}</td>
        <td class="over">
          <svg :viewBox="`0 0 ${width} ${height}`" preserveAspectRatio="none" aria-hidden="true">
            <rect
              v-for="(step, at) in one.area"
              :key="at"
              class="step"
              :class="{ too: step.isOver }"
              :x="step.x"
              :y="step.y"
              :width="step.width"
              :height="step.height"
            />
            <line class="floor" x1="0" :x2="width" :y1="height - 2" :y2="height - 2" />
            <line v-if="one.line !== undefined" class="here" x1="0" :x2="width" :y1="one.line" :y2="one.line" />
          </svg>
        </td>
        <td class="verdict">{{ verdict(one) }}</td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td colspan="3"></td>
        <td class="over axis">
          <ol aria-label="The blocks of the class">
            <li
              v-for="block in blocks"
              :key="block.id"
              :style="{ left: `${block.left}%`, width: `${block.share}%` }"
              :title="`${block.at} ${block.name}`"
            >
              <span :class="{ 'visually-hidden': !block.isNamed }">{{ block.name }}</span>
            </li>
          </ol>
        </td>
        <td></td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
.ledger {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 3px 8px;
  text-align: left;
  font-weight: inherit;
  vertical-align: middle;
}
thead th {
  font-size: 14.5px;
  color: var(--ink-soft);
}
thead .number {
  white-space: nowrap;
}
.number {
  width: 72px;
  text-align: right;
}
.over {
  width: 55%;
  padding-inline: 12px;
}
.verdict {
  width: 92px;
  text-align: right;
  white-space: nowrap;
}
tbody tr {
  border-top: 1px solid var(--line-soft);
}
tr.missing {
  background: var(--modify-wash);
}
tr.missing .verdict {
  font-weight: 650;
}
tr.chosen {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
button {
  padding: 6px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 650;
  text-align: left;
  cursor: pointer;
}
svg {
  display: block;
  width: 100%;
  height: 44px;
}
.step {
  fill: var(--prop-bolster);
  fill-opacity: 0.5;
}
.step.too {
  fill: var(--chosen);
  fill-opacity: 1;
}
.floor,
.here {
  stroke: var(--ink);
  vector-effect: non-scaling-stroke;
}
.floor {
  stroke-width: 1;
}
.here {
  stroke-width: 2;
}
tr.missing .here {
  stroke-dasharray: 5 4;
}
.axis ol {
  position: relative;
  height: 92px;
}
.axis li {
  position: absolute;
  top: 0;
  height: 5px;
  border-left: 1px solid var(--edge);
}
.axis span {
  position: absolute;
  top: 6px;
  left: 2px;
  max-width: 120px;
  overflow: hidden;
  font-size: 13px;
  line-height: 1.1;
  color: var(--ink-soft);
  text-overflow: ellipsis;
  white-space: nowrap;
  transform: rotate(38deg);
  transform-origin: top left;
}
</style>
