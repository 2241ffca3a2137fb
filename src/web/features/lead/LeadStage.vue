<script setup lang="ts">
import { computed } from 'vue'
import type { LedStart } from '#model/led-class'
import type { LeadState, Stage } from '#core/lead'
import BreathOverLine from './stage/BreathOverLine.vue'
import LitBetween from './stage/LitBetween.vue'
import LitBreathing from './stage/LitBreathing.vue'
import LitHolding from './stage/LitHolding.vue'
import LitMoving from './stage/LitMoving.vue'
import LitPaused from './stage/LitPaused.vue'
import OtherHalf from './stage/OtherHalf.vue'
import type { SetUpLed } from './use-set-ups-led.ts'

/** The two halves: what is held now, and what comes; a form of its own for each kind of stage. */
const props = defineProps<{
  led: LedStart
  state: LeadState
  stage: Exclude<Stage, { is: 'ended' }>
  setUps: ReadonlyMap<string, SetUpLed>
  /** Whether what to say now is shown. */
  isSaid: boolean
}>()

const side = computed(() => {
  const { side: held } = props.stage.segment
  return held === 'left' || held === 'right' ? held : 'both'
})
/** The next block that is set up, left-out ones passed over. */
const next = computed(() => {
  const { blockId, index } = props.stage.segment
  const ahead = props.led.plan.segments.slice(index).map((segment) => segment.blockId)
  const following = ahead.find((id) => id !== blockId && props.setUps.has(id) && !props.state.leaves.includes(id))
  return following === undefined ? undefined : props.setUps.get(following)
})
/** What is laid now; in a talk, what comes first after it. */
const laid = computed(() => {
  const { doing, blockId } = props.stage.segment
  const setUp = doing.kind === 'talk' ? next.value : props.setUps.get(blockId)
  const isThere = setUp !== undefined && (setUp.items.length > 0 || setUp.figure !== undefined)
  return props.isSaid && isThere ? setUp : undefined
})
const isBreath = computed(() => props.stage.segment.doing.kind === 'breath')
const over = computed(() =>
  props.stage.segment.doing.kind === 'hold' ? props.led.plan.over[props.stage.segment.blockId] : undefined,
)
</script>

<template>
  <div
    class="stage"
    :class="[
      side,
      { breath: isBreath, paused: stage.is === 'paused' || stage.is === 'asking', strip: over, laying: laid },
    ]"
  >
    <section class="lit" aria-label="Now">
      <LitHolding v-if="stage.is === 'holding'" :led="led" :stage="stage" />
      <LitBreathing v-else-if="stage.is === 'breathing'" :led="led" :state="state" :stage="stage" />
      <LitMoving v-else-if="stage.is === 'moving'" :led="led" :stage="stage" />
      <LitBetween v-else-if="stage.is === 'between'" :led="led" :stage="stage" />
      <LitPaused v-else-if="stage.is === 'paused'" :led="led" :stage="stage" />
    </section>
    <OtherHalf :led="led" :stage="stage" :laid="laid" :next-set-up="next" />
    <BreathOverLine
      v-if="over"
      :led="led"
      :state="state"
      :over="over"
      :breath="stage.is === 'holding' ? stage.breath : undefined"
      :lead-in="stage.is === 'holding' ? stage.leadIn : undefined"
    />
  </div>
</template>

<style>
/* Shared by the halves, so not scoped to one component; all of it stands below the stage. */
.stage {
  display: grid;
  grid-template-columns: 65fr 35fr;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
}
.stage.right {
  grid-template-columns: 35fr 65fr;
}
.stage.right .lit {
  grid-column: 2;
}
.stage.right .other {
  grid-column: 1;
  grid-row: 1;
}
.stage .lit,
.stage .other {
  padding: 22px 28px;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
}
.stage .lit {
  border-top: 6px solid var(--lit);
  background: linear-gradient(var(--lit-wash), var(--ground) 75%);
}
.stage .other {
  border-top: 6px solid var(--line);
  border-left: 1px solid var(--line);
}
.stage.left .lit {
  --lit: var(--left);
  --lit-wash: var(--left-wash);
}
.stage.right .lit {
  --lit: var(--right);
  --lit-wash: var(--right-wash);
}
.stage.both .lit {
  --lit: var(--both);
  --lit-wash: var(--both-wash);
  text-align: center;
}
.stage.breath .lit {
  --lit: var(--breath);
  --lit-wash: var(--breath-wash);
}
/* A symmetric hold, breath and talk light both halves as one; what comes next lies under them. */
.stage.both {
  grid-template-columns: 1fr;
  grid-template-rows: minmax(0, 1fr) auto auto;
}
.stage.both .other {
  display: flex;
  align-items: baseline;
  justify-content: center;
  gap: 16px;
  padding-block: 12px;
  border-left: 0;
  border-top: 1px solid var(--line);
}
.stage.both .other > div {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.stage.both .next {
  margin: 0;
}
/* While something is laid, the half that is not lit is for it. */
.stage.both.laying {
  grid-template-columns: 60fr 40fr;
  grid-template-rows: minmax(0, 1fr) auto;
}
.stage.laying .other {
  overflow-y: auto;
}
.stage.both.laying .other {
  display: block;
  padding-block: 22px;
  border-top: 6px solid var(--line);
  border-left: 1px solid var(--line);
}
.stage.both.laying .other > div {
  display: block;
}
.stage.laying .other > .set-up-now {
  display: grid;
  margin-bottom: 18px;
}
.stage.laying .lit .cue {
  font-size: clamp(26px, 2.8vw, 36px);
  -webkit-line-clamp: 7;
  line-clamp: 7;
}
.stage .ready {
  font-size: clamp(20px, 2.1vw, 28px);
  line-height: 1.25;
  margin-bottom: 14px;
}
.stage .where {
  font-size: clamp(28px, 3.45vw, 44px);
  line-height: 1.15;
  min-height: 1.2em;
}
.stage .where b {
  color: var(--lit);
}
.stage .clock {
  font-size: clamp(90px, min(17.5vw, 34vh), 224px);
  line-height: 1.08;
  font-weight: 500;
  letter-spacing: -2px;
}
.stage .clock.small {
  font-size: clamp(64px, 11vw, 150px);
}
.stage .clock.count {
  font-size: clamp(90px, 12vw, 150px);
}
.stage .clocks {
  display: flex;
  gap: 60px;
  justify-content: center;
  flex-wrap: wrap;
}
.stage.left .clocks,
.stage.right .clocks {
  justify-content: flex-start;
}
.stage .under,
.stage .line {
  font-size: 28px;
  color: var(--ink-soft);
}
.stage .name {
  font-size: clamp(28px, 3.6vw, 48px);
  font-weight: 650;
  line-height: 1.12;
  overflow-wrap: anywhere;
}
.stage .name.quiet {
  font-weight: 500;
  color: var(--ink-soft);
}
.stage .cue {
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
.stage .says {
  font-size: clamp(24px, 3.45vw, 44px);
  line-height: 1.12;
  min-height: 1.12em;
  color: var(--ink-soft);
}
.stage .says.long {
  font-size: clamp(24px, 2.8vw, 36px);
}
.stage .cue.says {
  margin-top: 0.5em;
  color: var(--ink);
}
.stage.breath .lit {
  padding-block: 12px;
}
.stage .label {
  font-size: 22px;
  color: var(--ink-soft);
}
.stage .match {
  font-size: 72px;
  line-height: 1.1;
  color: var(--ink-soft);
}
.stage .next {
  font-size: clamp(28px, 3.45vw, 44px);
  font-weight: 650;
  line-height: 1.12;
  margin-bottom: 22px;
  overflow-wrap: anywhere;
}
.stage .side-told {
  margin-bottom: 26px;
}
.stage .breath-line {
  height: clamp(110px, 20vh, 190px);
  margin: 6px 0;
}
.stage .strip-line {
  grid-column: 1 / -1;
  position: relative;
  height: 116px;
  padding: 8px 28px 26px;
  border-top: 1px solid var(--line);
}
.stage .strip-count {
  position: absolute;
  left: calc(50% + 14px);
  top: 2px;
  font-size: 26px;
  font-weight: 650;
}
.stage .strip-round {
  position: absolute;
  right: 28px;
  bottom: 2px;
  font-size: 17px;
  color: var(--ink-soft);
}
.stage.paused .lit,
.stage.paused .other {
  background: none;
  opacity: 0.8;
}
@media (max-width: 800px) {
  .stage,
  .stage.right,
  .stage.both.laying {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(0, 1fr) auto auto;
  }
  .stage.right .lit,
  .stage.right .other {
    grid-column: 1;
    grid-row: auto;
  }
  .stage .other {
    border-left: 0;
    padding-block: 10px;
  }
  .stage .clock {
    font-size: clamp(90px, 27vw, 224px);
  }
  .stage .clock.small {
    font-size: clamp(64px, 17vw, 150px);
  }
  .stage .clock.count {
    font-size: clamp(90px, 20vw, 150px);
  }
  .stage .says,
  .stage .says.long {
    font-size: clamp(24px, 4.6vw, 36px);
  }
  .stage .name {
    font-size: clamp(28px, 6.2vw, 48px);
  }
  .stage .cue,
  .stage .next {
    font-size: clamp(28px, 5.6vw, 44px);
  }
  .stage .match {
    font-size: 40px;
  }
  .stage.both .other {
    flex-wrap: wrap;
  }
  .stage .next {
    margin-bottom: 4px;
  }
}
@media (max-width: 500px) {
  .stage .ready {
    display: none;
  }
  .stage .lit,
  .stage .other {
    padding: 10px 16px;
  }
  .stage .where {
    font-size: 28px;
    line-height: 1.15;
  }
  /* What the other side takes beside what comes next: the lit half keeps its name and cue in sight. */
  .stage .other {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 16px;
    align-items: start;
  }
  .stage.both .other {
    grid-template-columns: 1fr;
  }
  .stage .side-told {
    margin-bottom: 0;
  }
  .stage .label {
    font-size: 18px;
  }
}
/* A phone on its side, or a page magnified twice: the halves stand beside each other again. */
@media (max-height: 480px) {
  .stage,
  .stage.right {
    grid-template-columns: 65fr 35fr;
    grid-template-rows: minmax(0, 1fr) auto;
  }
  .stage.right {
    grid-template-columns: 35fr 65fr;
  }
  .stage.right .lit {
    grid-area: 1 / 2;
  }
  .stage.right .other {
    grid-area: 1 / 1;
  }
  .stage.both {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(0, 1fr) auto auto;
  }
  .stage .lit,
  .stage .other {
    padding: 6px 16px;
    overflow-y: auto;
  }
  .stage .clock,
  .stage .clock.small,
  .stage .clock.count {
    font-size: clamp(64px, 24vh, 110px);
  }
  .stage .where {
    font-size: 20px;
    line-height: 1.1;
    min-height: 0;
  }
  .stage .name,
  .stage .cue,
  .stage .next {
    font-size: 26px;
  }
  .stage .breath-line {
    height: 60px;
  }
  .stage .side-told {
    margin-bottom: 6px;
  }
}
</style>
