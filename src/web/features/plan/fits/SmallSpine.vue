<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { formatDuration } from '#core/units'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { layOutSpine, topPx } from '../spine/layout.ts'
import type { Wing } from '../spine/layout.ts'
import { wingPicture } from '../spine/wing-picture.ts'

/** A session at a glance: its wings down the stem, all spines beside each other at one scale. */
const props = defineProps<{
  session: Session
  timeline: Timeline
  pxPerMinute: number
  longestMs: number
  marked?: ReadonlySet<string>
}>()

const own = useOwnStore()
const layout = computed(() => layOutSpine(props.timeline, props.session, props.pxPerMinute))
const y = (px: number) => px - topPx
const heightPx = computed(() => (props.longestMs / 60_000) * props.pxPerMinute + 4)
/** A name needs this much height to be read, and more inside an outline. */
const leastNamePx = 13
const leastMarkedPx = 17
const isNamed = (wing: Wing) => wing.heightPx >= (props.marked?.has(wing.blockId) ? leastMarkedPx : leastNamePx)
/** A wing shows its pose where there is room for one that can be made out, px. */
const leastPicturePx = 24
const mostPicturePx = 36
const thumbOf = ({ heightPx: high }: Wing) => ({ '--thumb': `${Math.min(mostPicturePx, high - 2) / 0.75}px` })
const pictures = computed(
  () =>
    new Map(
      layout.value.wings.flatMap((wing) => {
        const pictured = wingPicture(wing, props.timeline.blocks[wing.blockIndex]?.block, own.catalog, leastPicturePx)
        return pictured ? [[wing.key, pictured] as const] : []
      }),
    ),
)
/** A name is written once: on the first wing of its block. */
const firstWings = computed(
  () =>
    new Set(layout.value.wings.filter((wing, at, all) => all[at - 1]?.blockId !== wing.blockId).map(({ key }) => key)),
)
</script>

<template>
  <div
    class="small"
    role="img"
    :aria-label="`${session.blocks.length} blocks, ${formatDuration(Math.round(timeline.totalMs / 1000))}`"
    :style="{ height: `${heightPx}px` }"
  >
    <i class="stem" :style="{ height: `${(timeline.totalMs / 60_000) * pxPerMinute}px` }" />
    <template v-for="wing in layout.wings" :key="wing.key">
      <span
        class="wing"
        :class="[wing.bank, wing.tone, { marked: marked?.has(wing.blockId) }]"
        :style="{ top: `${y(wing.topPx)}px`, height: `${Math.max(2, wing.heightPx - 1)}px` }"
      >
        <b v-if="firstWings.has(wing.key) && isNamed(wing)">{{ wing.name }}</b>
        <FigureThumb v-if="pictures.has(wing.key)" :style="thumbOf(wing)" :pictured="pictures.get(wing.key)" />
        <em v-if="isNamed(wing)">{{ formatDuration(wing.seconds) }}</em>
      </span>
    </template>
    <u v-if="session.lengthS * 1000 <= longestMs" :style="{ top: `${y(layout.wantedPx)}px` }" />
  </div>
</template>

<style scoped>
.small {
  position: relative;
  --half: 5px;
}
.stem {
  position: absolute;
  left: calc(50% - var(--half));
  width: calc(2 * var(--half));
  top: 0;
  background: var(--line-soft);
  border-inline: 1px solid var(--line);
}
.wing {
  position: absolute;
  display: flex;
  justify-content: space-between;
  gap: 4px;
  padding: 0 6px;
  overflow: hidden;
  font-size: 13px;
  line-height: 13.5px;
  white-space: nowrap;
  border-radius: 3px;
  background: var(--wash);
}
.wing b {
  overflow: hidden;
  text-overflow: ellipsis;
}
.wing em {
  font-style: normal;
}
.wing .thumb {
  margin-left: auto;
}
.left {
  left: 0;
  right: calc(50% + var(--half));
  border-right: 4px solid var(--heavy);
}
.right {
  right: 0;
  left: calc(50% + var(--half));
  border-left: 4px solid var(--heavy);
}
.pair {
  left: 0;
  right: 0;
  background: linear-gradient(
    to right,
    var(--wash) calc(50% - var(--half) - 4px),
    var(--heavy) 0 calc(50% - var(--half)),
    var(--line-soft) 0 calc(50% + var(--half)),
    var(--heavy) 0 calc(50% + var(--half) + 4px),
    var(--wash) 0
  );
}
.pair b {
  max-width: calc(50% - var(--half) - 6px);
}
.rest {
  --wash: var(--rest-wash);
  --heavy: var(--rest);
}
.both {
  --wash: var(--both-wash);
  --heavy: var(--both);
}
.breath {
  --wash: var(--breath-wash);
  --heavy: var(--breath);
}
.wing.left {
  --wash: var(--left-wash);
  --heavy: var(--left);
}
.wing.right {
  --wash: var(--right-wash);
  --heavy: var(--right);
}
.marked {
  padding-block: 1px;
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
u {
  position: absolute;
  left: 0;
  right: 0;
  border-top: 2px dashed var(--ink);
}
</style>
