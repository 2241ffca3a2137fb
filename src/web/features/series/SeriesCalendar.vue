<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, ref, watch } from 'vue'
import type { BusyDay } from '#formats/calendar'
import { busyWords } from '#words/series'
import { counted } from '#words/text'
import { ownTimeZone, saveCalendar } from '#web/shared/house/class-calendar.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import { classesOnBusyDays } from './busy-classes.ts'
import { useSeries } from './use-series.ts'

/** The series as a calendar file, and days that a calendar has something on, looked at before they are left out. */
const { chosen, classes, leaveOutAll, base } = useSeries()
const places = usePlacesStore()
const problem = ref('')
const days = ref<readonly BusyDay[]>()
const isCut = ref(false)
const unread = ref(0)
const timeZone = computed(() => places.places.find(({ id }) => id === chosen.value?.placeId)?.timeZone ?? ownTimeZone())
const met = computed(() => classesOnBusyDays(classes.value, days.value ?? [], base.value?.lengthS ?? 0))
const taken = ref<ReadonlySet<number>>(new Set())
watch(
  () => chosen.value?.id,
  () => (days.value = undefined),
)
async function read(text: string): Promise<void> {
  const { busyDaysIn } = await import('#formats/calendar')
  const all = classes.value.map(({ day }) => day).sort()
  const found = busyDaysIn(text, all[0] ?? '', all.at(-1) ?? '', timeZone.value)
  problem.value = found.ok
    ? ''
    : found.code === 'TOO_LARGE'
      ? 'This file is too large: save fewer months of your calendar.'
      : 'This is no calendar file. Save your calendar as iCalendar (.ics) and choose that.'
  days.value = found.ok ? found.days : undefined
  isCut.value = found.ok && found.isCut
  unread.value = found.ok ? found.unread : 0
  // What lasts the whole day is meant; an hour beside it may be another matter.
  taken.value = new Set(met.value.filter(({ isWhole }) => isWhole).map(({ n }) => n))
}
function tick(n: number, on: boolean): void {
  taken.value = new Set(on ? [...taken.value, n] : [...taken.value].filter((one) => one !== n))
}
async function take(): Promise<void> {
  await leaveOutAll(met.value.filter(({ n }) => taken.value.has(n)).map(({ n, what }) => ({ n, why: what })))
  days.value = undefined
}
</script>

<template>
  <section v-if="chosen" aria-labelledby="calendar-title">
    <h2 id="calendar-title">Calendar</h2>
    <div class="acts">
      <Button
        size="small"
        severity="secondary"
        outlined
        icon="pi pi-download"
        label="Save as calendar"
        @click="saveCalendar(chosen.name, { series: [chosen] })"
      />
      <ReadFile
        label="Days I am busy…"
        accept=".ics,text/calendar"
        what="A calendar as iCalendar"
        @read="read($event)"
      />
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div v-if="days" role="status">
      <p v-if="met.length === 0">Nothing in this calendar is on a day of a class.</p>
      <template v-else>
        <p>Leave these classes out?</p>
        <label v-for="one in met" :key="one.n" class="met">
          <Checkbox binary :model-value="taken.has(one.n)" @update:model-value="tick(one.n, $event)" />
          <span>{{ busyWords(one) }}</span>
        </label>
        <div class="acts">
          <Button size="small" label="Leave them out" :disabled="taken.size === 0" @click="take" />
          <Button size="small" text severity="secondary" label="Leave all as it is" @click="days = undefined" />
        </div>
      </template>
      <p v-if="unread > 0">{{ counted(unread, 'entry', 'entries') }} could not be read.</p>
      <p v-if="isCut">The calendar has more than can be looked at: only its beginning was.</p>
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
p {
  margin: 6px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.met {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  padding: 4px 0;
  overflow-wrap: anywhere;
}
</style>
