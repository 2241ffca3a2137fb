<script setup lang="ts">
import { computed } from 'vue'
import type { LedClass } from '#model/classes'
import { breathNow } from '#core/lead'
import type { LeadPlan, LeadState, Look } from '#core/lead'
import { formatDuration, formatMs } from '#core/units'
import BreathStrip from './BreathStrip.vue'
import { blockTitle, segmentTitle, sideInBody, sideName, toSay } from '#words/segments'

/** The two halves: what is held now, and what comes; a form of its own for each kind of segment. */
const props = defineProps<{ led: LedClass; plan: LeadPlan; state: LeadState; seen: Look }>()

const segment = computed(() => props.seen.segment)
const kind = computed(() => segment.value?.doing.kind)
const side = computed(() =>
  segment.value?.side === 'left' || segment.value?.side === 'right' ? segment.value.side : undefined,
)
const isHold = computed(() => kind.value === 'hold')
/** What lies between holds is told with the block it belongs to; a talk or rest is that block itself. */
const isBetween = computed(() => !['hold', 'breath', 'movement', 'talk', 'rest'].includes(kind.value ?? ''))
const isBreath = computed(() => kind.value === 'breath')
const breath = computed(() => breathNow(props.plan, props.state))
const hasStrip = computed(
  () =>
    isBreath.value ||
    (isHold.value && segment.value !== undefined && props.plan.over[segment.value.blockId] !== undefined),
)
const partWords = { in: 'in', full: 'hold full', out: 'out', empty: 'hold empty' } as const
const breathWords = computed(() => {
  if (!breath.value) return 'own breath'
  const { part, counts } = breath.value
  return part === 'full' || part === 'empty' ? `${partWords[part]} ${String(counts)}` : partWords[part]
})
const otherName = computed(() => (side.value === 'left' ? 'Right' : 'Left'))
const isSecond = computed(
  () =>
    segment.value !== undefined &&
    props.plan.segments.some(
      (other) => other.blockId === segment.value?.blockId && other.mirrors !== undefined && other.side === side.value,
    ),
)
const otherWords = computed(() => {
  const more = Math.round(props.seen.otherSideMoreMs / 1000)
  const than =
    more === 0 ? 'as planned' : `${formatDuration(Math.abs(more))} ${more > 0 ? 'longer' : 'shorter'} than planned`
  if (more === 0) return than
  return isSecond.value ? `as it was done, ${than}` : `${than}, as the ${side.value ?? ''}`
})
const paused = computed(() => props.state.pause)
const closing = computed(() => (kind.value === 'closing' ? segment.value : undefined))
</script>

<template>
  <div
    class="stage"
    :class="[side ?? 'both', { breath: isBreath, paused: paused !== null, strip: hasStrip && !isBreath }]"
  >
    <section class="lit" aria-label="Now">
      <p class="where">
        <template v-if="side"
          ><b>{{ segment ? sideName(segment) : '' }}</b> · {{ segment ? sideInBody(led, segment) : '' }}</template
        >
        <template v-else-if="closing">Closing</template>
        <template v-else-if="segment && isBetween">{{ blockTitle(led, segment) }}</template>
        <template v-else>{{ isBreath && breath ? `round ${breath.round} of ${breath.rounds}` : '' }}</template>
      </p>
      <template v-if="paused && paused.kind === 'hold'">
        <div class="clocks">
          <div>
            <p class="clock small">{{ formatMs(seen.pausedForMs ?? 0) }}</p>
            <p class="under">paused, they stay</p>
          </div>
          <div>
            <p class="clock small">{{ formatMs(seen.heldMs) }}</p>
            <p class="under">in the shape</p>
          </div>
        </div>
        <p v-if="seen.pastCapMs > 0" class="line">
          {{ formatMs(seen.pastCapMs) }} past the first ceiling for this shape
        </p>
      </template>
      <template v-else-if="paused">
        <p class="clock small">{{ formatMs(seen.pausedForMs ?? 0) }}</p>
        <p class="under">{{ paused.kind === 'breath' ? 'paused: natural breath' : 'paused' }}</p>
      </template>
      <template v-else-if="isBreath">
        <p class="clock count">{{ breath ? breath.count : '–' }}</p>
        <p class="name">{{ breathWords }}</p>
        <div class="breath-line"><BreathStrip :plan="plan" :state="state" :height="180" /></div>
      </template>
      <p v-else class="clock" data-testid="clock">{{ formatMs(seen.leftMs) }}</p>
      <p v-if="segment" class="name" :class="{ quiet: isBreath }">
        {{
          isBreath
            ? `${blockTitle(led, segment)}, ${formatMs(seen.leftMs)} left`
            : isHold
              ? blockTitle(led, segment)
              : segmentTitle(led, segment)
        }}
      </p>
      <p v-if="segment && isHold && !paused" class="cue">
        {{ seen.nextCue ? `${seen.nextCue.text} in ${formatMs(seen.nextCue.inMs)}` : '' }}
      </p>
      <p v-else-if="segment && !isBreath && !isHold" class="cue">{{ toSay(led, plan, segment) }}</p>
    </section>
    <section class="other" aria-label="Next">
      <template v-if="side && seen.otherSideMs !== undefined">
        <p class="label">{{ isSecond ? `${otherName} was` : `${otherName} will match` }}</p>
        <p class="match" data-testid="match">{{ formatMs(seen.otherSideMs) }}</p>
        <p class="label">{{ otherWords }}</p>
        <p v-if="isSecond && seen.cappedFromMs !== undefined" class="label">
          stops at {{ formatMs(seen.heldMs + seen.leftMs) }}; Enter makes it as long as the
          {{ otherName.toLowerCase() }}
        </p>
      </template>
      <template v-if="seen.next">
        <p class="label">Next</p>
        <p class="next">{{ segmentTitle(led, seen.next.segment) }} {{ formatMs(seen.next.lengthMs) }}</p>
      </template>
      <p v-else class="next">Then the class is over</p>
      <p v-if="led.people > 0" class="label">{{ led.people }} people</p>
    </section>
    <div v-if="hasStrip && !isBreath" class="strip-line">
      <BreathStrip :plan="plan" :state="state" :height="90" />
      <p class="strip-count">{{ breath ? `${partWords[breath.part]} ${breath.count}` : 'own breath' }}</p>
      <p class="strip-round">
        {{ segment ? plan.over[segment.blockId]?.name.toLowerCase() : '' }} over it{{
          breath ? ` · round ${breath.round} of ${breath.rounds}` : ''
        }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.stage {
  display: grid;
  grid-template-columns: 65fr 35fr;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
}
.stage.right {
  grid-template-columns: 35fr 65fr;
}
.right .lit {
  grid-column: 2;
}
.right .other {
  grid-column: 1;
  grid-row: 1;
}
.lit,
.other {
  padding: 22px 28px;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
}
.lit {
  border-top: 6px solid var(--lit);
  background: linear-gradient(var(--lit-wash), var(--ground) 75%);
}
.other {
  border-top: 6px solid var(--line);
  border-left: 1px solid var(--line);
}
.left .lit {
  --lit: var(--left);
  --lit-wash: var(--left-wash);
}
.right .lit {
  --lit: var(--right);
  --lit-wash: var(--right-wash);
}
.both .lit {
  --lit: var(--both);
  --lit-wash: var(--both-wash);
  text-align: center;
}
.breath .lit {
  --lit: var(--breath);
  --lit-wash: var(--breath-wash);
}
/* A symmetric hold, breath and talk light both halves as one; what comes next lies under them. */
.stage.both {
  grid-template-columns: 1fr;
  grid-template-rows: minmax(0, 1fr) auto auto;
}
.both .other {
  display: flex;
  align-items: baseline;
  justify-content: center;
  gap: 16px;
  padding-block: 12px;
  border-left: 0;
  border-top: 1px solid var(--line);
}
.both .next {
  margin: 0;
}
.where {
  font-size: 30px;
  min-height: 39px;
}
.where b {
  color: var(--lit);
}
.clock {
  font-size: clamp(90px, 17.5vw, 224px);
  line-height: 1.08;
  font-weight: 500;
  letter-spacing: -2px;
}
.clock.small {
  font-size: clamp(64px, 11vw, 150px);
}
.clock.count {
  font-size: clamp(90px, 12vw, 150px);
}
.clocks {
  display: flex;
  gap: 60px;
  justify-content: center;
  flex-wrap: wrap;
}
.left .clocks,
.right .clocks {
  justify-content: flex-start;
}
.under,
.line {
  font-size: 28px;
  color: var(--ink-soft);
}
.name {
  font-size: clamp(28px, 3.6vw, 48px);
  font-weight: 650;
  line-height: 1.12;
  overflow-wrap: anywhere;
}
.name.quiet {
  font-weight: 500;
  color: var(--ink-soft);
}
.cue {
  font-size: clamp(28px, 3.45vw, 44px);
  line-height: 1.15;
  color: var(--ink-soft);
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  line-clamp: 3;
  overflow: hidden;
  /* Room for descenders, which the clamp would cut. */
  padding-bottom: 0.15em;
}
.label {
  font-size: 22px;
  color: var(--ink-soft);
}
.match {
  font-size: 72px;
  line-height: 1.1;
  color: var(--ink-soft);
}
.next {
  font-size: clamp(28px, 3.45vw, 44px);
  font-weight: 650;
  line-height: 1.12;
  margin-bottom: 22px;
  overflow-wrap: anywhere;
}
.match + .label {
  margin-bottom: 26px;
}
.breath-line {
  height: clamp(110px, 22vh, 190px);
  margin: 8px 0;
}
.strip-line {
  grid-column: 1 / -1;
  position: relative;
  height: 116px;
  padding: 8px 28px 26px;
  border-top: 1px solid var(--line);
}
.strip-count {
  position: absolute;
  left: calc(50% + 14px);
  top: 2px;
  font-size: 26px;
  font-weight: 650;
}
.strip-round {
  position: absolute;
  right: 28px;
  bottom: 2px;
  font-size: 17px;
  color: var(--ink-soft);
}
.paused .lit,
.paused .other {
  background: none;
  opacity: 0.8;
}
@media (max-width: 800px) {
  .stage,
  .stage.right {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(0, 1fr) auto auto;
  }
  .right .lit,
  .right .other {
    grid-column: 1;
    grid-row: auto;
  }
  .other {
    border-left: 0;
    padding-block: 10px;
  }
  .clock {
    font-size: clamp(90px, 27vw, 224px);
  }
  .clock.small {
    font-size: clamp(64px, 17vw, 150px);
  }
  .name {
    font-size: clamp(28px, 6.2vw, 48px);
  }
  .cue,
  .next {
    font-size: clamp(28px, 5.6vw, 44px);
  }
  .match {
    font-size: 40px;
  }
  .both .other {
    flex-wrap: wrap;
  }
  .next {
    margin-bottom: 4px;
  }
}
@media (max-width: 500px) {
  .lit,
  .other {
    padding: 12px 16px;
  }
  .where {
    font-size: 28px;
  }
}
</style>
