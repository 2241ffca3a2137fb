<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { formatDuration } from '#core/units'
import { dayTimeText } from '#words/dates'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useJournal } from './use-journal.ts'

const journal = useJournal()
const { wish, typed, lines, state, hasEarlier, isAsking, isNarrowed, justDeleted, goOn, showAll, bringBack } = journal
const { sessions, series, practices, places, isExporting, notExported, exportCsv } = journal
const any = (words: string) => ({ value: '', words })
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Journal</h1>
        <nav aria-label="What the journal tells">
          <RouterLink :to="{ name: 'drift', query: wish }">What drifts</RouterLink>
          <RouterLink :to="{ name: 'times' }">Your times</RouterLink>
          <RouterLink :to="{ name: 'recording' }">Measure a recording</RouterLink>
        </nav>
      </header>
      <p v-if="justDeleted" class="deleted" role="status">
        Deleted: {{ justDeleted.words }}
        <Button size="small" text severity="secondary" icon="pi pi-undo" label="Bring it back" @click="bringBack" />
      </p>
      <div v-if="lines.length > 0 || isNarrowed" class="wish" role="search" aria-label="The journal">
        <div>
          <label for="journal-find">Find</label>
          <InputText id="journal-find" v-model="typed.find" placeholder="in names and notes" fluid />
        </div>
        <SelectField
          label="Session"
          :value="typed.sessionId"
          :options="[any('all'), ...sessions]"
          @change="typed.sessionId = $event"
        />
        <SelectField
          v-if="series.length > 0"
          label="Series"
          :value="typed.seriesId"
          :options="[any('all'), ...series]"
          @change="typed.seriesId = $event"
        />
        <SelectField
          v-if="practices.length > 1"
          label="Practice"
          :value="typed.practice"
          :options="[any('all'), ...practices]"
          @change="typed.practice = $event"
        />
        <SelectField
          v-if="places.length > 1"
          label="Place"
          :value="typed.placeId"
          :options="[any('all'), ...places]"
          @change="typed.placeId = $event"
        />
        <div>
          <label for="journal-from">From</label>
          <InputText id="journal-from" v-model="typed.from" type="date" fluid />
        </div>
        <div>
          <label for="journal-to">To</label>
          <InputText id="journal-to" v-model="typed.to" type="date" fluid />
        </div>
      </div>
      <p v-if="state === 'away'" role="status">
        Zovrin’s server does not answer, so the journal cannot be read. Start it, then reload this page.
      </p>
      <p v-else-if="state === 'ready' && lines.length === 0 && isNarrowed" class="none">
        No class fits this.
        <Button size="small" severity="secondary" outlined label="Show all" @click="showAll" />
      </p>
      <p v-else-if="state === 'ready' && lines.length === 0">
        Every class you lead is written here: what was planned, what was held, side by side. Open a session and choose
        Lead.
      </p>
      <table v-if="lines.length > 0" class="list">
        <thead>
          <tr>
            <th scope="col">Date</th>
            <th scope="col">Session</th>
            <th scope="col" class="figure">Planned</th>
            <th scope="col" class="figure">Led</th>
            <th scope="col" class="figure">People</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.id">
            <td>{{ dayTimeText(line.startedAt) }}</td>
            <th scope="row">
              <RouterLink :to="{ name: 'led-class', params: { id: line.id } }">{{ line.name }}</RouterLink>
              <small v-if="line.ledBy !== null" class="by">led by {{ line.ledBy }}</small>
            </th>
            <td class="figure">{{ formatDuration(line.plannedS) }}</td>
            <td class="figure">{{ line.endedAt === null ? 'not finished' : formatDuration(line.ledS) }}</td>
            <td class="figure">{{ line.people === 0 ? '' : line.people }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="notExported" role="alert">{{ notExported }}</p>
      <div v-if="lines.length > 0" class="below">
        <Button
          v-if="hasEarlier"
          severity="secondary"
          outlined
          label="Earlier classes"
          :loading="isAsking"
          @click="goOn"
        />
        <Button
          class="export"
          severity="secondary"
          text
          size="small"
          icon="pi pi-download"
          label="Export as CSV"
          :loading="isExporting"
          @click="exportCsv"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.by {
  margin-left: 10px;
  color: var(--ink-soft);
  font-weight: 400;
  white-space: nowrap;
}
header {
  margin-bottom: 14px;
}
nav {
  display: flex;
  gap: 18px;
}
.wish {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(126px, 1fr));
  gap: 8px 12px;
  align-items: end;
  margin-bottom: 14px;
}
/* Fields, choices and days stand in one row. */
.wish :deep(input),
.wish :deep(.p-select) {
  height: 38px;
}
.wish :is(label, :deep(.label)) {
  display: block;
  margin-bottom: 2px;
  font-size: 14px;
  line-height: 1.3;
  color: var(--ink-soft);
}
.deleted,
.none {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 10px;
}
.below {
  display: flex;
  align-items: center;
  margin-top: 14px;
}
.export {
  margin-left: auto;
}
</style>
