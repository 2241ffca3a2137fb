<script setup lang="ts">
import { computed } from 'vue'
import type { LedPlan } from '#model/led-class'
import { beforeHold, mayCountAgain } from '#core/lead'
import type { Command, LeadState, Stage } from '#core/lead'
import type { Panel } from './use-refit.ts'

/** What the teacher can tell the class now. The buttons keep no focus, so Space is always pause. */
const props = defineProps<{ plan: LedPlan; state: LeadState; stage: Exclude<Stage, { is: 'ended' }> }>()
const emit = defineEmits<{ press: [command: Command]; show: [panel: Panel]; say: [] }>()

const isPaused = computed(() => props.stage.is === 'paused')
const inShape = computed(() => props.stage.is === 'paused' && props.stage.kind === 'hold')
const doing = computed(() => props.stage.segment.doing)
const endWords = computed(() => {
  if (inShape.value) return 'They come out'
  if (doing.value.kind === 'hold') return props.stage.segment.side === 'both' ? 'End this hold' : 'End this side'
  return doing.value.kind === 'breath' ? 'End this breath' : 'End this'
})
const isCounted = computed(
  () =>
    doing.value.kind === 'breath' ||
    doing.value.kind === 'movement' ||
    (doing.value.kind === 'hold' && props.plan.over[props.stage.segment.blockId] !== undefined),
)
const canMatch = computed(() => props.state.capped?.blockId === props.stage.segment.blockId)

/** Before a hold that begins when all are settled; else it ends a change or a set-up early. */
const isWaited = computed(() => props.stage.is === 'between' && props.stage.settling !== undefined)
const settledWords = computed(() => (isWaited.value ? 'All are settled' : 'Ready'))

interface Shown {
  readonly command: Command
  readonly words: string
  readonly key: string
  readonly isFree?: boolean
  readonly isLarge?: boolean
}
const buttons = computed<readonly Shown[]>(() => [
  ...(beforeHold.has(doing.value.kind) && !isPaused.value && (isWaited.value || doing.value.kind !== 'settle')
    ? [{ command: 'settled' as const, words: settledWords.value, key: 'Enter', isLarge: isWaited.value }]
    : []),
  isPaused.value
    ? { command: 'resume', words: 'Go on', key: 'space' }
    : { command: 'pause', words: 'Pause', key: 'space' },
  { command: 'stay', words: 'Stay 30 s', key: '+' },
  // Where all are to be settled, that is the end of it.
  ...(isWaited.value
    ? []
    : [{ command: inShape.value ? ('theyComeOut' as const) : ('end' as const), words: endWords.value, key: '→' }]),
  { command: 'back', words: 'Back', key: '←' },
  ...(canMatch.value
    ? [
        {
          command: 'match' as const,
          words: `As long as the ${props.stage.segment.side === 'left' ? 'right' : 'left'}`,
          key: 'Enter',
        },
      ]
    : []),
  ...(mayCountAgain(props.state, props.state.nowMs)
    ? [{ command: 'countAgain' as const, words: 'Count again', key: 'C', isFree: true }]
    : []),
  ...(isCounted.value ? [{ command: 'freely' as const, words: 'Breathe freely', key: 'O', isFree: true }] : []),
  { command: 'stopCard', words: 'Stop signs', key: 'X' },
  { command: 'mark', words: 'Mark', key: 'M' },
  { command: 'bell', words: 'Bell', key: 'B' },
])
const panels: readonly { readonly panel: Panel; readonly words: string; readonly key: string }[] = [
  { panel: 'makeUp', words: 'What gives', key: 'G' },
  { panel: 'left', words: 'What is left', key: 'W' },
]
</script>

<template>
  <footer>
    <button
      v-for="{ command, words, key, isFree, isLarge } in buttons"
      :key="key"
      type="button"
      tabindex="-1"
      :class="{ free: isFree, large: isLarge }"
      @pointerdown.prevent
      @click="emit('press', command)"
    >
      {{ words }} <kbd>{{ key }}</kbd>
    </button>
    <i />
    <button type="button" tabindex="-1" @pointerdown.prevent @click="emit('say')">What to say <kbd>T</kbd></button>
    <button
      v-for="{ panel, words, key } in panels"
      :key="key"
      type="button"
      tabindex="-1"
      @pointerdown.prevent
      @click="emit('show', panel)"
    >
      {{ words }} <kbd>{{ key }}</kbd>
    </button>
  </footer>
</template>

<style scoped>
footer {
  grid-row: 5;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  padding: 12px 24px;
  background: var(--sheet);
}
i {
  flex: 1;
}
button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font-size: 17px;
  cursor: pointer;
}
kbd {
  font: inherit;
  font-size: 14px;
  color: var(--ink-soft);
}
.free {
  border-color: var(--breath);
}
.large {
  min-width: 190px;
  border: 2px solid var(--chosen);
  font-size: 22px;
  font-weight: 650;
}
@media (max-width: 500px) {
  footer {
    padding: 8px 12px;
  }
  button {
    flex: 1 1 auto;
  }
  kbd {
    display: none;
  }
}
@media (max-height: 480px) {
  footer {
    gap: 5px;
    padding: 4px 12px;
  }
  button {
    flex: 1 1 auto;
    padding: 0 6px;
    font-size: 15px;
  }
  kbd {
    display: none;
  }
}
</style>
