<script setup lang="ts">
import { materials } from './materials.ts'
import type { Drawing, DrawnShape } from './picture.ts'

/** A figure on its props: maps a drawing's numbers to shapes and nothing more. `words` is what it says to who cannot see it. */
defineProps<{ drawing: Drawing; words: string }>()

const classesOf = ({ is, tone, kind }: DrawnShape) => [is, tone, kind && materials[kind]]
</script>

<template>
  <svg class="figure" :viewBox="`0 0 ${drawing.width} ${drawing.height}`" role="img" :aria-label="words">
    <path v-if="drawing.mat" class="mat" :d="drawing.mat" />
    <g v-for="line in drawing.grid" :key="line.text" class="levels">
      <path class="level" :d="`M${line.text.length * 7 + 10} ${line.y}H${drawing.width}`" />
      <text class="height" x="6" :y="line.y + 4">{{ line.text }}</text>
    </g>
    <path v-if="drawing.floorY !== undefined" class="floor" :d="`M0 ${drawing.floorY}H${drawing.width}`" />
    <path v-for="shape in drawing.shapes" :key="shape.key" :class="classesOf(shape)" :d="shape.path" />
    <path v-for="line in drawing.measures" :key="line.key" class="measure" :d="line.path" />
    <g v-for="number in drawing.numbers" :key="number.text" class="told number">
      <circle :cx="number.x" :cy="number.y" :r="number.radius" />
      <text
        :x="number.x"
        :y="number.y + number.radius * 0.55"
        text-anchor="middle"
        :style="{ fontSize: `${number.radius * 1.6}px` }"
      >
        {{ number.text }}
      </text>
    </g>
    <g v-for="label in drawing.labels" :key="label.key" class="told">
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
  --body: #3c4f49;
  --arm: #546a62;
  --behind: #8b9b93;
  --hair: #1d2a2a;
  --on-body: #b4c2ba;
}
/* In the dark room the body is what is light. */
[data-room='dark'] .figure {
  --body: #a9b8b0;
  --arm: #93a39b;
  --behind: #5d6d66;
  --hair: #56645f;
  --on-body: #33413d;
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
.prop.bolster {
  fill: var(--prop-bolster);
}
.prop.block {
  fill: var(--prop-block);
}
.seam {
  fill: none;
  stroke: var(--prop-line);
  stroke-width: 0.7;
  opacity: 0.55;
}
.flesh {
  fill: var(--body);
}
.flesh.near {
  fill: var(--arm);
}
.flesh.far {
  fill: var(--behind);
}
.hair {
  fill: var(--hair);
}
.edge,
.mark {
  fill: none;
  stroke: var(--on-body);
  stroke-width: 1.1;
  stroke-linecap: round;
  stroke-linejoin: round;
}
/* From above the body covers what it lies on: its outline is seen through the body. */
.through {
  fill: none;
  stroke: var(--prop-line);
  stroke-dasharray: 4 4;
  opacity: 0.6;
}
.frame,
.strap {
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
.number circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1;
}
.number text {
  stroke: none;
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
