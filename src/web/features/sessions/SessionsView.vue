<script setup lang="ts">
import { DateTime } from 'luxon'
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Session } from '#model/session'
import { formatDuration } from '#core/units'
import { createSession, listSessions } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { allKnown } from '#web/shared/session/drafts.ts'
import { practiceChoices } from '#web/shared/ui/choices.ts'

const router = useRouter()
const lines = ref<readonly SessionLine[]>([])
const state = ref<'opening' | 'ready' | 'away'>('opening')
const problem = ref('')

onMounted(async () => {
  const reply = await listSessions()
  if (reply.kind === 'ok') {
    lines.value = reply.value
    state.value = 'ready'
    return
  }
  // With the server away, what this browser has seen can still be opened.
  lines.value = (await allKnown()).map(({ document }) => ({ ...document, savedAt: '' }))
  state.value = 'away'
})

const practiceWords = computed(() => new Map(practiceChoices.map(({ value, words }) => [value, words])))
const when = (savedAt: string) => (savedAt === '' ? '' : DateTime.fromISO(savedAt).toFormat('ccc d LLL yyyy, HH:mm', { locale: 'en' }))

async function begin(): Promise<void> {
  const session: Session = {
    schema: 1,
    id: nanoid(),
    name: 'New session',
    practice: 'mixed',
    level: 'regular',
    lengthS: 3600,
    schoolId: 'mixed',
    blocks: [],
  }
  const reply = await createSession(session)
  if (reply.kind === 'ok') await router.push({ name: 'plan', params: { id: session.id } })
  else problem.value = reply.kind === 'away' ? 'Zovrin’s server does not answer, so no session was made. Start it and try again.' : reply.problem.detail
}
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header>
        <h1>Sessions</h1>
        <Button label="New session" icon="pi pi-plus" @click="begin" />
      </header>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="state === 'away'" class="problem" role="status">Zovrin’s server does not answer. These sessions are kept in this browser and can be worked on; they are saved when it is back.</p>
      <table v-if="lines.length > 0" class="list">
        <thead>
          <tr>
            <th scope="col">Session</th>
            <th scope="col">Practice</th>
            <th scope="col" class="figure">Length</th>
            <th scope="col">Last changed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.id">
            <th scope="row"><RouterLink :to="{ name: 'plan', params: { id: line.id } }">{{ line.name }}</RouterLink></th>
            <td>{{ practiceWords.get(line.practice) }}</td>
            <td class="figure">{{ formatDuration(line.lengthS) }}</td>
            <td>{{ when(line.savedAt) }}</td>
          </tr>
        </tbody>
      </table>
      <div v-else-if="state === 'ready'" class="empty">
        <p>Your sessions stand here. The first one starts empty: choose a length, then put on the spine what the class will do.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 14px;
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
  max-width: 52ch;
}
</style>
