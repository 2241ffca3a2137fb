<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useMediaQuery } from '@vueuse/core'
import type { LongDay } from '#model/long-day'
import { classWhen } from '#words/class-days'
import { dayWords } from '#words/long-days'
import { counted } from '#words/text'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SelectField from '#web/shared/ui/SelectField.vue'
import SideList from '#web/shared/ui/SideList.vue'
import SidePane from '#web/shared/ui/SidePane.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import DayFields from './DayFields.vue'
import DayFindings from './DayFindings.vue'
import DayParts from './DayParts.vue'
import DayPlan from './DayPlan.vue'
import DaySums from './DaySums.vue'
import PartPane from './PartPane.vue'
import { useLongDays } from './use-long-days.ts'

/** Several sessions of one day by the clock, with breaks between them. */
const route = useRoute()
const router = useRouter()
const { store, lines, chosenId, chosen, laid, isSettled, isAway, load, add, addSession, addBreak } = useLongDays()
onMounted(load)
useUndoKeys({ undo: () => void store.undo(), redo: () => undefined })
watch(
  () => route.params['id'],
  (id) => (chosenId.value = typeof id === 'string' && id !== '' ? id : undefined),
  { immediate: true },
)
const things = computed(() =>
  store.days.map(({ id, name, day, startsAt, parts }) => ({
    key: id,
    name,
    about: `${day === undefined ? startsAt : classWhen({ day, startsAt })}, ${counted(parts.length, 'part')}`,
  })),
)
const choose = (id: string) => router.push({ name: 'long-days', params: { id } })
async function begin(): Promise<void> {
  const id = await add('A long day')
  if (id !== undefined) await choose(id)
}
const sessionId = ref('')
async function take(): Promise<void> {
  if (sessionId.value !== '') await addSession(sessionId.value)
  sessionId.value = ''
}
/** What was taken away last, to be brought back. */
const gone = ref<LongDay>()
async function remove(): Promise<void> {
  const { value } = chosen
  if (!value || !(await store.remove(value.id))) return
  gone.value = value
  await router.push({ name: 'long-days' })
}
async function bringBack(): Promise<void> {
  const { value } = gone
  if (!value || !(await store.put(value))) return
  gone.value = undefined
  await choose(value.id)
}
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div class="days-view" :class="{ narrow, alone: !chosen }">
    <SideList title="Long days" label="Long days" :things="things" :current="chosen?.id" @choose="choose">
      <div class="begin">
        <Button size="small" severity="secondary" outlined icon="pi pi-plus" label="New long day" @click="begin" />
      </div>
    </SideList>
    <section class="day scrolls" aria-labelledby="day-title">
      <ViewHead title-id="day-title" :title="chosen?.name ?? 'Long days'">
        <template #about>
          <p v-if="chosen" class="sub">
            {{ chosen.day === undefined ? 'no day yet' : classWhen({ day: chosen.day }) }} · {{ dayWords(laid) }}
          </p>
          <p v-else class="sub">
            A long day is several sessions with breaks between them: three hours with tea, a day of retreat. Each
            session is led by its own plan; here they stand by the clock and are added up.
          </p>
        </template>
        <span v-if="chosen" class="tools">
          <Button size="small" text severity="secondary" icon="pi pi-trash" label="Delete" @click="remove" />
          <UndoButton :steps="store.steps.length" words="Undo the last change" @undo="store.undo()" />
        </span>
      </ViewHead>
      <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
      <p v-if="gone" role="status">
        “{{ gone.name }}” is deleted.
        <Button size="small" text severity="secondary" icon="pi pi-undo" label="Bring it back" @click="bringBack" />
      </p>
      <template v-if="chosen">
        <DayParts v-if="isSettled" />
        <p v-else-if="isAway" class="problem" role="alert">
          Zovrin’s server does not answer, so the sessions of the day cannot be read. Start it, then reload this page.
        </p>
        <p v-if="chosen.parts.length === 0" class="sub">Put the first session in, then a break, then the next.</p>
        <form class="add" @submit.prevent="take">
          <SelectField
            label="A session"
            is-searched
            :value="sessionId"
            :options="[
              { value: '', words: 'choose a session' },
              ...lines.map(({ id, name }) => ({ value: id, words: name })),
            ]"
            @change="sessionId = $event"
          />
          <Button
            type="submit"
            size="small"
            severity="secondary"
            outlined
            label="Put it at the end"
            :disabled="sessionId === ''"
          />
          <Button size="small" severity="secondary" outlined label="A break" @click="addBreak" />
        </form>
      </template>
    </section>
    <SidePane v-if="chosen" v-model:open="drawerOpen" label="The part and the day" opener="Part and day">
      <div class="parts">
        <PartPane />
        <DayFindings />
        <DaySums />
        <DayPlan />
        <DayFields />
      </div>
    </SidePane>
  </div>
</template>

<style scoped>
.days-view {
  position: relative;
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 320px;
  height: 100%;
  min-height: 0;
}
.days-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.days-view.alone {
  grid-template-columns: 220px minmax(0, 1fr);
}
.begin {
  padding: 12px 16px;
}
.day {
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
.add {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  margin-top: 12px;
}
.add > :first-child {
  width: 280px;
}
.parts {
  display: grid;
  gap: 20px;
}
@media (max-width: 800px) {
  .days-view.narrow {
    display: block;
    overflow-y: auto;
  }
}
</style>
