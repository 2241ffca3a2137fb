<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Session } from '#model/session'
import { formatDuration, formatMs } from '#core/units'
import type { Timeline } from '#core/timeline'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import { teacherPrompt } from '#words/advice'
import { clockText } from '#words/dates'
import { dayOf } from '#words/class-days'
import { ports } from '#web/shared/ports.ts'
import { endOf, nextStart } from './promised-end.ts'
import AskedToday from './AskedToday.vue'
import NumberField from '#web/shared/ui/NumberField.vue'

const props = defineProps<{
  session: Session
  totalMs: number
  timeline: Timeline
  /** What is asked and said before breath work. */
  before: readonly string[]
  /** Whether natural breath stands in it for something that is planned. */
  isInstead: boolean
  /** Whether it may be led at all. */
  mayBeLed: boolean
}>()
const emit = defineEmits<{
  start: [
    details: { people: number; startsAtMs: number | undefined; promisedMoreMs: number; freeUntil: string | undefined },
  ]
  soundCheck: []
}>()

const { planned, place, people, ofOne, ofAll } = useFetching(() => ({
  document: props.session,
  timeline: props.timeline,
}))
/** Who is here on another day than the planned one changes nothing of what is planned. */
const otherwise = ref<number>()
const here = computed({
  get: () => otherwise.value ?? people.value,
  set: (count) => {
    if (planned.value && planned.value.day !== dayOf(ports().epochMs())) otherwise.value = count
    else people.value = count
  },
})
const startText = ref('')
const moreMin = ref(0)
const mend = ref('')
const startField = useTemplateRef<{ $el: HTMLElement }>('startField')
const now = ref(ports().epochMs())
useIntervalFn(() => (now.value = ports().epochMs()), 5000)

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

function start(): void {
  check()
  if (mend.value !== '') {
    startField.value?.$el.focus()
    return
  }
  emit('start', {
    ...{ people: here.value ?? 0, startsAtMs: startsAtMs.value, promisedMoreMs: moreMin.value * 60_000 },
    freeUntil: place.value?.freeUntil,
  })
}
function check(): void {
  mend.value =
    startText.value.trim() !== '' && startsAtMs.value === undefined ? 'Type the time as 19:00, or leave it empty.' : ''
}
</script>

<template>
  <div class="before">
    <h1>{{ session.name }}</h1>
    <p class="sum">{{ formatMs(totalMs) }} planned of {{ formatDuration(session.lengthS) }}</p>
    <div class="fields">
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
    </div>
    <div class="promise">
      <span
        >Promised end <b>{{ clockText(promised) }}</b></span
      >
      <Button severity="secondary" outlined label="−1 min" @click="moreMin -= 1" />
      <Button severity="secondary" outlined label="+1 min" @click="moreMin += 1" />
    </div>
    <p v-if="ofOne.length > 0" class="fetch"><span>Each person fetches</span> {{ ofOne.join('; ') }}</p>
    <AskedToday :session-id="session.id" />
    <section v-if="before.length > 0" class="ask" aria-label="Ask and say first">
      <h2>Ask and say first</h2>
      <ul>
        <li v-for="line in before" :key="line">{{ line }}</li>
      </ul>
    </section>
    <slot />
    <div class="acts">
      <Button severity="secondary" outlined label="Sound check" @click="emit('soundCheck')" />
      <Button
        v-if="mayBeLed"
        class="start"
        :label="isInstead ? 'Start with natural breath there' : 'Start'"
        @click="start"
      />
      <RouterLink :to="{ name: 'plan', params: { id: session.id } }">Back to Plan</RouterLink>
    </div>
    <!-- Under the buttons: what a number brings, typed and left for them, moves nothing under the hand. -->
    <div v-if="ofAll" class="all">
      <p>{{ ofAll.words }}</p>
      <p v-for="line in ofAll.instead" :key="line">{{ line }}</p>
      <p v-for="line in ofAll.short" :key="line"><b>Short:</b> {{ line }}</p>
    </div>
    <p class="notice">Say first: “{{ teacherPrompt }}”</p>
    <p class="notice">
      Zovrin gives no medical advice: a doctor or licensed therapist decides. Say the stop signs before you begin; X
      shows them at any time.
    </p>
  </div>
</template>

<style scoped>
.before {
  margin: 0 auto;
  width: min(620px, 92vw);
  max-height: 100%;
  padding-block: clamp(14px, 7vh, 90px) 14px;
  overflow-y: auto;
  display: grid;
  align-content: start;
  gap: 18px;
}
h1 {
  font-size: 40px;
}
.sum,
.notice,
label {
  color: var(--ink-soft);
}
.sum {
  font-size: 22px;
}
.ask {
  font-size: 20px;
}
.ask h2 {
  font-size: 20px;
}
.ask li {
  margin: 2px 0 2px 22px;
  list-style: square;
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 16px;
}
.here {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 8px;
}
.promise {
  display: flex;
  align-items: center;
  gap: 12px;
  font-size: 24px;
}
.fetch {
  font-size: 22px;
}
.all {
  font-size: 18px;
}
.fetch span {
  color: var(--ink-soft);
}
/* However much is to be read before it, Start is in sight. */
.acts {
  position: sticky;
  bottom: -14px;
  display: flex;
  align-items: center;
  gap: 14px;
  flex-wrap: wrap;
  padding-block: 10px;
  background: var(--ground);
}
.acts :deep(.p-button),
.promise :deep(.p-button) {
  min-height: 44px;
}
.start {
  min-width: 140px;
  font-size: 22px;
  background: var(--chosen) !important;
  border-color: var(--chosen) !important;
  color: #1d2a2a !important;
}
.mend {
  color: var(--left);
  font-size: 15px;
}
</style>
