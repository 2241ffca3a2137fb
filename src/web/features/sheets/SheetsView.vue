<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { textLimits } from '#model/limits'
import { counted, namesInWords } from '#words/text'
import type { CueFormat } from '#formats/cue-list'
import { homeParts } from '#formats/sheets/home-parts'
import ClassPicker from '#web/shared/house/ClassPicker.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import type { SheetKind } from '#web/shared/sheets/sheet-work.ts'
import type { SoundFileKind } from '#web/shared/sound-file/sound-file-work.ts'
import { wavRate, useSoundFile } from '#web/shared/sound-file/use-sound-file.ts'
import { useVoicesStore } from '#web/shared/voice/voices-store.ts'
import { makeSheet } from '#web/shared/sheets/make-sheet.ts'
import { notMade, useSheets } from '#web/shared/sheets/use-sheets.ts'
import type { SheetOptions } from '#web/shared/sheets/use-sheets.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** What of a session goes on paper, each as a PDF. */
const route = useRoute()
const store = useSessionStore()
const own = useOwnStore()
watch(
  () => String(route.params['id'] ?? ''),
  (id) => void store.open(id),
  { immediate: true },
)
const compiled = computed(() =>
  store.document && store.timeline ? { document: store.document, timeline: store.timeline } : undefined,
)
const { paper, making, told, save, planned, people, room, house } = useSheets(() => compiled.value)
onMounted(house.loadPlaces)

const byClock = ref(true)
const isThree = ref(false)
const threeStatures = [155, 170, 185]
/** Asked each time: it is kept nowhere. */
const madeFor = ref('')
const left = computed(() => (store.document ? homeParts(store.document, own.catalog).left : []))
const papers = [
  { value: 'A4' as const, words: 'A4' },
  { value: 'LETTER' as const, words: 'Letter' },
]
const sheets: readonly { readonly kind: SheetKind; readonly name: string; readonly about: string }[] = [
  {
    kind: 'teacher',
    name: 'Teacher’s sheet',
    about: 'All of the class in its order: times, sides, phases, cues, props, between-times, when to stop.',
  },
  {
    kind: 'floor',
    name: 'Floor card',
    about: 'One page to lie beside the mat: pose, side, minutes, props, in large type.',
  },
  {
    kind: 'cards',
    name: 'Set-up cards',
    about: 'Six a page, to be cut: the figure with its measures, and what lies there from the floor up.',
  },
  {
    kind: 'home',
    name: 'Home sheet',
    about:
      'For students: large, with figures, what a house has, and when to stop. No strong or held breath goes on it.',
  },
  { kind: 'room', name: 'Room and fetching', about: 'The mats from above, and what is fetched.' },
]
function optionsOf(kind: SheetKind): SheetOptions {
  if (kind === 'teacher') return { byClock: byClock.value }
  if (kind === 'cards') return isThree.value ? { statures: threeStatures } : {}
  const name = madeFor.value.trim()
  return kind === 'home' && name !== '' ? { madeFor: name } : {}
}
async function make(kind: SheetKind): Promise<void> {
  await save(kind, optionsOf(kind))
  if (kind === 'home') madeFor.value = ''
}
/** Fetched when it is asked for. */
async function saveCues(format: CueFormat): Promise<void> {
  if (!compiled.value) return
  const { document, timeline } = compiled.value
  const { cueLines, cueListFile } = await import('#formats/cue-list')
  const file = cueListFile(cueLines(timeline, document.practice), format)
  download(file, fileName(`${document.name} cues`, format), format === 'vtt' ? 'text/vtt' : 'application/x-subrip')
}
const pageTold = ref('')
async function savePage(): Promise<void> {
  if (!compiled.value) return
  const { document } = compiled.value
  const { learned, wordsAMinute } = own.catalog
  const { bytes, failed } = await makeSheet({
    ...{ kind: 'page', session: document, own: own.things, learned, wordsAMinute, kinds: house.kinds.value },
  })
  if (bytes) download(new Blob([bytes]), fileName(`${document.name} for students`, 'html'), 'text/html')
  const none = failed === undefined ? 'Nothing of it goes home.' : notMade
  pageTold.value = bytes ? `Saved: ${String(Math.ceil(bytes.length / 1000))} kB` : none
}
const sound = useSoundFile()
const voices = useVoicesStore()
watch(
  () => compiled.value?.document.id,
  (id) => void (id !== undefined && voices.open(id)),
  { immediate: true },
)
const isVoiced = ref(true)
function saveSound(as: SoundFileKind): void {
  if (!compiled.value) return
  const { document: session, timeline } = compiled.value
  void sound.save({ session, timeline, voices: isVoiced.value ? voices.voices : [] }, as)
}
const soundFiles = [
  { as: 'opus', name: 'Opus' },
  { as: 'wav', name: 'WAV' },
] as const
/** One channel of two bytes a frame. */
const megabytes = computed(() =>
  Math.ceil((((compiled.value?.timeline.totalMs ?? 0) / 1000) * wavRate * 2) / 1_000_000),
)
async function saveChapters(): Promise<void> {
  if (!compiled.value) return
  const { document, timeline } = compiled.value
  const { chaptersFile } = await import('#formats/cue-list')
  download(chaptersFile(timeline, document.practice), fileName(`${document.name} chapters`, 'vtt'), 'text/vtt')
}
</script>

<template>
  <SessionAway v-if="!compiled" />
  <div v-else class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Sheets and files</h1>
        <RouterLink :to="{ name: 'plan', params: { id: compiled.document.id } }">Back to the plan</RouterLink>
      </header>
      <p>What {{ compiled.document.name }} comes to on paper and as files. Nobody is named in them.</p>
      <div class="for">
        <SelectField label="Paper" :value="paper" :options="papers" @change="paper = $event" />
        <ClassPicker :session="compiled.document" :timeline="compiled.timeline" />
      </div>
      <ul>
        <li v-for="{ kind, name, about } in sheets" :key="kind">
          <div>
            <h2>{{ name }}</h2>
            <p>{{ about }}</p>
            <label v-if="kind === 'teacher' && planned?.startsAt">
              <Checkbox v-model="byClock" binary />Times of day, from {{ planned.startsAt }}
            </label>
            <label v-if="kind === 'cards'">
              <Checkbox v-model="isThree" binary />For three heights: 155, 170 and 185 cm
            </label>
            <template v-if="kind === 'home'">
              <p v-if="left.length > 0">{{ counted(left.length, 'part') }} left out: {{ namesInWords(left) }}.</p>
              <label class="name">
                Made for (asked each time, kept nowhere)
                <InputText v-model="madeFor" :maxlength="textLimits.name" autocomplete="off" />
              </label>
            </template>
            <p v-if="kind === 'room' && !(room && people)">
              {{ room ? 'Say for how many people, and the mats are laid out.' : 'With a place, its room is drawn.' }}
            </p>
          </div>
          <span class="made" role="status">{{ making === kind ? 'Making it…' : told[kind] }}</span>
          <Button
            severity="secondary"
            outlined
            label="Save as PDF"
            :aria-label="`Save the ${name.toLowerCase()} as PDF`"
            :disabled="making !== undefined"
            @click="make(kind)"
          />
        </li>
        <li>
          <div>
            <h2>Page for students</h2>
            <p>
              The class at home as one file for a phone: figures, times, a start with bells. It needs no network and has
              what the home sheet has.
            </p>
          </div>
          <span class="made" role="status">{{ pageTold }}</span>
          <Button
            severity="secondary"
            outlined
            label="Save as HTML"
            aria-label="Save the page for students as HTML"
            @click="savePage"
          />
        </li>
        <li>
          <div>
            <h2>Sound file</h2>
            <p>
              The bells and the breath of the class at their times, each hold begun by the clock, for a class without a
              screen. As WAV about {{ megabytes }} MB; Opus is far smaller, and plays on most phones.
            </p>
            <label v-if="voices.voices.length > 0"><Checkbox v-model="isVoiced" binary />With your own voice</label>
            <p>
              <RouterLink :to="{ name: 'voice', params: { id: compiled.document.id } }">
                {{
                  voices.voices.length > 0
                    ? `${counted(voices.voices.length, 'sentence')} recorded`
                    : 'Record its sentences'
                }}
              </RouterLink>
            </p>
            <p v-if="sound.failed.value" role="alert">{{ sound.failed.value }}</p>
          </div>
          <span class="made" role="status">{{
            sound.share.value === undefined ? '' : `${Math.round(sound.share.value * 100)} % mixed`
          }}</span>
          <Button
            v-if="sound.share.value !== undefined"
            severity="secondary"
            outlined
            label="Give it up"
            @click="sound.cancel"
          />
          <span v-else class="two">
            <Button
              severity="secondary"
              outlined
              label="Chapters"
              aria-label="Save its chapters as WebVTT"
              @click="saveChapters"
            />
            <Button
              v-for="{ as, name } in soundFiles"
              :key="as"
              severity="secondary"
              outlined
              :label="name"
              :aria-label="`Save the sound of the class as ${name}`"
              @click="saveSound(as)"
            />
          </span>
        </li>
        <li>
          <div>
            <h2>Cue list</h2>
            <p>All that is said, at its moment, as captions: beside a film or a sound of the class.</p>
          </div>
          <span />
          <span class="two">
            <Button
              severity="secondary"
              outlined
              label="WebVTT"
              aria-label="Save the cue list as WebVTT"
              @click="saveCues('vtt')"
            />
            <Button
              severity="secondary"
              outlined
              label="SubRip"
              aria-label="Save the cue list as SubRip"
              @click="saveCues('srt')"
            />
          </span>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.for {
  display: grid;
  grid-template-columns: 160px minmax(0, 460px);
  align-items: start;
  gap: 14px;
  margin: 12px 0;
}
.for > :first-child {
  margin-top: 8px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
h2 {
  margin: 0;
  font-size: 18px;
}
li p {
  margin: 2px 0 0;
  color: #4b5854;
}
label {
  display: flex;
  align-items: center;
  gap: 9px;
  margin-top: 7px;
}
.name {
  flex-wrap: wrap;
}
.two {
  display: flex;
  gap: 8px;
}
.made {
  color: #4b5854;
}
</style>
