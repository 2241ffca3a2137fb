<script setup lang="ts">
import type { SpineLayout } from './layout.ts'

/** The stem in true minutes: a vertebra a minute, a number every five, ribs where nothing is held. */
defineProps<{ layout: SpineLayout }>()
const width = 36
const ribLines = (heightPx: number) => Array.from({ length: Math.floor(heightPx / 4) }, (_, index) => index * 4 + 2)
</script>

<template>
  <svg class="stem" :width="width" :height="layout.heightPx" aria-hidden="true">
    <rect class="back" x="0" y="0" :width="width" :height="layout.heightPx" />
    <g v-for="rib in layout.ribs" :key="rib.key" class="rib">
      <line
        v-for="y in ribLines(rib.heightPx)"
        :key="y"
        x1="1"
        :x2="width - 1"
        :y1="rib.topPx + y"
        :y2="rib.topPx + y"
      />
    </g>
    <g v-for="minute in layout.minutes" :key="minute.minute">
      <template v-if="minute.numbered">
        <rect class="back" x="6" :y="minute.yPx - 8" :width="width - 12" height="16" />
        <text :x="width / 2" :y="minute.yPx + 5">{{ minute.minute }}</text>
      </template>
      <line v-else class="vertebra" x1="12" x2="24" :y1="minute.yPx" :y2="minute.yPx" />
    </g>
    <line class="edge" x1="0.5" x2="0.5" y1="0" :y2="layout.heightPx" />
    <line class="edge" :x1="width - 0.5" :x2="width - 0.5" y1="0" :y2="layout.heightPx" />
  </svg>
</template>

<style scoped>
.stem {
  position: absolute;
  left: 50%;
  transform: translateX(-50%);
  display: block;
}
.back {
  fill: #dce4de;
}
.rib line {
  stroke: #8fa096;
  stroke-width: 1;
}
.vertebra {
  stroke: #a9b7af;
  stroke-width: 2;
}
.edge {
  stroke: var(--line);
}
text {
  font-size: 14px;
  font-weight: 650;
  text-anchor: middle;
  fill: #4b5854;
}
</style>
