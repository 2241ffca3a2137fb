<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, onScopeDispose, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { BreathAnswers } from '#model/led-class'
import { beforeHold, ledStart, wallTime } from '#core/lead'
import type { Command } from '#core/lead'
import { formatMs } from '#core/units'
import { blockName } from '#words/blocks'
import { posesIn } from '#core/class'
import { dayOf } from '#words/class-days'
import { countedForms } from '#words/forms'
import { clockText } from '#words/dates'
import { sectionName } from '#words/sections'
import { beforeIn } from '#words/before-breath'
import { stageWords, stoppedWords } from '#words/segments'
import { runningOf } from '#web/shared/lead/running-class.ts'
import { ports } from '#web/shared/ports.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { formsNow } from '#web/shared/house/use-forms.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import AskDialog from './AskDialog.vue'
import AsPlanned from './AsPlanned.vue'
import LeadBefore from './LeadBefore.vue'
import LeadEnd from './LeadEnd.vue'
import LeadFoot from './LeadFoot.vue'
import LeadHeader from './LeadHeader.vue'
import LeadStage from './LeadStage.vue'
import { endOf } from './promised-end.ts'
import { asksOfBreath } from './asks-of-breath.ts'
import StopCard from './StopCard.vue'
import ClassLine from './ClassLine.vue'
import MakeUpTime from './MakeUpTime.vue'
import WhatIsLeft from './WhatIsLeft.vue'
import { useLead } from './use-lead.ts'
import { isSaidByItself } from './said-by-itself.ts'
import { useLedTimeline } from './use-led-timeline.ts'
import { useRefit } from './use-refit.ts'
import { useSetUpsLed } from './use-set-ups-led.ts'
import { useLeadable } from './use-leadable.ts'
import { useLeadPresses } from './use-lead-presses.ts'

const route = useRoute()
const router = useRouter()
const store = useSessionStore()
const classes = usePlannedClassesStore()
const { made, askedAtMs, wantsAsking, instead, insteadUnasked, minors, musts } = useLeadable()
const cardShown = ref(false)
const leaving = ref(false)
const dim = ref(0)
const at = ref<'opening' | 'elsewhere' | 'before' | 'led'>('opening')

const lead = useLead(() => (cardShown.value = true))
const { conducted, stage, isHeard, missed, saveState, refusal } = lead
const running = computed(() => (stage.value?.is === 'ended' ? undefined : stage.value))
const asking = computed(() => (stage.value?.is === 'asking' ? stage.value : undefined))

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
    at.value = 'elsewhere'
    return
  }
  const left = await runningOf(id)
  if (left) {
    await lead.takeUp(left)
    at.value = 'led'
    return
  }
  await store.open(id)
  at.value = 'before'
})

async function start(details: {
  people: number
  startsAtMs: number | undefined
  promisedMoreMs: number
}): Promise<void> {
  const { session, timeline } = made.value ?? {}
  if (!session || !timeline) return
  const planned = classes.openFor(session.id)
  // The record keeps how many take what, and nobody.
  const { through } = planned ? await formsNow({ document: session, timeline, planned }) : { through: [] }
  const startedAtMs = ports().epochMs()
  const promisedEndMs = endOf({
    startsAtMs: details.startsAtMs,
    nowMs: startedAtMs,
    lengthS: session.lengthS,
    totalMs: timeline.totalMs,
    moreMs: details.promisedMoreMs,
  })
  const id = nanoid()
  await lead.begin(
    ledStart(session, timeline, {
      id,
      people: details.people,
      askedAtMs: wantsAsking.value ? askedAtMs.value : undefined,
      startedAtMs,
      promisedEndMs,
      forms: countedForms(through),
      nameOf: blockName,
      sectionNameOf: sectionName,
    }),
  )
  at.value = 'led'
  void lead.letSoundThrough()
  void store.keepInHistory('lead')
  // The class planned for today is led by this; one of another day is not, by a rehearsal of it.
  if (planned?.day === dayOf(startedAtMs)) void classes.put({ ...planned, ledClassId: id, posesLed: posesIn(timeline) })
}

async function save(note: string, breath: BreathAnswers): Promise<void> {
  if ((await lead.save(note, breath)) && conducted.value)
    await router.push({ name: 'led-class', params: { id: conducted.value.start.id } })
}

function tell(command: Command): void {
  const told = conducted.value?.events.length
  lead.tell(command)
  // Whoever comes late is one more without a name in the class that is led.
  if (command !== 'cameLate' || conducted.value?.events.length === told) return
  const planned = classes.planned.find(({ ledClassId }) => ledClassId === conducted.value?.start.id)
  if (planned) void classes.put({ ...planned, guests: planned.guests + 1 })
}
const begun = computed(() => conducted.value?.start)
const ledTimeline = useLedTimeline(begun)
const setUps = useSetUpsLed(begun, ledTimeline)
/** What to say, shown or not; while people arrange themselves and in a talk it is, unless it was put away. */
const isSaid = ref<boolean>()
const refit = useRefit(conducted, ledTimeline, lead.refit)
const clock = (runMs: number): string => (conducted.value ? clockText(wallTime(conducted.value, runMs)) : '')
/** A phone has no empty half for it: there it is asked for. */
const isPhone = useMediaQuery('(max-width: 500px)')
const isShown = computed(() => isSaid.value ?? (!isPhone.value && isSaidByItself(running.value)))
function say(): void {
  isSaid.value = !isShown.value
}
/** The digits take a way only while the ways are shown [settled G7]. */
function beside(key: string): boolean {
  const which = ({ g: 'makeUp', w: 'left' } as const)[key.toLowerCase()]
  if (key.toLowerCase() === 't') say()
  else if (which) refit.show(which)
  else if (key === 'Escape' && refit.panel.value) refit.close()
  else if (refit.panel.value === 'makeUp' && /^[1-9]$/.test(key)) refit.takeAt(Number(key) - 1)
  else return false
  return true
}
/** Where a hold begins when all are settled, a tap anywhere says so. */
function tapped({ target }: MouseEvent): void {
  const isOfButton = target instanceof Element && target.closest('button, a, [role=dialog], section.left') !== null
  if (!isOfButton && running.value?.is === 'between' && running.value.settling) press('settled')
}
const isArranging = (): boolean => running.value !== undefined && beforeHold.has(running.value.segment.doing.kind)
const press = useLeadPresses({
  takes: () => at.value === 'led' && running.value !== undefined && !asking.value && !leaving.value,
  isPaused: () => running.value?.is === 'paused',
  isArranging,
  isHeard: () => isHeard.value,
  tell,
  beside,
  letSoundThrough: () => void lead.letSoundThrough(),
})
</script>

<template>
  <div class="lead" data-room="dark" :style="{ '--dim': 1 - dim * 0.2 }" @keydown.esc="cardShown = false">
    <template v-if="at === 'led' && conducted && running">
      <ClassLine :conducted="conducted" :ends-ms="running.endsAtMs" />
      <LeadHeader
        :conducted="conducted"
        :stage="running"
        :stays-awake="lead.staysAwake.value"
        :save-state="saveState"
        :refusal="refusal"
        :dim="dim"
        @dim="dim = (dim + 1) % 4"
        @leave="leaving = true"
        @came-late="press('cameLate')"
      />
      <p class="visually-hidden" role="status">{{ stageWords(conducted.start, running.segment) }}</p>
      <div v-if="!isHeard" class="hush" role="alert">
        Touch or press any key for the bells<template v-if="missed > 0">; {{ missed }} missed</template>
      </div>
      <main
        :class="{
          'with-card': cardShown || refit.panel.value === 'left',
          'with-ways': refit.panel.value === 'makeUp',
        }"
        @click="tapped"
      >
        <LeadStage
          :led="conducted.start"
          :state="conducted.state"
          :stage="running"
          :set-ups="setUps"
          :is-said="isShown"
        />
        <StopCard v-if="cardShown" :stopped="stoppedWords(conducted.state)" @close="cardShown = false" />
        <WhatIsLeft
          v-else-if="refit.panel.value === 'left'"
          :led="conducted.start"
          :left="refit.left.value"
          :ends-ms="running.endsAtMs"
          :is-known="refit.isKnown.value"
          :clock="clock"
          @toggle="refit.toggle"
          @close="refit.close"
        />
      </main>
      <MakeUpTime
        v-if="refit.panel.value === 'makeUp'"
        :led="conducted.start"
        :ways="refit.ways.value"
        :suggested="refit.suggested.value"
        :has-more="refit.hasMore.value"
        :is-refitted="refit.isRefitted.value"
        :stands="refit.stands.value"
        :is-known="refit.isKnown.value"
        :clock="clock"
        @take="refit.takeAt"
        @more="refit.more"
        @as-planned="press('asPlanned')"
      />
      <LeadFoot
        :plan="conducted.start.plan"
        :state="conducted.state"
        :stage="running"
        @press="press"
        @show="refit.show"
        @say="say"
      />
      <AskDialog v-if="asking" label="What happened">
        <h2>This screen was away for {{ formatMs(asking.awayMs) }}</h2>
        <p>This window was away from {{ formatMs(asking.sinceMs) }} into the class on. What happened?</p>
        <Button autofocus label="It went on without me" @click="lead.tell('wentOn')" />
        <Button label="It stopped then" severity="secondary" outlined @click="lead.tell('stoppedThen')" />
      </AskDialog>
      <AskDialog v-else-if="leaving" label="Leave" @escape="leaving = false">
        <h2>Leave the class now?</h2>
        <p>What was done is kept. It cannot be taken up again.</p>
        <Button label="Leave" @click="lead.tell('leave')" />
        <Button autofocus label="Go on" severity="secondary" outlined @click="leaving = false" />
      </AskDialog>
    </template>
    <LeadEnd
      v-else-if="at === 'led' && conducted && stage?.is === 'ended'"
      :name="conducted.start.document.name"
      :led-ms="stage.ledMs"
      :planned-ms="conducted.start.plan.totalMs"
      :left="stage.left"
      :asks="asksOfBreath(conducted)"
      :can-undo="conducted.state.beforeEnd !== null"
      :save-state="saveState"
      :refusal="refusal"
      @undo="lead.tell('back')"
      @save="save"
    />
    <LeadBefore
      v-else-if="at === 'before' && store.document && store.timeline"
      :session="store.document"
      :total-ms="store.timeline.totalMs"
      :timeline="store.timeline"
      :before="beforeIn(store.document, store.timeline)"
      :is-instead="instead.length + insteadUnasked.length > 0"
      :may-be-led="made !== undefined"
      @start="start"
      @sound-check="lead.soundCheck"
    >
      <AsPlanned
        v-model:asked-at-ms="askedAtMs"
        :session="store.document"
        :instead="instead"
        :instead-unasked="insteadUnasked"
        :wants-asking="wantsAsking"
        :musts="musts"
        :is-of-people="minors"
        :may-be-led="made !== undefined"
      />
    </LeadBefore>
    <p v-else-if="at === 'elsewhere'" class="alone">
      A class is being led in another window of this browser. Close it there first, then reload this page.
    </p>
    <p v-else-if="at === 'before' && store.document" class="alone">
      This session cannot be led as it stands.
      <RouterLink :to="{ name: 'plan', params: { id: store.document.id } }"
        >See in its plan what stands in the way</RouterLink
      >
    </p>
    <p v-else-if="at === 'before'" class="alone">
      This session could not be opened. <RouterLink to="/sessions">Open the list of sessions</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.lead {
  height: 100dvh;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto auto;
  background: var(--ground);
  color: var(--ink);
  filter: brightness(var(--dim));
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
/* While it is chosen what goes, what some take otherwise gives room to the pose. */
main.with-ways :deep(.look-to) {
  display: none;
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
</style>
