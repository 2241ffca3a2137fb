<script setup lang="ts">
import { computed } from 'vue'
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { takesWords } from '#words/props'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import type { SetUpLed } from '../use-set-ups-led.ts'
import LookTo from './LookTo.vue'
import ScriptSays from './ScriptSays.vue'
import SetUpNow from './SetUpNow.vue'
import { otherSideWords, segmentTitle } from '#words/segments'

/** The half that is not lit: what the other side takes, and what comes next. */
const props = defineProps<{
  led: LedStart
  stage: Exclude<Stage, { is: 'ended' }>
  /** Whether what is said sentence by sentence is shown. */
  isSaid: boolean
  /** What is laid now, or what comes first after a talk. */
  laid: SetUpLed | undefined
  /** The next that is set up. */
  nextSetUp: SetUpLed | undefined
}>()

const side = computed(() => {
  const { side: held } = props.stage.segment
  return held === 'left' || held === 'right' ? held : undefined
})
const otherName = computed(() => (side.value === 'left' ? 'Right' : 'Left'))
const other = computed(() => props.stage.other)
const picturedNext = computed(() => {
  const { figure, items } = props.nextSetUp ?? {}
  return figure && items ? { figure, items } : undefined
})
/** Until when a second side that stops at its cap is held. */
const stopsAtMs = computed(() => ('heldMs' in props.stage ? props.stage.heldMs + props.stage.leftMs : 0))
</script>

<template>
  <section class="other" aria-label="Next">
    <ScriptSays v-if="isSaid && stage.script" :script="stage.script" />
    <SetUpNow
      v-else-if="laid"
      :set-up="laid"
      :side="laid.blockId === stage.segment.blockId ? side : undefined"
      :title="laid.blockId === stage.segment.blockId ? 'Lay, from the floor up' : `Then ${laid.name}`"
    />
    <div v-else-if="side && other" class="side-told">
      <p class="label">{{ otherName }} {{ other.is }}</p>
      <p class="match" data-testid="match">{{ formatMs(other.ms) }}</p>
      <p class="label">{{ otherSideWords(other, side) }}</p>
      <p v-if="other.cappedFromMs !== undefined && other.is === 'was'" class="label">
        stops at {{ formatMs(stopsAtMs) }}; Enter makes it as long as the {{ otherName.toLowerCase() }}
      </p>
      <p v-else-if="other.cappedFromMs !== undefined" class="label">
        stops there, unless you let it match {{ formatMs(other.cappedFromMs) }}
      </p>
    </div>
    <div v-if="stage.next">
      <p class="label">Next</p>
      <p class="next">{{ segmentTitle(led, stage.next.segment) }} {{ formatMs(stage.next.lengthMs) }}</p>
    </div>
    <p v-else class="next">Then the class is over</p>
    <p v-if="nextSetUp && nextSetUp !== laid" class="ready">
      <FigureThumb v-if="picturedNext" :pictured="picturedNext" />
      <template v-if="takesWords(nextSetUp.items)">
        <span class="label">Have ready</span> {{ takesWords(nextSetUp.items) }}
        <span class="label">for {{ nextSetUp.name }}</span>
      </template>
      <template v-else><span class="label">Then</span> {{ nextSetUp.name }}</template>
    </p>
    <LookTo :class="{ 'beside-script': isSaid && stage.script }" :led="led" :stage="stage" />
  </section>
</template>
