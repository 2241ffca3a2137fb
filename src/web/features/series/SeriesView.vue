<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useElementSize, useMediaQuery } from '@vueuse/core'
import type { Series } from '#model/series'
import { classesWords, rhythmWords } from '#words/series'
import { counted } from '#words/text'
import { saveCalendar } from '#web/shared/house/class-calendar.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SelectField from '#web/shared/ui/SelectField.vue'
import SideList from '#web/shared/ui/SideList.vue'
import SidePane from '#web/shared/ui/SidePane.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import GrowthLines from './GrowthLines.vue'
import GrowthRules from './GrowthRules.vue'
import RhythmFields from './RhythmFields.vue'
import SeriesAbout from './SeriesAbout.vue'
import SeriesCalendar from './SeriesCalendar.vue'
import SeriesFindings from './SeriesFindings.vue'
import ShippedList from './ShippedList.vue'
import WeekColumn from './WeekColumn.vue'
import WeekPane from './WeekPane.vue'
import WhoMissed from './WhoMissed.vue'
import { useSeries } from './use-series.ts'

/** The series and the weeks of one of them, side by side. */
const route = useRoute()
const router = useRouter()
const { store, sessions, chosen, chosenId, chosenN, classes, theClass, base, names, load, add } = useSeries()
const places = usePlacesStore()
onMounted(load)
useUndoKeys({ undo: () => void store.undo(), redo: () => undefined })
watch(
  () => route.params['id'],
  (id) => (chosenId.value = typeof id === 'string' && id !== '' ? id : undefined),
  { immediate: true },
)
const placeName = (id: string | undefined): string | undefined => places.places.find((place) => place.id === id)?.name
const things = computed(() =>
  store.series.map(({ id, name, weeks, ...when }) => ({
    key: id,
    name,
    about: `${counted(weeks, 'week')}, ${rhythmWords(when, undefined)}`,
  })),
)
const choose = (id: string) => router.push({ name: 'series', params: { id } })
const baseId = ref('')
async function begin(): Promise<void> {
  const line = sessions.value.find(({ id }) => id === baseId.value)
  const id = line && (await add(line))
  baseId.value = ''
  if (id !== undefined) await choose(id)
}
/** What was taken away last, to be brought back. */
const gone = ref<Series>()
async function remove(): Promise<void> {
  const { value } = chosen
  if (!value || !(await store.remove(value.id))) return
  gone.value = value
  await router.push({ name: 'series' })
}
async function bringBack(): Promise<void> {
  const { value } = gone
  if (!value || !(await store.put(value))) return
  gone.value = undefined
  await choose(value.id)
}

/** All columns have one scale: the longest class fills this height. */
const highPx = 320
const pxPerMs = computed(() => highPx / Math.max(60_000, ...classes.value.map(({ spine }) => spine?.totalMs ?? 0)))
const weeksInAll = computed(() => classes.value.at(-1)?.week ?? 0)
const tabs = useTemplateRef<HTMLElement>('tabs')
const { width: columnsPx } = useElementSize(tabs)
const columnPx = computed(() => columnsPx.value / Math.max(1, classes.value.length))
async function walk(event: KeyboardEvent, by: number): Promise<void> {
  const at = classes.value.findIndex(({ n }) => n === theClass.value?.n)
  const next = classes.value[Math.max(0, Math.min(classes.value.length - 1, at + by))]
  if (!next) return
  event.preventDefault()
  chosenN.value = next.n
  await nextTick()
  tabs.value?.querySelector<HTMLElement>('[aria-selected=true]')?.focus()
}
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div class="series-view" :class="{ narrow, alone: !chosen }">
    <SideList title="Series" label="Series" :things="things" :current="chosen?.id" @choose="choose">
      <form class="begin" @submit.prevent="begin">
        <SelectField
          label="A series of"
          is-searched
          :value="baseId"
          :options="[
            { value: '', words: 'choose a session' },
            ...sessions.map(({ id, name }) => ({ value: id, words: name })),
          ]"
          @change="baseId = $event"
        />
        <Button
          type="submit"
          size="small"
          severity="secondary"
          outlined
          label="Make a series"
          :disabled="baseId === ''"
        />
      </form>
    </SideList>
    <section class="weeks scrolls" aria-labelledby="series-title">
      <ViewHead title-id="series-title" :title="chosen?.name ?? 'Weeks that build'">
        <template #about>
          <p v-if="chosen" class="sub">
            {{ rhythmWords(chosen, placeName(chosen.placeId)) }} · {{ classesWords(classes) }}
          </p>
          <p v-else class="sub">
            A series is one session over several weeks: what comes again, what grows, what is new. Choose a session at
            the left, or begin with one of these.
          </p>
        </template>
        <span v-if="chosen" class="tools">
          <Button size="small" text severity="secondary" icon="pi pi-trash" label="Delete" @click="remove" />
          <UndoButton :steps="store.steps.length" words="Undo the last change" @undo="store.undo()" />
        </span>
      </ViewHead>
      <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
      <ShippedList v-if="!chosen" @begun="choose" />
      <Button
        v-if="!chosen && store.series.length > 0"
        size="small"
        text
        severity="secondary"
        icon="pi pi-download"
        label="Save all series as one calendar"
        @click="saveCalendar('classes', { series: store.series })"
      />
      <p v-if="gone" role="status">
        “{{ gone.name }}” is deleted.
        <Button size="small" text severity="secondary" icon="pi pi-undo" label="Bring it back" @click="bringBack" />
      </p>
      <p v-if="chosen && !base" class="sub">The session it grows from is not here: open the list of sessions.</p>
      <div v-if="chosen && classes.length > 0" class="sideways">
        <div
          ref="tabs"
          class="columns"
          :style="{ '--columns': classes.length }"
          role="tablist"
          aria-label="Weeks"
          @keydown.right="walk($event, 1)"
          @keydown.left="walk($event, -1)"
        >
          <WeekColumn
            v-for="week in classes"
            :key="week.n"
            :week="week"
            :is-chosen="week.n === theClass?.n"
            :px-per-ms="pxPerMs"
            :names="names"
            :length-s="base?.lengthS ?? 0"
            :has-weekday="chosen.weekdays.length > 1"
            :base-id="chosen.baseId"
            :expected="chosen.people.length + chosen.guests"
            @choose="chosenN = week.n"
          />
        </div>
        <GrowthLines :weeks="classes" :growth="chosen.growth" :names="names" :column-px="columnPx" />
      </div>
    </section>
    <SidePane v-if="chosen" v-model:open="drawerOpen" label="The week and the series" opener="Week and series">
      <div class="parts">
        <WeekPane v-if="theClass" :week="theClass" :weeks="weeksInAll" :length-s="base?.lengthS ?? 0" />
        <SeriesFindings />
        <WhoMissed />
        <GrowthRules />
        <SeriesAbout />
        <RhythmFields />
        <SeriesCalendar />
      </div>
    </SidePane>
  </div>
</template>

<style scoped>
.series-view {
  position: relative;
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 320px;
  height: 100%;
  min-height: 0;
}
.series-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.series-view.alone {
  grid-template-columns: 220px minmax(0, 1fr);
}
.begin {
  display: grid;
  gap: 8px;
  padding: 12px 16px;
}
.weeks {
  padding: 14px 18px;
  background: var(--ground);
}
.sub {
  color: #4b5854;
}
.tools {
  display: flex;
  align-items: center;
}
.sideways {
  overflow-x: auto;
  padding: 3px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(86px, 1fr));
  min-width: min-content;
  max-width: calc(var(--columns) * 140px);
}
.parts {
  display: grid;
  gap: 20px;
}
@media (max-width: 800px) {
  .series-view.narrow {
    display: block;
    overflow-y: auto;
  }
}
</style>
