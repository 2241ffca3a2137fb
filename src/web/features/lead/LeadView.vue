<script setup lang="ts">
import { nanoid } from 'nanoid'
import { computed, onMounted, onScopeDispose, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { BreathAnswers } from '#model/led-class'
import { ledStart } from '#core/lead'
import { blockName } from '#words/blocks'
import { posesIn } from '#core/class'
import { dayOf } from '#words/class-days'
import { countedForms } from '#words/forms'
import { sectionName } from '#words/sections'
import { beforeIn } from '#words/before-breath'
import { runningOf } from '#web/shared/lead/running-class.ts'
import { ports } from '#web/shared/ports.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { formsNow } from '#web/shared/house/use-forms.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import AsPlanned from './before/AsPlanned.vue'
import LeadBefore from './before/LeadBefore.vue'
import type { StartDetails } from './before/LeadBefore.vue'
import LeadEnd from './LeadEnd.vue'
import LedElsewhere from './LedElsewhere.vue'
import LeadRunning from './LeadRunning.vue'
import { endOf, freeUntilOf } from './before/promised-end.ts'
import { asksOfBreath } from './asks-of-breath.ts'
import { useLead } from './use-lead.ts'
import { useOtherDevice } from './use-other-device.ts'
import { useNextClass } from './use-next-class.ts'
import { useRoom } from './use-room.ts'
import { useLeadable } from './use-leadable.ts'

const route = useRoute()
const router = useRouter()
const store = useSessionStore()
const classes = usePlannedClassesStore()
const { made, askedAtMs, wantsAsking, instead, insteadUnasked, minors, musts } = useLeadable()
const { room, turn: turnRoom } = useRoom()
const cardShown = ref(false)
const dim = ref(0)
const at = ref<'opening' | 'elsewhere' | 'otherDevice' | 'before' | 'led'>('opening')

const lead = useLead(() => (cardShown.value = true))
const { conducted, stage, saveState, refusal } = lead
const running = computed(() => (stage.value?.is === 'ended' ? undefined : stage.value))
const id = String(route.params['id'] ?? '')
const other = useOtherDevice(lead, id, () => (at.value = 'otherDevice'))
const { there, aheadMs, mend } = other
const next = useNextClass(id)

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
  if (!(await holdLock())) {
    at.value = 'elsewhere'
    return
  }
  const left = await runningOf(id)
  if (await other.isElsewhere(left)) {
    at.value = 'otherDevice'
    return
  }
  if (left) {
    lead.takeUp(left)
    at.value = 'led'
    return
  }
  await beforeClass()
})
async function beforeClass(): Promise<void> {
  other.stop()
  await store.open(id)
  at.value = 'before'
}
async function leadFromHere(): Promise<void> {
  if (!(await other.take())) return
  at.value = 'led'
  void lead.letSoundThrough()
}
// Once nobody leads it any more, this session can be led again.
watch(other.isOver, (isOver) => {
  if (at.value === 'otherDevice' && isOver) void beforeClass()
})

/** So many times as fast a class is rehearsed. */
const rehearsalSpeed = 8

/** The class as it is led from now on; undefined where it cannot be. */
async function makeStart(details: StartDetails) {
  const { session, timeline } = made.value ?? {}
  if (!session || !timeline) return undefined
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
  const begun = ledStart(session, timeline, {
    id: nanoid(),
    people: details.people,
    askedAtMs: wantsAsking.value ? askedAtMs.value : undefined,
    ...{ startedAtMs, promisedEndMs, startsAtMs: details.startsAtMs },
    ...{ freeUntilMs: freeUntilOf(details.freeUntil, startedAtMs), emergency: details.emergency },
    ...{ forms: countedForms(through), next: next.value },
    nameOf: blockName,
    sectionNameOf: sectionName,
  })
  return { begun, planned, timeline, startedAtMs }
}

async function start(details: StartDetails): Promise<void> {
  const ready = await makeStart(details)
  if (!ready) return
  const { begun, planned, timeline, startedAtMs } = ready
  lead.begin(begun)
  at.value = 'led'
  void lead.letSoundThrough()
  void store.keepInHistory('lead')
  // The class planned for today is led by this; one of another day is not, by a rehearsal of it.
  if (planned?.day === dayOf(startedAtMs))
    void classes.put({ ...planned, ledClassId: begun.id, posesLed: posesIn(timeline) })
}

/** Eight times as fast, from now on, with nobody there: nothing of it is kept. */
async function rehearse(): Promise<void> {
  const asPlanned = { startsAtMs: undefined, promisedMoreMs: 0, freeUntil: undefined, emergency: undefined }
  const ready = await makeStart({ people: 0, ...asPlanned })
  if (!ready) return
  lead.begin(ready.begun, rehearsalSpeed)
  at.value = 'led'
  void lead.letSoundThrough()
}
watch(stage, (now) => {
  if (now?.is !== 'ended' || !lead.isRehearsal.value) return
  lead.putAway()
  at.value = 'before'
})

async function save(note: string, breath: BreathAnswers): Promise<void> {
  if ((await lead.save(note, breath)) && conducted.value)
    await router.push({ name: 'led-class', params: { id: conducted.value.start.id } })
}
</script>

<template>
  <div class="lead" :data-room="room" :style="{ '--dim': 1 - dim * 0.2 }" @keydown.esc="cardShown = false">
    <LeadRunning
      v-if="at === 'led' && conducted && running"
      v-model:card="cardShown"
      v-model:dim="dim"
      :room="room"
      @room="turnRoom"
      :lead="lead"
      :conducted="conducted"
      :running="running"
    />
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
      :next="next"
      :is-instead="instead.length + insteadUnasked.length > 0"
      :may-be-led="made !== undefined"
      @start="start"
      @rehearse="rehearse"
      @tried="lead.soundCheck"
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
    <LedElsewhere
      v-else-if="at === 'otherDevice' && there"
      :now="there"
      :ahead-ms="aheadMs"
      :mend="mend"
      :epoch-ms="ports().epochMs"
      @take="leadFromHere"
      @anew="beforeClass"
    />
    <p v-else-if="at === 'otherDevice'" class="alone">Another device leads this class; asking which.</p>
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
.lead :deep(.before) {
  grid-row: 1 / -1;
}
</style>
