<script setup lang="ts">
import { computed } from 'vue'
import { turnedTo } from '#core/figure'
import { stageOf } from '#core/lead'
import { formatMs } from '#core/units'
import { clockText } from '#words/dates'
import { doneNow } from '#words/on-screen'
import { breathCountWords, breathingWords, sideInBody, sideName } from '#words/segments'
import { drawFitted } from '#web/shared/figures/draw-fitted.ts'
import FigureDrawing from '#web/shared/figures/FigureDrawing.vue'
import BreathStrip from '#web/shared/lead/BreathStrip.vue'
import { useScreenFeed } from './use-screen-feed.ts'

/** What a student needs and nothing else: the figure, the pose, the side in the body's terms, the clock or none, the breath. */
const { running, awaySinceMs, isOut, isInTouch, showsClock } = useScreenFeed()
const stage = computed(() => {
  if (!running.value) return undefined
  const at = stageOf(running.value.led.plan, running.value.state)
  return at.is === 'ended' ? undefined : at
})
const segment = computed(() => stage.value?.segment)
const isTalk = computed(() => segment.value?.doing.kind === 'talk')
/** In a talk what comes next, in the order in which it is led, is what there is to see. */
const shown = computed(() => {
  const { next } = stage.value ?? {}
  return isTalk.value ? next?.segment : segment.value
})
const title = computed(() => {
  const at = stage.value
  if (at?.segment.doing.kind === 'closing') return doneNow(at)
  return (shown.value && running.value?.led.blocks[shown.value.blockId]?.name) ?? ''
})
const side = computed(() => (segment.value && !isTalk.value ? sideName(segment.value) : ''))
const body = computed(() => (segment.value && running.value ? sideInBody(running.value.led, segment.value) : ''))
/** As wide as the screen; what is measured is the teacher’s. */
const room = { width: 1240, height: 420, air: 12, mostScale: 6 } as const
const drawing = computed(() => {
  const figure = shown.value && running.value?.led.figures[shown.value.blockId]
  if (!figure || !shown.value) return undefined
  const { side: led } = shown.value
  const turned = turnedTo(led === 'left' || led === 'right' ? led : undefined, figure, figure.elevation)
  return drawFitted({ ...room, elevation: turned, view: figure.view ?? 'side' })
})
const isBreath = computed(() => segment.value?.doing.kind === 'breath')
const breath = computed(() => {
  const at = stage.value
  return at?.is === 'breathing' || at?.is === 'holding' ? at.breath : undefined
})
const hasLine = computed(
  () => isBreath.value || (segment.value?.doing.kind === 'hold' && running.value?.led.plan.over[segment.value.blockId]),
)
/** What is counted, or what is done now. */
const says = computed(() => {
  const at = stage.value
  if (!at) return ''
  if (isTalk.value) return title.value === '' ? '' : 'Next'
  if (at.segment.doing.kind === 'closing') return ''
  if (at.is === 'breathing') return breathingWords(at.segment, at.breath, at.leadIn)
  if (at.is === 'moving') return at.movement?.does ?? 'natural breath'
  if (at.is === 'paused' || at.is === 'asking') return 'A pause'
  return doneNow(at)
})
const big = computed(() => {
  const at = stage.value
  if (!at || at.is === 'paused' || at.is === 'asking') return ''
  if (at.is === 'breathing' && at.breath) return String(at.breath.count)
  return showsClock.value ? formatMs(at.leftMs) : ''
})
const told = computed(() => {
  if (isOut.value) return stage.value ? 'Disconnected; goes on by the plan' : 'This screen is let in no more'
  if (awaySinceMs.value !== undefined) return `Out of touch since ${clockText(awaySinceMs.value)}; goes on by the plan`
  return stage.value && !isInTouch.value ? 'The teacher’s device is out of touch; goes on by the plan' : ''
})
</script>

<template>
  <main :class="[side.toLowerCase(), { breath: isBreath, bare: !drawing && !isBreath }]">
    <template v-if="stage && running">
      <div class="picture"><FigureDrawing v-if="drawing" :drawing="drawing" :words="title" /></div>
      <div class="words">
        <p v-if="says" class="says">{{ says }}</p>
        <h1 v-if="title">{{ title }}</h1>
        <p v-if="side" class="side">
          <b>{{ side }}</b><template v-if="body"> · {{ body }}</template>
        </p>
      </div>
      <p class="big" data-testid="clock">{{ big }}</p>
      <div v-if="hasLine" class="line">
        <BreathStrip :plan="running.led.plan" :state="running.state" :height="150" />
        <p v-if="!isBreath" class="count">{{ breathCountWords(breath) }}</p>
      </div>
    </template>
    <p v-else class="none">{{ told === '' ? 'Here the class will be seen' : '' }}</p>
    <p v-if="told" class="told" role="status">{{ told }}</p>
  </main>
</template>

<style scoped>
:global(body) {
  background: var(--ground);
}
/* Read at four metres: at 1920 the clock's figures are over 240 px high, no word under 64. */
main {
  --side: var(--both);
  position: relative;
  height: 100dvh;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  grid-template-rows: minmax(0, 1fr) auto auto;
  gap: 0 3vw;
  padding: 3vh 3vw;
  border: 0 solid var(--side);
  color: var(--ink);
  overflow: hidden;
}
main.left {
  --side: var(--left);
  border-left-width: 1.4vw;
}
main.right {
  --side: var(--right);
  border-right-width: 1.4vw;
}
main.breath {
  --side: var(--breath);
}
.picture {
  grid-column: 1 / -1;
  min-height: 0;
}
.picture :deep(svg) {
  width: 100%;
  height: 100%;
}
.words {
  grid-column: 1;
  grid-row: 2;
  align-self: end;
  min-width: 0;
}
.says,
.side {
  font-size: max(24px, 3.4vw);
  line-height: 1.15;
  text-wrap: balance;
}
.says {
  color: var(--ink-soft);
}
h1 {
  font-size: max(30px, 5vw);
  line-height: 1.08;
  text-wrap: balance;
}
.side b {
  color: var(--side);
}
.big {
  grid-column: 2;
  grid-row: 2;
  align-self: end;
  font-size: max(90px, 19.5vw);
  font-weight: 650;
  line-height: 0.86;
  letter-spacing: -0.02em;
}
/* Where there is no picture the words stand in the middle. */
.bare .words,
.bare .big {
  grid-row: 1;
  align-self: center;
}
.bare .says {
  font-size: max(30px, 5vw);
  color: var(--ink);
}
/* A breath is read as its part and its count, over its line. */
.breath .words {
  grid-row: 1;
  align-self: center;
}
.breath .says {
  font-size: max(48px, 9vw);
  line-height: 1.05;
  color: var(--breath);
}
.breath h1 {
  font-size: max(24px, 3.4vw);
  font-weight: 500;
  color: var(--ink-soft);
}
.breath .big {
  grid-row: 1;
  align-self: center;
  font-size: max(120px, 24vw);
}
.line {
  grid-column: 1 / -1;
  grid-row: 3;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 2vw;
}
.line :deep(svg) {
  height: 18vh;
}
.breath .line :deep(svg) {
  height: 36vh;
}
.count {
  font-size: max(24px, 3.4vw);
  color: var(--breath);
  white-space: nowrap;
}
.none {
  grid-column: 1 / -1;
  grid-row: 1 / -1;
  place-self: center;
  font-size: max(24px, 3.4vw);
  color: var(--ink-soft);
}
.told {
  position: absolute;
  left: 3vw;
  top: 1.5vh;
  font-size: max(15px, 1.4vw);
  color: var(--ink-soft);
}
</style>
