<script setup lang="ts">
import Button from 'primevue/button'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { beforeHold, behindFrom, behindMs, orderedPlan, startedLate, toEndMs, wallTime } from '#core/lead'
import type { Command, Conducted, Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { clockText } from '#words/dates'
import { stageWords, stoppedWords } from '#words/segments'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import AskDialog from './AskDialog.vue'
import OtherDevices from './devices/OtherDevices.vue'
import ClassLine from './ClassLine.vue'
import LeadFoot from './LeadFoot.vue'
import LeadHeader from './LeadHeader.vue'
import LeadStage from './LeadStage.vue'
import MakeUpTime from './MakeUpTime.vue'
import StartedLate from './StartedLate.vue'
import StopCard from './StopCard.vue'
import WhatIsLeft from './WhatIsLeft.vue'
import { isSaidByItself } from './said-by-itself.ts'
import type { useLead } from './use-lead.ts'
import { useLeadPresses } from './use-lead-presses.ts'
import { useLedTimeline } from './use-led-timeline.ts'
import { useRefit } from './use-refit.ts'
import type { Room } from './use-room.ts'
import { useSetUpsLed } from './use-set-ups-led.ts'

/** A class that runs: its stage, what stands beside it, and every key and touch it takes. */
const props = defineProps<{
  lead: ReturnType<typeof useLead>
  conducted: Conducted
  running: Exclude<Stage, { is: 'ended' }>
  room: Room
}>()
/** Whether the stop signs are shown. */
const cardShown = defineModel<boolean>('card', { required: true })
const dim = defineModel<number>('dim', { required: true })
const emit = defineEmits<{ room: [] }>()
const classes = usePlannedClassesStore()
const { isHeard, missed, saveState, refusal } = props.lead
const leaving = ref(false)
const asking = computed(() => (props.running.is === 'asking' ? props.running : undefined))

function tell(command: Command): void {
  const told = props.conducted.events.length
  props.lead.tell(command)
  // Whoever comes late is one more without a name in the class that is led.
  if (command !== 'cameLate' || props.lead.isRehearsal.value || props.lead.conducted.value?.events.length === told)
    return
  const planned = classes.planned.find(({ ledClassId }) => ledClassId === props.conducted.start.id)
  if (planned) void classes.put({ ...planned, guests: planned.guests + 1 })
}
const begun = computed(() => props.conducted.start)
const order = computed(() => props.conducted.state.order)
/** The class with its blocks in the order in which they are led: what the screen tells of it goes by that. */
const led = computed(() => ({ ...begun.value, plan: orderedPlan(begun.value.plan, order.value) }))
const ledTimeline = useLedTimeline(begun)
const setUps = useSetUpsLed(begun, ledTimeline)
/** What to say, shown or not; while people arrange themselves and in a talk it is, unless it was put away. */
const isSaid = ref<boolean>()
/** As the place has it now, where that is known; else as it was at Start. */
const { place } = useHouse()
const session = useSessionStore()
const emergency = computed(() => {
  const isItsPlace = session.document?.id === begun.value.sessionId
  return (isItsPlace ? place.value?.emergency : undefined) ?? begun.value.emergency ?? []
})
const settings = useSettingsStore()
const isBehind = computed(
  () => behindMs(props.conducted, props.running.endsAtMs) >= behindFrom(props.conducted.start, settings.behindFromS),
)
const refit = useRefit(
  computed(() => props.conducted),
  ledTimeline,
  isBehind,
  props.lead.refit,
)
/** A late start is asked about once; whoever does not answer ends as it was said. */
const lateMs = computed(() => startedLate(props.conducted))
const startedLateCard = useTemplateRef('startedLateCard')
const whatIsLeft = useTemplateRef('whatIsLeft')
const clock = (runMs: number): string => clockText(wallTime(props.conducted, runMs))
/** A phone has no empty half for what is laid: there it is asked for. */
const isPhone = useMediaQuery('(max-width: 500px)')
const isShown = computed(() => isSaid.value ?? isSaidByItself(props.running, isPhone.value))
function say(): void {
  isSaid.value = !isShown.value
}
/** The digits take a way only while the ways are shown [settled G7]. */
function beside(event: KeyboardEvent): boolean {
  const { key } = event
  if (refit.panel.value === 'left' && whatIsLeft.value?.takes(event)) return true
  if (event.altKey) return false
  const which = ({ g: 'makeUp', w: 'left', s: 'devices' } as const)[key.toLowerCase()]
  if (key.toLowerCase() === 't') say()
  else if (key.toLowerCase() === 'l') emit('room')
  else if (which) refit.show(which)
  else if (key === 'Escape' && refit.panel.value) refit.close()
  else if (refit.panel.value === 'makeUp' && /^[1-9]$/.test(key)) refit.takeAt(Number(key) - 1)
  else return startedLateCard.value?.answer(key) ?? false
  return true
}
/** Where a hold begins when all are settled, a tap anywhere says so. */
function tapped({ target }: MouseEvent): void {
  const isOfButton =
    target instanceof Element &&
    target.closest('button, a, label, [role=dialog], section.left, section.beside') !== null
  if (!isOfButton && props.running.is === 'between' && props.running.settling) press('settled')
}
const isArranging = (): boolean => beforeHold.has(props.running.segment.doing.kind)
const press = useLeadPresses({
  takes: () => !asking.value && !leaving.value,
  isPaused: () => props.running.is === 'paused',
  isArranging,
  isHeard: () => isHeard.value,
  tell,
  beside,
  letSoundThrough: () => void props.lead.letSoundThrough(),
})
</script>

<template>
  <ClassLine :conducted="conducted" :ends-ms="running.endsAtMs" />
  <LeadHeader
    :conducted="conducted"
    :stage="running"
    :stays-awake="lead.staysAwake.value"
    :save-state="saveState"
    :refusal="refusal"
    :dim="dim"
    :speed="lead.speed.value"
    :room="room"
    @room="emit('room')"
    @screens="refit.show('devices')"
    @dim="dim = (dim + 1) % 4"
    @leave="lead.isRehearsal.value ? lead.tell('leave') : (leaving = true)"
    @came-late="press('cameLate')"
  />
  <p class="visually-hidden" role="status">{{ stageWords(led, running.segment) }}</p>
  <div v-if="!isHeard" class="hush" role="alert">
    Touch or press any key for the bells<template v-if="missed > 0">; {{ missed }} missed</template>
  </div>
  <p v-else-if="refit.lastChance.value" class="chance" role="status">
    Without {{ begun.blocks[refit.lastChance.value]?.name }} the class would still end at
    {{ clock(toEndMs(conducted)) }}; once it has begun, no one pose is enough.
  </p>
  <main
    :class="{
      'with-card': cardShown || refit.panel.value === 'left' || refit.panel.value === 'devices',
      'with-ways': refit.panel.value === 'makeUp',
    }"
    @click="tapped"
  >
    <LeadStage :led="led" :state="conducted.state" :stage="running" :set-ups="setUps" :is-said="isShown" />
    <StopCard
      v-if="cardShown"
      :emergency="emergency"
      :stopped="stoppedWords(conducted.state)"
      @close="cardShown = false"
    />
    <WhatIsLeft
      ref="whatIsLeft"
      v-else-if="refit.panel.value === 'left'"
      :led="led"
      :left="refit.left.value"
      :ends-ms="running.endsAtMs"
      :is-known="refit.isKnown.value"
      :clock="clock"
      @toggle="refit.toggle"
      @move="refit.move"
      @close="refit.close"
    />
    <section v-else-if="refit.panel.value === 'devices'" class="beside scrolls" aria-label="Screens">
      <header>
        <h2>Screens</h2>
        <button type="button" tabindex="-1" @pointerdown.prevent @click="refit.close">Close</button>
      </header>
      <OtherDevices />
    </section>
  </main>
  <MakeUpTime
    v-if="refit.panel.value === 'makeUp'"
    :led="led"
    :ways="refit.ways.value"
    :suggested="refit.suggested.value"
    :has-more="refit.hasMore.value"
    :is-refitted="refit.isRefitted.value"
    :stands="refit.stands.value"
    :free-until-ms="refit.freeUntilMs.value"
    :is-known="refit.isKnown.value"
    :clock="clock"
    @take="refit.takeAt"
    @more="refit.more"
    @as-planned="press('asPlanned')"
  />
  <StartedLate
    v-else-if="lateMs !== undefined && !cardShown"
    ref="startedLateCard"
    :conducted="conducted"
    :late-ms="lateMs"
    @promise="lead.promise"
  />
  <LeadFoot
    :room="room"
    :plan="led.plan"
    :state="conducted.state"
    :stage="running"
    @press="press"
    @show="refit.show"
    @say="say"
    @room="emit('room')"
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

<style scoped>
main {
  grid-row: 3;
  position: relative;
  display: grid;
  min-height: 0;
}
main.with-card {
  grid-template-columns: minmax(0, 1fr) min(430px, 38vw);
}
/* While something stands beside it, what some take otherwise and a breath over the hold give room to the pose. */
main.with-ways :deep(.stage .other .look-to),
main.with-card :deep(.stage .other .look-to),
main.with-ways :deep(.stage .strip-line),
main.with-card :deep(.stage .strip-line) {
  display: none;
}
.beside {
  display: grid;
  align-content: start;
  gap: 12px;
  min-height: 0;
  overflow-y: auto;
  padding: 14px 22px 18px;
  background: var(--sheet);
  border-left: 1px solid var(--line);
}
.beside header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
.beside header button {
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  font-size: 17px;
}
.chance {
  grid-row: 2;
  padding: 6px 28px;
  font-size: 20px;
  color: var(--ink-soft);
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
@media (max-width: 800px) {
  main.with-ways :deep(.stage .other) {
    display: none;
  }
  main.with-card {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(0, 3fr) minmax(0, 2fr);
  }
}
</style>
