<script setup lang="ts">
import { computed } from 'vue'
import type { PropKind } from '#model/prop'
import type { Drawing } from './drawing.ts'

/** A figure on its props: maps a drawing's numbers to shapes and nothing more. `words` is what it says to who cannot see it. */
const props = defineProps<{ drawing: Drawing; words: string }>()

const materials: Readonly<Partial<Record<PropKind, string>>> = {
  rectBolster: 'bolster',
  roundBolster: 'bolster',
  foamBlock: 'block',
  corkBlock: 'block',
  book: 'block',
  chair: 'block',
  sofa: 'block',
}
const behind = computed(() => props.drawing.limbs.filter(({ tone }) => tone === 'far'))
const before = computed(() => props.drawing.limbs.filter(({ tone }) => tone !== 'far'))
const structure = computed(() => props.drawing.lines.filter(({ is }) => is !== 'measure'))
const measured = computed(() => props.drawing.lines.filter(({ is }) => is === 'measure'))
</script>

<template>
  <svg class="figure" :viewBox="`0 0 ${drawing.width} ${drawing.height}`" role="img" :aria-label="words">
    <path v-if="drawing.mat" class="mat" :d="drawing.mat" />
    <g v-for="line in drawing.grid" :key="line.text">
      <path class="level" :d="`M${line.text.length * 7 + 10} ${line.y}H${drawing.width}`" />
      <text class="height" x="6" :y="line.y + 4">{{ line.text }}</text>
    </g>
    <path v-if="drawing.floorY !== undefined" class="floor" :d="`M0 ${drawing.floorY}H${drawing.width}`" />
    <g v-if="drawing.mat === undefined">
      <path v-for="limb in behind" :key="limb.key" class="far" :d="limb.path" />
    </g>
    <path v-for="line in structure" :key="line.key" :class="line.is" :d="line.path" />
    <path v-for="prop in drawing.props" :key="prop.key" class="prop" :class="materials[prop.kind]" :d="prop.path" />
    <g :class="{ seen: drawing.mat !== undefined }">
      <template v-if="drawing.mat !== undefined">
        <path v-for="limb in behind" :key="limb.key" class="near" :d="limb.path" />
      </template>
      <path v-for="limb in before" :key="limb.key" :class="limb.tone" :d="limb.path" />
    </g>
    <path v-for="line in measured" :key="line.key" class="measure" :d="line.path" />
    <g v-for="label in drawing.labels" :key="label.key">
      <template v-if="label.leader">
        <path
          class="leader"
          :d="`M${label.leader[0].x} ${label.leader[0].y}L${label.leader[1].x} ${label.leader[1].y}`"
        />
        <circle class="dot" :cx="label.leader[0].x" :cy="label.leader[0].y" r="2.2" />
      </template>
      <text :x="label.box.left + 2" :y="label.box.bottom - 4">{{ label.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.figure {
  display: block;
  width: 100%;
  height: auto;
  --body: #33443f;
  --arm: #53675f;
  --behind: #6b7d75;
}
/* In the dark room the body is what is light. */
[data-room='dark'] .figure {
  --body: #a9b8b0;
  --arm: #86978f;
  --behind: #63736b;
}
[data-room='dark'] .level {
  stroke: #243031;
}
text {
  font-size: 14px;
  font-weight: 650;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
  stroke-linejoin: round;
}
.height {
  font-weight: 500;
  fill: var(--ink-soft);
}
.level {
  stroke: #cbd6cf;
}
.floor {
  stroke: #8fa096;
  stroke-width: 2;
}
.mat {
  fill: #dfe6e1;
  stroke: #b9c6be;
}
.prop {
  fill: var(--prop-blanket);
  stroke: var(--prop-line);
  stroke-width: 1;
}
.bolster {
  fill: var(--prop-bolster);
}
.block {
  fill: var(--prop-block);
}
.body {
  fill: var(--body);
}
.near {
  fill: var(--arm);
}
.far {
  fill: var(--behind);
}
/* From above the body covers what it lies on: it is drawn so that one sees through. */
.seen {
  opacity: 0.78;
}
.seen .near,
.seen .body {
  fill: var(--body);
}
.frame {
  fill: none;
  stroke: var(--prop-line);
  stroke-width: 2.5;
}
.wall {
  fill: none;
  stroke: var(--prop-line);
  stroke-width: 5;
}
.measure {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.2;
}
.leader {
  stroke: var(--ink-soft);
  stroke-dasharray: 3 3;
}
.dot {
  fill: var(--ink);
  stroke: var(--sheet);
  stroke-width: 1;
}
@media print {
  .level {
    stroke: #bbb;
  }
  .figure {
    print-color-adjust: exact;
  }
}
</style>
