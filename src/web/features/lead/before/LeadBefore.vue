<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { useIntervalFn, watchOnce } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Session } from '#model/session'
import type { ClassSounds } from '#model/settings'
import { formatDuration, formatMs } from '#core/units'
import type { Timeline } from '#core/timeline'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import { teacherPrompt } from '#words/advice'
import { startWords } from '#words/before-start'
import { clockText } from '#words/dates'
import { dayOf } from '#words/class-days'
import { ports } from '#web/shared/ports.ts'
import { endOf, nextStart } from './promised-end.ts'
import AskedToday from './AskedToday.vue'
import BeforeRow from './BeforeRow.vue'
import BehindField from './BehindField.vue'
import ClassSoundsFields from './ClassSoundsFields.vue'
import OtherDevices from '../devices/OtherDevices.vue'
import NextTime from '#web/shared/session/NextTime.vue'
import NumberField from '#web/shared/ui/NumberField.vue'

/** What is looked at, asked and heard before a class starts, row by row. */
const props = defineProps<{
  session: Session
  totalMs: number
  timeline: Timeline
  /** What is asked and said before breath work. */
  before: readonly string[]
  /** What comes in the next class of its series, said at the closing. */
  next: string | undefined
  /** Whether natural breath stands in it for something that is planned. */
  isInstead: boolean
  /** Whether it may be led at all. */
  mayBeLed: boolean
}>()
export interface StartDetails {
  readonly people: number
  readonly startsAtMs: number | undefined
  readonly promisedMoreMs: number
  readonly freeUntil: string | undefined
  readonly emergency: readonly string[] | undefined
}
const emit = defineEmits<{ start: [details: StartDetails]; rehearse: []; tried: [role: keyof ClassSounds] }>()

const { planned, place, people, ofMost, ofOthers, ofAll } = useFetching(() => ({
  document: props.session,
  timeline: props.timeline,
}))
const isToday = computed(() => planned.value?.day === dayOf(ports().epochMs()))
/** Who is here on another day than the planned one changes nothing of what is planned. */
const otherwise = ref<number>()
const here = computed({
  get: () => otherwise.value ?? people.value,
  set: (count) => {
    if (planned.value && !isToday.value) otherwise.value = count
    else people.value = count
  },
})
/** The time it is planned for, where that is about now: a rehearsal hours before is none of it. */
const plannedStart = (): string => {
  const { startsAt = '' } = (isToday.value && planned.value) || {}
  const apartMs = Math.abs((nextStart(startsAt, ports().epochMs()) ?? NaN) - ports().epochMs())
  return apartMs <= 3_600_000 ? startsAt : ''
}
const startText = ref(plannedStart())
// What is planned for today may be known only a moment later.
watchOnce(planned, () => {
  if (startText.value === '') startText.value = plannedStart()
})
const moreMin = ref(0)
const mend = ref('')
const startField = useTemplateRef<{ $el: HTMLElement }>('startField')
const now = ref(ports().epochMs())
useIntervalFn(() => (now.value = ports().epochMs()), 1000)

const startsAtMs = computed(() => nextStart(startText.value, now.value))
const promised = computed(() =>
  endOf({
    startsAtMs: startsAtMs.value,
    nowMs: now.value,
    lengthS: props.session.lengthS,
    totalMs: props.totalMs,
    moreMs: moreMin.value * 60_000,
  }),
)
const means = computed(() =>
  startWords({ nowMs: now.value, startsAtMs: startsAtMs.value, totalMs: props.totalMs, promisedMs: promised.value }),
)

function start(): void {
  check()
  if (mend.value !== '') {
    startField.value?.$el.focus()
    return
  }
  emit('start', {
    ...{ people: here.value ?? 0, startsAtMs: startsAtMs.value, promisedMoreMs: moreMin.value * 60_000 },
    ...{ freeUntil: place.value?.freeUntil, emergency: place.value?.emergency },
  })
}
function check(): void {
  mend.value =
    startText.value.trim() !== '' && startsAtMs.value === undefined ? 'Type the time as 19:00, or leave it empty.' : ''
}
</script>

<template>
  <div class="before scrolls">
    <div class="rows">
      <h1>{{ session.name }}</h1>
      <p class="sum">{{ formatMs(totalMs) }} planned of {{ formatDuration(session.lengthS) }}</p>
      <slot />
      <NextTime :session="session" />
      <div class="columns">
        <div>
          <BeforeRow name="People">
            <div class="here">
              <NumberField
                label="How many are here"
                :value="here"
                :least="0"
                :most="500"
                can-be-empty
                @change="here = $event"
                @empty="here = undefined"
              />
              <Button
                severity="secondary"
                outlined
                label="+1"
                aria-label="One more is here"
                title="One more is here"
                @click="here = (here ?? 0) + 1"
              />
            </div>
            <AskedToday :session-id="session.id" />
          </BeforeRow>
          <BeforeRow name="Begins">
            <div>
              <label for="lead-start">Starts at</label>
              <InputText
                id="lead-start"
                ref="startField"
                v-model="startText"
                fluid
                placeholder="when you press Start"
                @blur="check"
              />
              <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
            </div>
          </BeforeRow>
          <BeforeRow name="Ends">
            <div class="promise">
              <span
                >Promised end <b>{{ clockText(promised) }}</b></span
              >
              <Button severity="secondary" outlined label="−1 min" @click="moreMin -= 1" />
              <Button severity="secondary" outlined label="+1 min" @click="moreMin += 1" />
            </div>
            <BehindField />
          </BeforeRow>
          <BeforeRow v-if="ofMost.length > 0" name="Fetch">
            <p class="fetch"><span>Each person fetches</span> {{ ofMost.join('; ') }}</p>
            <p v-for="line in ofOthers" :key="line" class="others">{{ line }}</p>
            <div v-if="ofAll" class="all">
              <p>{{ ofAll.words }}</p>
              <p v-for="line in ofAll.instead" :key="line">{{ line }}</p>
              <p v-for="line in ofAll.short" :key="line"><b>Short:</b> {{ line }}</p>
            </div>
          </BeforeRow>
          <BeforeRow name="Screens"><OtherDevices /></BeforeRow>
        </div>
        <div>
          <BeforeRow name="Sounds"><ClassSoundsFields @tried="emit('tried', $event)" /></BeforeRow>
          <BeforeRow v-if="before.length > 0" name="Ask and say first">
            <ul class="ask">
              <li v-for="line in before" :key="line">{{ line }}</li>
            </ul>
          </BeforeRow>
          <BeforeRow name="Say first">
            <p class="notice">“{{ teacherPrompt }}”</p>
            <p class="notice">
              Zovrin gives no medical advice: a doctor or licensed therapist decides. Say the stop signs before you
              begin; X shows them at any time.
            </p>
          </BeforeRow>
          <BeforeRow v-if="next" name="Say last">
            <p class="notice">“{{ next }}”</p>
          </BeforeRow>
        </div>
      </div>
    </div>
    <!-- However much is to be read before it, Start is in sight, with what it means now. -->
    <div class="acts">
      <p class="means" data-testid="start-means">{{ means }}</p>
      <RouterLink :to="{ name: 'plan', params: { id: session.id } }">Back to Plan</RouterLink>
      <Button
        v-if="mayBeLed"
        severity="secondary"
        outlined
        label="Rehearse ×8"
        title="Eight times as fast; nothing is recorded"
        @click="emit('rehearse')"
      />
      <Button
        v-if="mayBeLed"
        class="start"
        :label="isInstead ? 'Start with natural breath there' : 'Start'"
        @click="start"
      />
    </div>
  </div>
</template>

<style scoped>
.before {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  max-height: 100%;
  min-height: 0;
}
.rows {
  width: min(1180px, 100%);
  margin: 0 auto;
  padding: 22px 28px 14px;
  overflow-y: auto;
  display: grid;
  align-content: start;
  gap: 10px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 48px;
}
h1 {
  font-size: 36px;
  line-height: 1.1;
}
.sum {
  font-size: 20px;
}
.sum,
.notice,
label {
  color: var(--ink-soft);
}
.notice {
  font-size: 17px;
}
.ask li {
  margin: 0 0 2px 20px;
  list-style: square;
  font-size: 18px;
}
label {
  display: block;
  font-size: 14px;
}
.here {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 8px;
}
.promise {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  font-size: 22px;
}
.fetch {
  font-size: 20px;
}
.fetch span {
  color: var(--ink-soft);
}
.others,
.all {
  font-size: 17px;
}
.acts {
  display: flex;
  align-items: center;
  gap: 10px 18px;
  flex-wrap: wrap;
  padding: 12px max(28px, calc((100% - 1124px) / 2));
  background: var(--sheet);
}
.means {
  flex: 1 1 320px;
  font-size: 20px;
}
.acts :deep(.p-button),
.here :deep(.p-button),
.promise :deep(.p-button) {
  min-height: 44px;
}
.start {
  min-width: 160px;
  font-size: 22px;
  background: var(--chosen) !important;
  border-color: var(--chosen) !important;
  color: #1d2a2a !important;
}
.mend {
  color: var(--left);
  font-size: 15px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 500px) {
  .rows,
  .acts {
    padding-inline: 16px;
  }
  .means {
    font-size: 17px;
  }
  .start {
    flex: 1 1 100%;
  }
}
</style>
