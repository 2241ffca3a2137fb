<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { ledClassPage } from '#model/limits'
import type { LedClassLine } from '#model/led-class'
import { formatDuration } from '#core/units'
import { dayTimeText } from '#words/dates'
import { listLedClasses } from '#web/shared/api/led-classes.ts'

const lines = ref<readonly LedClassLine[]>([])
const state = ref<'opening' | 'ready' | 'away'>('opening')

/** Whether there are earlier ones than those that are shown. */
const hasEarlier = ref(false)
const isAsking = ref(false)

/** The next page; the first where none is shown yet. */
async function goOn(): Promise<void> {
  isAsking.value = true
  const reply = await listLedClasses(lines.value.at(-1))
  isAsking.value = false
  state.value = reply.kind === 'ok' ? 'ready' : 'away'
  if (reply.kind !== 'ok') return
  lines.value = [...lines.value, ...reply.value]
  hasEarlier.value = reply.value.length === ledClassPage.usual
}
onMounted(goOn)
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header>
        <h1>Journal</h1>
        <RouterLink :to="{ name: 'times' }">Your times</RouterLink>
      </header>
      <p v-if="state === 'away'" role="status">
        Zovrin’s server does not answer, so the journal cannot be read. Start it, then reload this page.
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
            </th>
            <td class="figure">{{ formatDuration(line.plannedS) }}</td>
            <td class="figure">{{ line.endedAt === null ? 'not finished' : formatDuration(line.ledS) }}</td>
            <td class="figure">{{ line.people === 0 ? '' : line.people }}</td>
          </tr>
        </tbody>
      </table>
      <Button
        v-if="hasEarlier"
        class="earlier"
        severity="secondary"
        outlined
        label="Earlier classes"
        :loading="isAsking"
        @click="goOn"
      />
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: 14px;
}
.earlier {
  margin-top: 14px;
}
</style>
