<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { textLimits } from '#model/limits'
import { formatDuration, formatMs } from '#core/units'
import { classWhen } from '#words/class-days'
import { dayText } from '#words/dates'
import { ledWords, nextSaid, ownWords, weekSaid, weekWords } from '#words/series'
import { capital } from '#words/text'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useHomeSheet } from '#web/shared/sheets/use-home-sheet.ts'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useSeries } from './use-series.ts'
import type { WeekOfSeries } from './use-series.ts'

/** The class that is looked at: what is new in it, and what is to become of it. */
const props = defineProps<{ week: WeekOfSeries; weeks: number; lengthS: number }>()
const { chosen, names, told, leaveOut, move, wait, asComputed, openInPlan, planClass, takeLed, bringPlanned, classes } =
  useSeries()
const words = computed(() => {
  const { week, news, sessionId, isAsLed } = props.week
  return capital(
    sessionId === undefined
      ? weekWords(week, news, names)
      : ownWords({ sessionId, isAsLed }, chosen.value?.baseId ?? ''),
  )
})
const planned = usePlannedClassesStore()
/** What people take home from it: as it is led, else as its week grows to. */
const home = useHomeSheet()
/** Where a week that has a session of its own can be opened besides Plan. */
const views = [
  { view: 'props', words: 'Set-ups' },
  { view: 'breath', words: 'Breath' },
  { view: 'lead', words: 'Lead' },
] as const
/** What is opened is for the class that is planned of it. */
function openPlanned(): void {
  const { planned: its } = props.week
  if (its) planned.openWith(its.sessionId, its.id)
}
const why = ref('')
watch(
  () => props.week.n,
  () => (why.value = ''),
)
/** A class that was led stays as it was led. */
const record = computed(() => props.week.led?.id ?? props.week.planned?.ledClassId)
/** The class that comes after it. */
const next = computed(() => {
  const after = classes.value.slice(classes.value.findIndex(({ n }) => n === props.week.n) + 1)
  return after.find(({ leftOut }) => leftOut === undefined)
})
/** The class that is planned for it, where that is at another time than the series has now, or where there is none. */
const plannedApart = computed(() => {
  const { planned, day, startsAt, leftOut } = props.week
  if (!planned || record.value !== undefined) return undefined
  return leftOut !== undefined || planned.day !== day || planned.startsAt !== startsAt ? planned : undefined
})
const isOut = computed(() => props.week.leftOut !== undefined)
function setDay(event: Event): void {
  const day = textOf(event)
  // A date that is only half typed is none yet.
  if (day !== '') void move(props.week, { day })
}
function setHour(event: Event): void {
  const hour = textOf(event).slice(0, 5)
  // Without an hour of its own it begins as the series does.
  void move(props.week, { startsAt: hour === '' ? undefined : hour })
}
</script>

<template>
  <section aria-labelledby="week-title">
    <p class="soft">
      Week {{ week.week }} of {{ weeks }} · {{ classWhen({ day: week.day, startsAt: week.startsAt }) }}
    </p>
    <h2 id="week-title">{{ isOut ? 'No class' : words }}</h2>
    <p v-if="isOut" class="soft">{{ week.leftOut || 'Left out.' }}</p>
    <p v-if="plannedApart" role="status">
      It is planned for {{ classWhen(plannedApart) }}.
      <Button
        size="small"
        severity="secondary"
        outlined
        :label="isOut ? 'Take the planned class away' : 'Bring it to this day'"
        @click="bringPlanned(week)"
      />
    </p>
    <p v-else-if="week.sessionId === undefined" class="said">“{{ weekSaid(week.week, week.news, names) }}”</p>
    <p v-if="!isOut && next" class="said">At the closing: “{{ nextSaid(next, names) }}”</p>
    <p v-if="told" role="alert">{{ told }}</p>
    <p v-if="home.failed.value" role="alert">{{ home.failed.value }}</p>
    <dl v-if="!isOut && week.spine">
      <dt>Length</dt>
      <dd class="figure">{{ formatMs(week.spine.totalMs) }} of {{ formatDuration(lengthS) }}</dd>
      <template v-if="week.led">
        <dt>Led</dt>
        <dd class="figure">{{ ledWords(week.led) }}</dd>
        <dt>Came</dt>
        <dd class="figure">{{ week.led.people }}</dd>
      </template>
    </dl>
    <p v-if="week.led?.note" class="note"><span class="soft">For next time:</span> {{ week.led.note }}</p>
    <p v-if="week.offered" role="status">
      “{{ week.offered.name }}” was led on {{ dayText(week.offered.startedAt) }}.
      <Button size="small" severity="secondary" outlined label="It was this class" @click="takeLed(week)" />
    </p>
    <div class="acts">
      <template v-if="!isOut">
        <Button
          size="small"
          severity="secondary"
          outlined
          :label="week.sessionId === undefined ? 'Change only this week' : 'Open in Plan'"
          @click="openInPlan(week)"
        />
        <RouterLink v-if="record !== undefined" :to="{ name: 'led-class', params: { id: record } }"
          >As it was led</RouterLink
        >
        <Button
          v-else-if="!week.planned"
          size="small"
          severity="secondary"
          outlined
          label="Plan it for its day"
          @click="planClass(week)"
        />
        <RouterLink v-else :to="{ name: 'who', params: { id: week.planned.sessionId } }" @click="openPlanned"
          >Who takes what</RouterLink
        >
        <template v-if="week.sessionId !== undefined">
          <RouterLink
            v-for="{ view, words: name } in views"
            :key="view"
            :to="{ name: view, params: { id: week.sessionId } }"
            @click="openPlanned"
            >{{ name }}</RouterLink
          >
        </template>
        <Button
          size="small"
          severity="secondary"
          outlined
          label="Home sheet"
          :disabled="home.isMaking.value"
          @click="home.save(week.own ?? week.grown, `${chosen?.name ?? ''}, week ${week.week}`)"
        />
        <Button
          v-if="week.sessionId !== undefined && !week.planned && record === undefined"
          size="small"
          text
          severity="secondary"
          label="As the series grows it"
          @click="asComputed(week.n)"
        />
      </template>
      <Button
        v-else
        size="small"
        severity="secondary"
        outlined
        label="There is a class"
        @click="leaveOut(week.n, undefined)"
      />
    </div>
    <form
      v-if="!isOut && !week.planned && record === undefined"
      class="out"
      @submit.prevent="leaveOut(week.n, why.trim())"
    >
      <div>
        <label for="week-why">Why there is none</label>
        <InputText id="week-why" v-model="why" fluid :maxlength="textLimits.line" placeholder="holiday" />
      </div>
      <Button type="submit" size="small" severity="secondary" outlined label="No class this week" />
    </form>
    <div v-if="record === undefined" class="row">
      <div>
        <label for="week-day">Day</label>
        <InputText id="week-day" type="date" fluid :model-value="week.day" @change="setDay" />
      </div>
      <div>
        <label for="week-hour">Begins</label>
        <InputText id="week-hour" type="time" fluid :model-value="week.startsAt ?? ''" @change="setHour" />
      </div>
    </div>
    <Button
      v-if="week.week > 1 && record === undefined"
      size="small"
      text
      severity="secondary"
      :label="week.waits ? 'Let the rest come when it was to' : 'The same again: the rest a week later'"
      @click="wait(week.week, !week.waits)"
    />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  justify-items: start;
}
h2 {
  margin: 0;
  overflow-wrap: anywhere;
}
.soft,
.said,
label {
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  width: 100%;
  margin: 0;
}
p {
  margin: 0;
}
.note {
  overflow-wrap: anywhere;
}
dd {
  margin: 0;
  font-weight: 650;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.row,
.out {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: end;
  width: 100%;
}
</style>
