<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Menu from 'primevue/menu'
import Select from 'primevue/select'
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { formatDuration } from '#core/units'
import { templates } from '#library/templates'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { practiceChoices } from '#words/practices'
import { dayText } from '#words/dates'
import HistoryDialog from './HistoryDialog.vue'
import InPlaceOf from './InPlaceOf.vue'
import { useSessions } from './use-sessions.ts'
import type { Shown } from './use-session-list.ts'
import { textOf } from '#web/shared/ui/text-of.ts'

const sessions = useSessions()
const { lines, state, shown, wanted, practice, found, counts, told, problems } = sessions
const router = useRouter()
const store = useSessionStore()
onMounted(sessions.load)

const practiceWords = computed(() => new Map(practiceChoices.map(({ value, words }) => [value, words])))
const practices = [{ value: '-', words: 'Every practice' }, ...practiceChoices]
const dayOf = (at: string | null) => (at === null || at === '' ? '' : dayText(at))

const tabs: { value: Shown; words: string }[] = [
  { value: 'sessions', words: 'Sessions' },
  { value: 'templates', words: 'Templates' },
  { value: 'away', words: 'Put away' },
]

const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const chosen = ref<SessionLine>()
const renaming = ref<string>()
/** Fetched when it is asked for. */
const ChooseDialog = defineAsyncComponent(() => import('./ChooseDialog.vue'))
const choosing = ref(false)
const historyOf = ref<SessionLine>()
const items = computed(() => {
  const line = chosen.value
  if (!line) return []
  return [
    { label: 'Rename', command: () => beginRename(line) },
    { label: 'Duplicate', command: () => sessions.duplicate(line) },
    line.template
      ? { label: 'No template any more', command: () => sessions.makeTemplate(line, false) }
      : { label: 'Make it a template', command: () => sessions.makeTemplate(line, true) },
    { label: 'History', command: () => (historyOf.value = line) },
    { label: 'Export', command: () => sessions.exportOne(line) },
    line.archived
      ? { label: 'Bring back to the list', command: () => sessions.archive(line, false) }
      : { label: 'Put away', command: () => sessions.archive(line, true) },
    { label: 'Delete', command: () => sessions.remove(line) },
  ]
})
function openMenu(event: Event, line: SessionLine): void {
  chosen.value = line
  menu.value?.toggle(event)
}
async function beginRename(line: SessionLine): Promise<void> {
  renaming.value = line.id
  await nextTick()
  document.getElementById(`rename-${line.id}`)?.focus()
}
async function endRename(line: SessionLine, name: string | undefined): Promise<void> {
  if (renaming.value !== line.id) return
  renaming.value = undefined
  if (name !== undefined) await sessions.rename(line, name)
}

const file = useTemplateRef('file')
async function takeFile(event: Event): Promise<void> {
  const input = event.target
  if (!(input instanceof HTMLInputElement)) return
  const [chosenFile] = input.files ?? []
  if (chosenFile) await sessions.importFile(chosenFile)
  input.value = ''
}

async function broughtBack(line: SessionLine): Promise<void> {
  historyOf.value = undefined
  // What this window still had of it is older than what was brought back.
  if (store.document?.id === line.id) await store.close()
  await router.push({ name: 'plan', params: { id: line.id } })
}
const nothing = computed(() => {
  if (wanted.value !== '' || practice.value !== '') return 'No session is called that and has this practice.'
  if (shown.value === 'templates') return 'Templates of your own stand here: choose “Make it a template” on a session.'
  if (shown.value === 'away') return 'Nothing is put away. Sessions you no longer teach can rest here.'
  return 'Your sessions stand here. The first one starts empty: choose a length, then put on the spine what the class will do. Or begin from a template.'
})
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header>
        <h1>Sessions</h1>
        <RouterLink :to="{ name: 'series' }">Series</RouterLink>
        <RouterLink :to="{ name: 'long-days' }">Long days</RouterLink>
        <RouterLink :to="{ name: 'backups' }">Backups</RouterLink>
        <RouterLink :to="{ name: 'teachers' }">Teachers</RouterLink>
        <span class="grow" />
        <input
          ref="file"
          class="visually-hidden"
          type="file"
          accept="application/json,.json"
          aria-label="File to import"
          tabindex="-1"
          @change="takeFile"
        />
        <Button severity="secondary" outlined label="Import" @click="file?.click()" />
        <Button severity="secondary" outlined label="Paste a plan" @click="router.push({ name: 'paste' })" />
        <Button severity="secondary" outlined label="Choose one for me" @click="choosing = true" />
        <Button label="New session" icon="pi pi-plus" @click="sessions.begin" />
      </header>
      <div v-if="problems.length > 0" class="problem" role="alert">
        <p v-for="text in problems" :key="text">{{ text }}</p>
      </div>
      <p v-if="state === 'away'" class="problem" role="status">
        Zovrin’s server does not answer. These sessions are kept in this browser and can be worked on; they are saved
        when it is back.
      </p>
      <div class="told" role="status" aria-live="polite">
        <p v-if="told">
          {{ told.words }}.
          <Button v-if="told.undo" text size="small" severity="secondary" label="Undo" @click="told.undo()" />
        </p>
      </div>
      <InPlaceOf v-if="state === 'ready'" :lines="lines" />
      <div v-if="state === 'ready'" class="tools">
        <div class="tabs" role="group" aria-label="Which sessions">
          <button
            v-for="tab in tabs"
            :key="tab.value"
            type="button"
            :aria-pressed="shown === tab.value"
            @click="shown = tab.value"
          >
            {{ tab.words }}
            <small>{{ tab.value === 'templates' ? counts.templates + templates.length : counts[tab.value] }}</small>
          </button>
        </div>
        <span class="grow" />
        <label class="visually-hidden" for="sessions-find">Find a session</label>
        <InputText id="sessions-find" v-model="wanted" placeholder="Find a session" autocomplete="off" />
        <Select
          aria-label="Practice"
          :model-value="practice || '-'"
          :options="practices"
          option-label="words"
          option-value="value"
          @update:model-value="practice = $event === '-' ? '' : $event"
        />
      </div>
      <table v-if="found.length > 0" class="list">
        <thead>
          <tr>
            <th scope="col">Session</th>
            <th scope="col">Practice</th>
            <th scope="col" class="figure">Length</th>
            <th scope="col">Led last</th>
            <th scope="col">Changed last</th>
            <th v-if="state === 'ready'" scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in found" :key="line.id">
            <th scope="row">
              <InputText
                v-if="renaming === line.id"
                :id="`rename-${line.id}`"
                :aria-label="`New name of ${line.name}`"
                fluid
                maxlength="120"
                :default-value="line.name"
                @keydown.enter="endRename(line, textOf($event))"
                @keydown.esc="endRename(line, undefined)"
                @blur="endRename(line, textOf($event))"
              />
              <RouterLink v-else :to="{ name: 'plan', params: { id: line.id } }">{{ line.name }}</RouterLink>
            </th>
            <td>{{ practiceWords.get(line.practice) }}</td>
            <td class="figure">{{ formatDuration(line.lengthS) }}</td>
            <td>{{ line.lastLed === null ? 'not yet' : dayOf(line.lastLed) }}</td>
            <td>{{ dayOf(line.savedAt) }}</td>
            <td v-if="state === 'ready'" class="figure acts">
              <Button
                v-if="shown === 'templates'"
                size="small"
                severity="secondary"
                outlined
                label="Begin from it"
                :aria-label="`Begin from ${line.name}`"
                @click="sessions.beginFromOwn(line)"
              />
              <Button
                text
                size="small"
                severity="secondary"
                icon="pi pi-ellipsis-h"
                :aria-label="`More for ${line.name}`"
                aria-haspopup="menu"
                @click="openMenu($event, line)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="state === 'ready'" class="empty">{{ nothing }}</p>
      <template v-if="state === 'ready' && shown === 'templates'">
        <h2>Shipped</h2>
        <table class="list">
          <tbody>
            <tr v-for="template in templates" :key="template.id">
              <th scope="row">
                {{ template.name }}<small>{{ template.purpose }}</small>
              </th>
              <td>{{ practiceWords.get(template.practice) }}</td>
              <td class="figure">{{ formatDuration(template.lengthS) }}</td>
              <td class="figure">
                <Button
                  size="small"
                  severity="secondary"
                  outlined
                  label="Begin from it"
                  :aria-label="`Begin from ${template.name}`"
                  @click="sessions.beginFrom(template)"
                />
              </td>
            </tr>
          </tbody>
        </table>
      </template>
      <Menu ref="menu" :model="items" popup />
      <ChooseDialog v-if="choosing" @close="choosing = false" @take="sessions.open" />
      <HistoryDialog
        v-if="historyOf"
        :id="historyOf.id"
        :name="historyOf.name"
        @close="historyOf = undefined"
        @brought-back="broughtBack(historyOf)"
      />
      <p class="schema">
        Sessions leave and come in as open JSON documents.
        <a href="/schemas/zovrin-session.schema.json" download>Their published schema</a> ·
        <RouterLink :to="{ name: 'licences' }">Licences of what Zovrin is made with</RouterLink>
      </p>
    </div>
  </div>
</template>

<style scoped>
header,
.tools {
  display: flex;
  align-items: center;
  gap: 10px;
}
header {
  margin-bottom: 12px;
}
.tools {
  margin-bottom: 10px;
  flex-wrap: wrap;
}
.grow {
  flex: 1;
}
.tabs {
  display: flex;
  gap: 2px;
}
.tabs button {
  padding: 6px 12px;
  border: 0;
  border-radius: 6px;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.tabs button[aria-pressed='true'] {
  background: var(--ink);
  color: #fff;
}
.tabs small {
  margin-left: 3px;
  font-size: 14px;
}
tbody a {
  display: block;
  text-decoration: none;
}
tbody a:hover {
  text-decoration: underline;
}
td {
  color: #4b5854;
}
th small {
  display: block;
  font-size: 14.5px;
  font-weight: 500;
  color: var(--ink-soft);
}
.acts {
  padding-block: 4px !important;
}
.told {
  min-height: 0;
}
.told p {
  margin-bottom: 10px;
  padding: 4px 12px;
  border-left: 5px solid var(--chosen);
  background: var(--chosen-wash);
}
.problem {
  margin-bottom: 12px;
  padding: 8px 12px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
}
.empty {
  padding: 18px 0;
  color: #4b5854;
  max-width: 56ch;
}
h2 {
  margin-top: 22px;
}
.schema {
  margin-top: 18px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
