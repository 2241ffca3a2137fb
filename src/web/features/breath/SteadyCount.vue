<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { useIntervalFn } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { countText, steadinessWords } from '#words/steadiness'
import { formatMs } from '#core/units'
import { ports } from '#web/shared/ports.ts'
import { useBells } from '#web/shared/lead/use-bells.ts'
import { countIn, heldCount, overAt, withTap } from './taps.ts'
import type { Taps } from './taps.ts'
import TapLine from './TapLine.vue'
import { endWith, useBreath } from './use-breath.ts'

/** A steady count to practise with: count along by tapping, then see what the count did. Kept for nobody. */
const { resolvedSection, sounding } = useBreath()
const bells = useBells()

const pace = computed(() => {
  const section = resolvedSection.value
  return section && 'pace' in section ? section.pace : { num: 1000, den: 1 }
})
const wantMs = computed(() => pace.value.num / pace.value.den)
const lengths = [
  { ms: 60_000, words: 'one minute' },
  { ms: 120_000, words: 'two minutes' },
] as const
const lengthMs = shallowRef<number>(lengths[0].ms)
const taps = shallowRef<Taps>()
const nowMs = shallowRef(0)
const isOver = computed(() => {
  const endMs = taps.value && overAt(taps.value)
  return endMs !== undefined && nowMs.value >= endMs
})
const leftMs = computed(() => {
  const endMs = taps.value && overAt(taps.value)
  return endMs === undefined ? lengthMs.value : Math.max(0, endMs - nowMs.value)
})
const did = computed(() => (taps.value && isOver.value ? heldCount(taps.value, wantMs.value) : undefined))

const ticking = useIntervalFn(look, 100, { immediate: false })
function look(): void {
  nowMs.value = ports().steadyMs()
  if (isOver.value) ticking.pause()
}
async function begin(): Promise<void> {
  taps.value = { lengthMs: lengthMs.value, at: [] }
  sounding.value = 'tapped'
  await bells.letThrough()
  const zeroMs = ports().steadyMs()
  bells.replace(countIn(pace.value), 0, () => ports().steadyMs() - zeroMs)
}
function tap(): void {
  if (!taps.value || isOver.value) return
  taps.value = withTap(taps.value, ports().steadyMs())
  look()
  ticking.resume()
}
function leave(): void {
  ticking.pause()
  bells.silence()
  taps.value = undefined
}
endWith('heard', () => {
  if (!isOver.value) leave()
})
/** A held key is one tap. */
function key(event: KeyboardEvent): void {
  if (event.key !== ' ' && event.key !== 'Enter') return
  event.preventDefault()
  if (!event.repeat) tap()
}
</script>

<template>
  <section class="steady" aria-labelledby="steady-count">
    <h3 id="steady-count">A steady count</h3>
    <p>
      Tap along at every count of {{ countText(wantMs) }}: four are sounded, then you go on by yourself. What comes of
      it is shown to you and kept nowhere.
    </p>
    <div v-if="!taps" class="row">
      <Select v-model="lengthMs" aria-label="How long" :options="[...lengths]" option-label="words" option-value="ms" />
      <Button size="small" severity="secondary" outlined label="Tap a count" @click="begin" />
    </div>
    <template v-else-if="!isOver">
      <button type="button" class="pad" autofocus @pointerdown.prevent="tap" @keydown="key">
        {{
          taps.at.length === 0
            ? 'Tap here, or with Space, at every count'
            : `${taps.at.length - 1} counts, ${formatMs(leftMs)} to go`
        }}
      </button>
      <Button size="small" text severity="secondary" label="Leave it" @click="leave" />
    </template>
    <template v-else>
      <template v-if="did">
        <TapLine :taps-ms="taps.at" :want-ms="wantMs" />
        <ul>
          <li v-for="words in steadinessWords(did, taps.lengthMs / 60_000)" :key="words">{{ words }}</li>
        </ul>
      </template>
      <p v-else>Too few taps to say anything: it takes nine at least.</p>
      <Button size="small" severity="secondary" outlined label="Once more" @click="begin" />
    </template>
  </section>
</template>

<style scoped>
.steady {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 14px;
}
h3 {
  font-size: 16px;
}
p {
  color: var(--ink-soft);
}
.row {
  display: flex;
  gap: 8px;
}
.pad {
  width: 100%;
  min-height: 84px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: var(--breath-wash);
  color: var(--ink);
  font: inherit;
  font-size: 16px;
  touch-action: manipulation;
  cursor: pointer;
}
li {
  list-style: square;
  margin-left: 18px;
}
</style>
