<script setup lang="ts">
import { computed } from 'vue'
import type { PartInDay } from '#core/long-day'
import { eatenWords, hourWords, longWords } from '#words/long-days'
import { useLongDays } from './use-long-days.ts'

/** The day by the clock, part under part: sessions as small spines lying down, all to one scale. */
const { laid, looked, sessions, gone, chosenPart, findings } = useLongDays()
/** The longest session fills the row. */
const longestS = computed(() =>
  Math.max(1, ...laid.value.flatMap(({ part, startS, endS }) => (part.kind === 'session' ? [endS - startS] : []))),
)
interface Row {
  readonly key: string
  readonly hour: string
  readonly length: string
  readonly name: string
  readonly about: string
  readonly free: string
  readonly isBreak: boolean
  readonly marks: number
  readonly bars: readonly { key: string; name: string; tone: string; side: string; left: string; width: string }[]
}
function rowOf({ part, startS, endS, freeS }: PartInDay): Row {
  const shared = {
    ...{ key: part.id, hour: hourWords(startS), length: longWords(endS - startS) },
    free: freeS > 0 ? `${longWords(freeS)} with nothing planned` : '',
    marks: findings.value.filter(({ partId }) => partId === part.id).length,
  }
  if (part.kind === 'break') {
    const about = part.eaten === undefined ? '' : eatenWords[part.eaten]
    return { ...shared, name: part.name, about, isBreak: true, bars: [] }
  }
  const there = looked.value.get(part.sessionId)
  const toLookAt = there?.toLookAt ?? 0
  const isBroken = !there && sessions.value.has(part.sessionId)
  const percent = (ms: number): string => `${String((ms / 10 / longestS.value).toFixed(3))}%`
  return {
    ...shared,
    name: sessions.value.get(part.sessionId)?.name ?? (gone.value.has(part.sessionId) ? 'A session that is gone' : ''),
    about:
      toLookAt > 0 ? `${String(toLookAt)} to look at in its plan` : isBroken ? 'something in its plan is gone' : '',
    isBreak: false,
    bars: (there?.spine?.bars ?? []).map(({ key, name, tone, side, startMs, endMs }) => ({
      ...{ key, name, tone, side, left: percent(startMs), width: percent(endMs - startMs) },
    })),
  }
}
const rows = computed(() => laid.value.map(rowOf))
const endHour = computed(() => hourWords(laid.value.at(-1)?.endS ?? 0))
</script>

<template>
  <ol v-if="rows.length > 0" class="day-parts" aria-label="The day">
    <li v-for="row in rows" :key="row.key">
      <p v-if="row.free" class="free">{{ row.free }}</p>
      <button
        type="button"
        class="part"
        :class="{ pause: row.isBreak }"
        :aria-current="chosenPart === row.key ? 'true' : undefined"
        @click="chosenPart = row.key"
      >
        <span class="hour">{{ row.hour }}</span>
        <span class="what">
          <b>{{ row.name }}</b>
          <small>{{ row.length }}{{ row.about ? ` · ${row.about}` : '' }}</small>
          <i v-if="row.marks > 0" class="mark">{{ row.marks }} to look at</i>
        </span>
        <span v-if="row.bars.length > 0" class="bars" aria-hidden="true">
          <i
            v-for="bar in row.bars"
            :key="bar.key"
            :class="[bar.tone, bar.side === 'both' ? '' : `on-${bar.side}`]"
            :style="{ left: bar.left, width: bar.width }"
            >{{ bar.name }}</i
          >
        </span>
      </button>
    </li>
    <li class="end">
      <span class="hour">{{ endHour }}</span> <span>the end</span>
    </li>
  </ol>
</template>

<style scoped>
.day-parts {
  display: grid;
  gap: 4px;
  max-width: 760px;
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
}
.part,
.end {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  gap: 2px 10px;
  width: 100%;
  padding: 7px 10px 9px;
  border: 2px solid transparent;
  border-radius: 6px;
  color: var(--ink);
  font: inherit;
  text-align: left;
}
.part {
  background: var(--sheet);
  cursor: pointer;
}
.part.pause {
  background: none;
}
.part[aria-current] {
  border-color: var(--ink);
  background: var(--chosen-wash);
}
.hour {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
}
.what b {
  font-weight: 650;
  overflow-wrap: anywhere;
}
.pause b {
  font-weight: 400;
}
small,
.end span:last-child,
.free {
  font-size: 14px;
  color: #4b5854;
}
.free {
  margin: 0;
  padding: 2px 10px 2px 84px;
}
.mark {
  font-size: 14px;
  font-style: normal;
  font-weight: 650;
}
.bars {
  position: relative;
  display: block;
  grid-column: 2;
  height: 26px;
  margin-top: 3px;
}
.bars i {
  position: absolute;
  inset-block: 0;
  overflow: hidden;
  padding: 0 3px;
  border-right: 1px solid var(--sheet);
  border-radius: 2px;
  font-size: 12px;
  font-style: normal;
  line-height: 26px;
  white-space: nowrap;
  text-overflow: ellipsis;
  background: var(--rest-wash);
}
.bars .both {
  background: var(--both-wash);
}
.bars .left {
  background: var(--left-wash);
}
.bars .right {
  background: var(--right-wash);
}
.bars .breath {
  background: var(--breath-wash);
}
.bars .on-left {
  bottom: 50%;
  line-height: 13px;
}
.bars .on-right {
  top: 50%;
  line-height: 13px;
}
</style>
