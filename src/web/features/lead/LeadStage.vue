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
  return props.isSaid && isThere && !props.stage.script ? setUp : undefined
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
      {
        breath: isBreath,
        paused: stage.is === 'paused' || stage.is === 'asking',
        strip: over,
        laying: laid ?? (isSaid && stage.script),
      },
    ]"
  >
    <section class="lit" aria-label="Now">
      <LitHolding v-if="stage.is === 'holding'" :led="led" :stage="stage" />
      <LitBreathing v-else-if="stage.is === 'breathing'" :led="led" :state="state" :stage="stage" />
      <LitMoving v-else-if="stage.is === 'moving'" :led="led" :stage="stage" />
      <LitBetween v-else-if="stage.is === 'between'" :led="led" :stage="stage" />
      <LitPaused v-else-if="stage.is === 'paused'" :led="led" :stage="stage" />
    </section>
    <OtherHalf :led="led" :stage="stage" :is-said="isSaid" :laid="laid" :next-set-up="next" />
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

<style src="./stage/stage.css"></style>
