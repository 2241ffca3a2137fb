<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { computed, onMounted, onScopeDispose, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useEventListener } from '@vueuse/core'
import type { LedClass } from '#model/classes'
import { ledRecord, look } from '#core/lead'
import type { LeadEventType, LeadPlan, LeadState } from '#core/lead'
import { formatMs } from '#core/units'
import { firstCeilingS } from '#library/cautions/register'
import { clockText } from '#words/dates'
import { runningOf } from '#web/shared/lead/running-class.ts'
import { ports } from '#web/shared/ports.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import LeadBefore from './LeadBefore.vue'
import LeadEnd from './LeadEnd.vue'
import { fetchList } from './fetch-list.ts'
import { leadKey } from './lead-keys.ts'
import LeadStage from './LeadStage.vue'
import { endOf } from './promised-end.ts'
import StopCard from './StopCard.vue'
import { useLead } from './use-lead.ts'

const route = useRoute()
const router = useRouter()
const store = useSessionStore()
const cardShown = ref(false)
const leaving = ref(false)
const dim = ref(0)
const stage = ref<'opening' | 'elsewhere' | 'before' | 'led'>('opening')

const lead = useLead(() => (cardShown.value = true))
const led = computed(() => lead.led.value as LedClass | undefined)
const state = computed(() => lead.state.value as LeadState | undefined)
const plan = computed(() => lead.plan.value as LeadPlan | undefined)
const seen = computed(() => (plan.value && state.value ? look(plan.value, state.value) : undefined))
const isRunning = computed(() => state.value?.phase === 'running')
const isPaused = computed(() => state.value?.pause !== null && state.value?.pause?.kind !== 'asking')
const isAsking = computed(() => state.value?.pause?.kind === 'asking')

/** One window conducts at a time; the lock is let go when the page goes. */
let letGo: (() => void) | undefined
function holdLock(): Promise<boolean> {
  return new Promise((taken) => {
    void navigator.locks.request('zovrin-lead', { ifAvailable: true }, (lock) => {
      taken(lock !== null)
      return lock === null ? undefined : new Promise<void>((done) => (letGo = done))
    })
  })
}
onScopeDispose(() => letGo?.())

onMounted(async () => {
  const id = String(route.params['id'] ?? '')
  if (!(await holdLock())) {
    stage.value = 'elsewhere'
    return
  }
  const running = await runningOf(id)
  if (running) {
    lead.takeUp(running)
    stage.value = 'led'
    return
  }
  await store.open(id)
  stage.value = 'before'
})

function start(details: { people: number; startsAtMs: number | undefined; promisedMoreMs: number }): void {
  const session = store.document
  if (!session || !store.timeline) return
  const startedAtMs = ports().epochMs()
  const promisedEndMs = endOf({
    startsAtMs: details.startsAtMs,
    nowMs: startedAtMs,
    lengthS: session.lengthS,
    totalMs: store.timeline.totalMs,
    moreMs: details.promisedMoreMs,
  })
  const ceilingS = (pose: Parameters<typeof firstCeilingS>[0]) => firstCeilingS(pose, session.level)
  lead.begin(
    ledRecord(session, store.timeline, ceilingS, { id: nanoid(), people: details.people, startedAtMs, promisedEndMs }),
  )
  stage.value = 'led'
  void lead.letSoundThrough()
  void store.keepInHistory('lead')
}

async function save(note: string): Promise<void> {
  if ((await lead.save(note)) && led.value) await router.push({ name: 'led-class', params: { id: led.value.id } })
}

/** While sound is held back, the first touch or key only lets it through and counts as no command. */
function press(type: LeadEventType): void {
  if (lead.isHeard.value) lead.tell(type)
  else void lead.letSoundThrough()
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (stage.value !== 'led' || !isRunning.value || event.ctrlKey || event.metaKey || event.altKey) return
  if (isAsking.value || leaving.value) return
  if (event.key === 'Escape') cardShown.value = leaving.value = false
  const type = leadKey(event.key, isPaused.value)
  if (!type) {
    if (!lead.isHeard.value) void lead.letSoundThrough()
    return
  }
  event.preventDefault()
  if (!event.repeat) press(type)
})
useEventListener(window, 'pointerdown', () => {
  if (stage.value === 'led' && isRunning.value && !lead.isHeard.value) void lead.letSoundThrough()
})

const behindS = computed(() => {
  if (!led.value || !seen.value) return 0
  const endMs = lead.startedAtMs() + seen.value.endsAtMs
  return Math.round((endMs - Date.parse(led.value.promisedEnd)) / 1000)
})
const endLabel = computed(() => {
  const kind = seen.value?.segment?.doing.kind
  if (isPaused.value && state.value?.pause?.kind === 'hold') return 'They come out'
  if (kind === 'hold') return seen.value?.segment?.side === 'both' ? 'End this hold' : 'End this side'
  return kind === 'breath' ? 'End this breath' : 'End this'
})
const counted = computed(() => {
  const segment = seen.value?.segment
  if (!segment) return false
  const { kind } = segment.doing
  return (
    kind === 'breath' || kind === 'movement' || (kind === 'hold' && plan.value?.over[segment.blockId] !== undefined)
  )
})
const canMatch = computed(
  () =>
    seen.value?.cappedFromMs !== undefined ||
    (seen.value?.segment !== undefined && state.value?.capped[seen.value.segment.blockId] !== undefined),
)
const awakeWords = computed(() =>
  lead.staysAwake.value ? 'screen stays on' : 'the screen may go dark: keep it awake by hand',
)
</script>

<template>
  <div class="lead" data-room="dark" :style="{ '--dim': 1 - dim * 0.2 }">
    <template v-if="stage === 'led' && led && plan && state && seen && isRunning">
      <header>
        <b>{{ led.document.name }}</b>
        <span
          >{{ clockText(lead.startedAtMs() + state.nowMs) }} · ends
          {{ clockText(lead.startedAtMs() + seen.endsAtMs) }}</span
        >
        <span v-if="behindS >= 30" data-testid="behind"
          >{{ formatMs(behindS * 1000) }} behind the promised {{ clockText(Date.parse(led.promisedEnd)) }}</span
        >
        <i />
        <span>{{ awakeWords }}</span>
        <span v-if="lead.saveState.value === 'retrying'">not saved: retrying</span>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="dim = (dim + 1) % 4">
          dim {{ dim + 1 }} of 4
        </button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="leaving = true">Leave</button>
      </header>
      <div v-if="!lead.isHeard.value" class="hush" role="alert">
        Touch or press any key for the bells<template v-if="lead.missed.value > 0"
          >; {{ lead.missed.value }} missed</template
        >
      </div>
      <main :class="{ 'with-card': cardShown }">
        <LeadStage :led="led" :plan="plan" :state="state" :seen="seen" />
        <StopCard v-if="cardShown" @close="cardShown = false" />
        <section v-if="isAsking" class="question" role="alertdialog" aria-label="What happened">
          <h2>This screen was away for {{ formatMs(seen.pausedForMs ?? 0) }}</h2>
          <p>It left the class at {{ formatMs(state.pause?.sinceMs ?? 0) }}. What happened?</p>
          <Button autofocus label="It went on without me" @click="lead.tell('wentOn')" />
          <Button label="It stopped then" severity="secondary" outlined @click="lead.tell('stoppedThen')" />
        </section>
        <section v-if="leaving" class="question" role="alertdialog" aria-label="Leave">
          <h2>Leave the class now?</h2>
          <p>What was done is kept. It cannot be taken up again.</p>
          <Button label="Leave" @click="lead.tell('leave')" />
          <Button autofocus label="Go on" severity="secondary" outlined @click="leaving = false" />
        </section>
      </main>
      <footer>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press(isPaused ? 'resume' : 'pause')">
          {{ isPaused ? 'Go on' : 'Pause' }} <kbd>space</kbd>
        </button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press('stay')">Stay 30 s <kbd>+</kbd></button>
        <button
          type="button"
          tabindex="-1"
          @pointerdown.prevent
          @click="press(isPaused && state.pause?.kind === 'hold' ? 'theyComeOut' : 'end')"
        >
          {{ endLabel }} <kbd>→</kbd>
        </button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press('back')">Back <kbd>←</kbd></button>
        <button v-if="canMatch" type="button" tabindex="-1" @pointerdown.prevent @click="press('match')">
          As long as the {{ seen.segment?.side === 'left' ? 'right' : 'left' }} <kbd>Enter</kbd>
        </button>
        <button v-if="counted" type="button" tabindex="-1" class="free" @pointerdown.prevent @click="press('freely')">
          Breathe freely <kbd>O</kbd>
        </button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press('stopCard')">
          Stop signs <kbd>X</kbd>
        </button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press('mark')">Mark <kbd>M</kbd></button>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="press('bell')">Bell <kbd>B</kbd></button>
      </footer>
    </template>
    <LeadEnd
      v-else-if="stage === 'led' && led && state"
      :name="led.document.name"
      :led-ms="state.nowMs"
      :planned-ms="led.plan.totalMs"
      :left="state.left"
      :save-state="lead.saveState.value"
      @save="save"
    />
    <LeadBefore
      v-else-if="stage === 'before' && store.document && store.timeline"
      :session="store.document"
      :total-ms="store.timeline.totalMs"
      :fetch="fetchList(store.timeline)"
      @start="start"
      @sound-check="lead.soundCheck"
    />
    <p v-else-if="stage === 'elsewhere'" class="alone">
      A class is being led in another window of this browser. Close it there first, then reload this page.
    </p>
    <p v-else-if="stage === 'before'" class="alone">
      This session could not be opened. <RouterLink to="/sessions">Open the list of sessions</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.lead {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  background: var(--ground);
  color: var(--ink);
  filter: brightness(var(--dim));
}
header {
  grid-row: 1;
  display: flex;
  align-items: center;
  gap: 26px;
  min-height: 56px;
  padding: 0 28px;
  font-size: 17px;
  color: var(--ink-soft);
  flex-wrap: wrap;
}
header b {
  color: var(--ink);
}
header i {
  flex: 1;
}
header button,
footer button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font-size: 17px;
  cursor: pointer;
}
header button {
  border-color: transparent;
  color: var(--ink-soft);
}
main {
  grid-row: 3;
  position: relative;
  display: grid;
  min-height: 0;
}
main.with-card {
  grid-template-columns: minmax(0, 1fr) min(430px, 38vw);
}
footer {
  grid-row: 4;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  padding: 12px 24px;
  background: var(--sheet);
}
kbd {
  font: inherit;
  font-size: 14px;
  color: var(--ink-soft);
}
.free {
  border-color: var(--breath) !important;
}
.hush {
  grid-row: 2;
  padding: 14px 28px;
  background: var(--chosen);
  color: #1d2a2a;
  font-size: 26px;
  font-weight: 650;
  text-align: center;
}
.question {
  position: absolute;
  inset: 0;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 16px;
  background: rgb(16 23 24 / 94%);
  font-size: 24px;
  text-align: center;
  z-index: 6;
}
.question h2 {
  font-size: 36px;
}
.question :deep(.p-button) {
  min-height: 52px;
  min-width: 260px;
  font-size: 20px;
}
.alone {
  margin: auto;
  max-width: 40ch;
  font-size: 24px;
  text-align: center;
}
.lead :deep(.before),
.lead :deep(.end) {
  grid-row: 3;
}
@media (max-width: 800px) {
  main.with-card {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(0, 3fr) minmax(0, 2fr);
  }
}
@media (max-width: 500px) {
  header {
    gap: 8px 14px;
    padding: 8px 16px 2px;
    font-size: 15px;
  }
  footer {
    padding: 8px 12px;
  }
  footer button {
    flex: 1 1 auto;
  }
  footer kbd {
    display: none;
  }
}
</style>
