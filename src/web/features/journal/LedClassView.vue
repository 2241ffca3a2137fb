<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { LedClass } from '#model/led-class'
import { breathOf, meantAndDone, visitsOf } from '#core/journal'
import type { HeldRow } from '#core/journal'
import { peopleHere } from '#core/lead'
import { formatMs } from '#core/units'
import { whyNot } from '#web/shared/api/client.ts'
import { readLedClass, setLedClassDeleted } from '#web/shared/api/led-classes.ts'
import { handedRecord } from '#web/shared/api/handed.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { otherNames } from '#words/kinds-of-time'
import { clockText, dayTimeText } from '#words/dates'
import { asideWords } from '#words/devices'
import { counted } from '#words/text'
import BreathOfClass from './BreathOfClass.vue'
import FromRecord from './FromRecord.vue'
import IncidentOfClass from './IncidentOfClass.vue'
import InTime from './InTime.vue'
import NoteOfClass from './NoteOfClass.vue'
import { justDeleted } from './just-deleted.ts'

const route = useRoute()
const router = useRouter()
const notDone = ref('')
const led = shallowRef<LedClass>()
const state = ref<'opening' | 'ready' | 'missing'>('opening')
/** Why it is not shown. */
const why = ref('This class is not in the journal.')

onMounted(async () => {
  void classes.load()
  const reply = await readLedClass(String(route.params['id']))
  if (reply.kind === 'ok') led.value = reply.value
  if (reply.kind === 'problem' && reply.problem.code !== 'UNKNOWN_CLASS') why.value = reply.problem.detail
  if (reply.kind === 'away') why.value = 'Zovrin’s server does not answer: start it, then reload this page.'
  state.value = reply.kind === 'ok' ? 'ready' : 'missing'
})

const done = computed(() => led.value && meantAndDone(led.value.plan, visitsOf(led.value)))
const isAbout = computed(() => led.value?.format === 1 && led.value.isAbout)
const longestMs = computed(() =>
  Math.max(60_000, ...(done.value?.holds ?? []).flatMap(({ plannedMs, heldMs }) => [plannedMs, heldMs])),
)
const share = (ms: number) => `${String((ms / longestMs.value) * 100)}%`
const nameOf = ({ blockId }: HeldRow) => led.value?.blocks[blockId]?.name ?? ''
const isFirstOf = (index: number) => done.value?.holds[index - 1]?.blockId !== done.value?.holds[index]?.blockId
const apart = ({ plannedMs, heldMs }: HeldRow) => {
  const seconds = Math.round((heldMs - plannedMs) / 1000)
  return seconds === 0 ? 'as planned' : `${formatMs(Math.abs(seconds) * 1000)} ${seconds > 0 ? 'longer' : 'shorter'}`
}
const sideNames = { left: 'left', right: 'right', both: '' } as const
const when = computed(() => (led.value ? dayTimeText(led.value.startedAt) : ''))

/** Hands the class to the teacher as a CSV file. */
async function exportCsv(): Promise<void> {
  if (!led.value || !done.value) return
  const { ledClassCsv } = await import('#formats/led-class-csv')
  download(
    ledClassCsv(led.value, done.value, breathOf(led.value)),
    `${led.value.startedAt.slice(0, 10)} ${led.value.document.name}.csv`,
    'text/csv;charset=utf-8',
  )
}
/** What was done in the class as captions, for a sound or a film of it. */
async function exportVtt(): Promise<void> {
  if (!led.value) return
  const { ledClassVtt } = await import('#formats/led-class-vtt')
  download(ledClassVtt(led.value), `${led.value.startedAt.slice(0, 10)} ${led.value.document.name}.vtt`, 'text/vtt')
}
const classes = usePlannedClassesStore()
/** Whose class it was, where it came as a file: the record goes back as one. */
const whose = computed(() => {
  const { handedFrom } = classes.planned.find(({ ledClassId }) => ledClassId === led.value?.id) ?? {}
  return handedFrom?.teacherId === undefined && led.value?.endedAt !== null ? handedFrom?.name : undefined
})
async function saveForThem(): Promise<void> {
  if (!led.value) return
  const reply = await handedRecord(led.value.id)
  notDone.value = reply.kind === 'ok' ? '' : whyNot(reply)
  if (reply.kind !== 'ok') return
  const title = `${led.value.document.name} ${led.value.startedAt.slice(0, 10)} record`
  download(JSON.stringify(reply.value, null, 2), fileName(title, 'zovrin.json'), 'application/json')
}
/** It can be brought back from the journal. */
async function remove(): Promise<void> {
  if (!led.value) return
  const { id } = led.value
  const reply = await setLedClassDeleted(id, true)
  if (reply.kind === 'ok') {
    justDeleted.value = { id, words: `${led.value.document.name}, ${when.value}` }
    await router.push({ name: 'journal' })
  } else notDone.value = whyNot(reply, 'Zovrin’s server does not answer: nothing was deleted.')
}
const people = computed(() => (led.value ? peopleHere({ start: led.value, events: led.value.events }) : 0))
</script>

<template>
  <div class="page">
    <div v-if="led && done" class="page-sheet">
      <header>
        <div>
          <p class="soft"><RouterLink :to="{ name: 'journal' }">Journal</RouterLink> · {{ when }}</p>
          <h1>{{ led.document.name }}</h1>
          <p>
            {{ formatMs(done.ledMs) }} led, {{ formatMs(done.plannedMs) }} planned{{
              people > 0 ? `, ${counted(people, 'person', 'people')}` : ''
            }}{{ led.ledBy === null ? '' : `; led by ${led.ledBy}` }}{{ led.left ? '; left early' : ''
            }}{{ led.endedAt === null ? '; not finished' : '' }}
          </p>
        </div>
        <div class="acts">
          <Button v-if="whose" :label="`Save the record for ${whose}`" icon="pi pi-download" @click="saveForThem" />
          <Button severity="secondary" outlined label="Export as CSV" icon="pi pi-download" @click="exportCsv" />
          <Button severity="secondary" outlined label="As captions" icon="pi pi-download" @click="exportVtt" />
          <Button
            v-if="led.endedAt !== null"
            severity="secondary"
            outlined
            label="Delete"
            aria-label="Delete this class from the journal"
            @click="remove"
          />
        </div>
      </header>
      <p v-if="notDone" role="alert">{{ notDone }}</p>
      <p v-if="led.askedAt" class="soft">
        Everybody was asked in private before held breath and strokes, said at {{ clockText(Date.parse(led.askedAt)) }}.
      </p>
      <p v-if="isAbout" class="soft">
        About: this screen was away in between, and the record of that time does not say since when.
      </p>
      <p v-for="aside in led.asides" :key="aside.by" class="soft" data-testid="aside">
        {{ asideWords(aside) }}
      </p>
      <NoteOfClass :id="led.id" :note="led.note" :version="led.version" @change="led = { ...led, ...$event }" />
      <IncidentOfClass :id="led.id" :version="led.version" @change="led = { ...led, ...$event }" />
      <template v-if="done.holds.length > 0">
        <h2>Meant and done</h2>
        <p class="soft">Upper line: planned. Lower bar: held.</p>
      </template>
      <ol class="holds">
        <li
          v-for="(row, index) in done.holds"
          :key="`${row.blockId}${row.side}`"
          :class="[row.side, { first: isFirstOf(index) }]"
        >
          <span class="name">{{ isFirstOf(index) ? nameOf(row) : '' }}</span>
          <span class="side">{{ sideNames[row.side] }}</span>
          <span class="bars" role="img" :aria-label="`planned ${formatMs(row.plannedMs)}, held ${formatMs(row.heldMs)}`"
            ><i class="meant" :style="{ width: share(row.plannedMs) }" /><i
              class="done"
              :style="{ width: share(row.heldMs) }"
          /></span>
          <span class="figure"
            >{{ formatMs(row.heldMs) }} <small>of {{ formatMs(row.plannedMs) }}</small></span
          >
          <span class="apart"
            >{{ apart(row) }}{{ row.attempts > 0 ? `, begun again ${String(row.attempts)}×` : '' }}</span
          >
        </li>
      </ol>
      <BreathOfClass v-if="led.format === 2" :led="led" @change="led = { ...led, ...$event }" />
      <InTime :led="led" />
      <FromRecord v-if="led.endedAt !== null" :led="led" />
      <h2>Other times</h2>
      <table class="list others">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" class="figure">Planned</th>
            <th scope="col" class="figure">Took</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in done.others" :key="row.kind">
            <th scope="row">{{ otherNames[row.kind] ?? row.kind }}</th>
            <td class="figure">{{ formatMs(row.plannedMs) }}</td>
            <td class="figure">{{ formatMs(row.tookMs) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else-if="state === 'missing'" class="page-sheet">
      {{ why }} <RouterLink :to="{ name: 'journal' }">Open the journal</RouterLink>
    </p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 20px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}
.soft,
small {
  color: var(--ink-soft);
  font-size: 15px;
}
h2 {
  margin-top: 22px;
}
.holds li {
  display: grid;
  grid-template-columns: 180px 46px minmax(0, 1fr) 120px 220px;
  gap: 10px;
  align-items: center;
  padding: 5px 0;
}
.holds li.first {
  border-top: 1px solid var(--line-soft);
}
.name {
  font-weight: 650;
}
.side,
.apart {
  color: #4b5854;
}
.bars {
  display: grid;
  gap: 2px;
}
.bars i {
  display: block;
  min-width: 1px;
}
.meant {
  height: 4px;
  background: var(--ink);
}
.done {
  height: 12px;
  background: var(--both);
}
.left .done {
  background: var(--left);
}
.right .done {
  background: var(--right);
}
.figure {
  text-align: right !important;
  font-weight: 650;
  white-space: nowrap;
}
.others {
  width: auto;
  min-width: 420px;
  margin-top: 6px;
}
.others tbody th,
.others td {
  padding: 4px 10px;
  font-weight: 500;
}
</style>
