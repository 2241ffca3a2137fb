<script setup lang="ts">
import { computed } from 'vue'
import { formatMs } from '#core/units'
import { classWhen } from '#words/class-days'
import { dayOfMonth } from '#words/dates'
import { comersWords, ownWords, weekWords } from '#words/series'
import type { NamesOfSeries } from '#words/series'
import { expectedIn } from './use-series.ts'
import type { WeekOfSeries } from './use-series.ts'

/** One class of a series: when it is, a small spine of it, and what is new in it. */
const props = defineProps<{
  week: WeekOfSeries
  isChosen: boolean
  pxPerMs: number
  names: NamesOfSeries
  /** The length it is to fill. */
  lengthS: number
  /** The day of the week is said where there is more than one. */
  hasWeekday: boolean
  baseId: string
  /** How many come to the series. */
  expected: number
}>()
const emit = defineEmits<{ choose: [] }>()
const isLed = computed(() => props.week.led !== undefined || props.week.planned?.ledClassId !== undefined)
const stateWords = computed(() => {
  const { led, planned, isPast } = props.week
  if (isLed.value) return led ? `led ${formatMs(led.ledS * 1000)}` : 'led'
  return isPast ? 'no record' : planned ? 'planned' : ''
})
const comers = computed(() => {
  const { led, planned, isPast } = props.week
  return isPast && !led ? '' : comersWords(led?.people ?? expectedIn(planned, props.expected), isLed.value)
})
const isOver = computed(
  () => props.week.leftOut === undefined && (props.week.spine?.totalMs ?? 0) > props.lengthS * 1000,
)
const words = computed(() => weekWords(props.week.week, props.week.news, props.names))
const newWords = computed(() => {
  const { sessionId, isAsLed } = props.week
  if (sessionId !== undefined) return ownWords({ sessionId, isAsLed }, props.baseId)
  return isAsLed ? 'as it was led' : words.value
})
/** A name is written where its bar has a line for it. */
const lineHighPx = 13
</script>

<template>
  <button
    type="button"
    role="tab"
    class="week"
    :class="{ out: week.leftOut !== undefined }"
    :aria-selected="isChosen"
    :tabindex="isChosen ? 0 : -1"
    @click="emit('choose')"
  >
    <b>week {{ week.week }}</b>
    <span class="day">{{ hasWeekday || week.isMoved ? classWhen({ day: week.day }) : dayOfMonth(week.day) }}</span>
    <span class="state" :class="{ over: isOver }">
      <template v-if="week.leftOut !== undefined">no class: {{ week.leftOut || 'left out' }}</template>
      <template v-else>{{ week.spine ? formatMs(week.spine.totalMs) : '' }}</template>
    </span>
    <template v-if="week.leftOut === undefined">
      <span class="state">{{ stateWords }}</span>
      <span class="state">{{ comers }}</span>
    </template>
    <span
      v-if="week.leftOut === undefined && week.spine"
      class="spine"
      :style="{ height: `${week.spine.totalMs * pxPerMs}px` }"
    >
      <i
        v-for="bar in week.spine.bars"
        :key="bar.key"
        :class="[bar.tone, bar.side === 'both' ? '' : `on-${bar.side}`, { fresh: bar.isNew }]"
        :style="{
          top: `${bar.startMs * pxPerMs}px`,
          height: `${Math.max(2, (bar.endMs - bar.startMs) * pxPerMs - 1)}px`,
        }"
      >
        <template v-if="(bar.endMs - bar.startMs) * pxPerMs >= lineHighPx">{{ bar.name }}</template>
      </i>
    </span>
    <span v-if="week.leftOut === undefined" class="new">{{ newWords }}</span>
  </button>
</template>

<style scoped>
.week {
  display: grid;
  justify-items: stretch;
  gap: 1px;
  align-content: start;
  padding: 8px 6px 10px;
  border: 2px solid transparent;
  border-radius: 6px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.week[aria-selected='true'] {
  border-color: var(--ink);
  background: var(--chosen-wash);
}
.day,
.state {
  font-size: 14px;
  color: #4b5854;
}
.over {
  color: var(--avoid);
  font-weight: 650;
}
.state {
  min-height: 20px;
  overflow-wrap: anywhere;
}
.out {
  color: #4b5854;
}
.spine {
  position: relative;
  display: block;
  margin: 4px 0 6px;
}
.spine i {
  position: absolute;
  inset-inline: 0;
  overflow: hidden;
  padding: 0 3px;
  border-radius: 2px;
  font-size: 12px;
  font-style: normal;
  line-height: 13px;
  white-space: nowrap;
  text-overflow: ellipsis;
  background: var(--rest-wash);
}
.spine .both {
  background: var(--both-wash);
}
.spine .left {
  background: var(--left-wash);
}
.spine .right {
  background: var(--right-wash);
}
.spine .breath {
  background: var(--breath-wash);
}
.spine .on-left {
  right: 50%;
}
.spine .on-right {
  left: 50%;
}
.spine .fresh {
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.new {
  align-self: start;
  font-size: 14px;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
</style>
