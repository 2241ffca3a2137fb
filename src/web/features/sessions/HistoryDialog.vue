<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, ref, watch } from 'vue'
import type { Session } from '#model/session'
import { compareSessions } from '#core/session'
import { whyNot } from '#web/shared/api/client.ts'
import { keptSession, readSession, saveSession, sessionHistory } from '#web/shared/api/sessions.ts'
import type { KeptLine } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { differenceWords } from '#words/differences'
import { dayTimeText } from '#words/dates'

/** The states of a session that were kept, what differed in each, and a way back to it. */
const props = defineProps<{ id: string; name: string }>()
const emit = defineEmits<{ close: []; broughtBack: [] }>()
const own = useOwnStore()

const lines = ref<readonly KeptLine[]>([])
const now = ref<{ document: Session; version: number }>()
const chosen = ref<KeptLine>()
const kept = ref<Session>()
const problem = ref('')

const reasonWords: Readonly<Record<string, string>> = {
  saved: 'saved',
  conflict: 'put aside when two windows met',
  fit: 'before a fit',
  version: 'before a version was made',
  lead: 'as it stood before a class',
  restored: 'before an older state was brought back',
}
const away = 'Zovrin’s server does not answer. Start it and try again.'

watch(() => props.id, load, { immediate: true })
async function load(): Promise<void> {
  const [history, current] = await Promise.all([sessionHistory(props.id), readSession(props.id)])
  if (history.kind !== 'ok' || current.kind !== 'ok') {
    problem.value = away
    return
  }
  lines.value = history.value
  now.value = { document: current.value, version: current.version }
}

async function look(line: KeptLine): Promise<void> {
  const reply = await keptSession(props.id, line.id)
  if (reply.kind !== 'ok') {
    problem.value = whyNot(reply, away)
    return
  }
  chosen.value = line
  kept.value = reply.value
}
const differences = computed(() =>
  kept.value && now.value
    ? compareSessions(kept.value, now.value.document).map((one) => differenceWords(one, own.catalog))
    : [],
)

async function bringBack(): Promise<void> {
  if (!kept.value || !now.value) return
  const reply = await saveSession(kept.value, now.value.version, 'restored')
  if (reply.kind === 'ok') emit('broughtBack')
  else problem.value = whyNot(reply, away)
}
</script>

<template>
  <Dialog visible modal :header="`History of ${name}`" :style="{ width: '720px' }" @update:visible="emit('close')">
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="lines.length === 0">
      Nothing is kept of this session yet. A state is kept when it is saved, at most every five minutes, and before each
      class.
    </p>
    <div v-else class="two">
      <ul aria-label="Kept states, newest first">
        <li v-for="line in lines" :key="line.id">
          <button type="button" :aria-pressed="chosen?.id === line.id" @click="look(line)">
            {{ dayTimeText(line.keptAt) }}<small>{{ reasonWords[line.reason] ?? line.reason }}</small>
          </button>
        </li>
      </ul>
      <div v-if="chosen" class="differs">
        <h3>Since then</h3>
        <ul v-if="differences.length > 0">
          <li v-for="text in differences" :key="text">{{ text }}</li>
        </ul>
        <p v-else>Nothing has changed.</p>
        <Button v-if="differences.length > 0" label="Bring back this state" @click="bringBack" />
        <p v-if="differences.length > 0" class="note">The state it has now is kept in the history too.</p>
      </div>
      <p v-else class="note">Choose a state to see what has changed since.</p>
    </div>
  </Dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  gap: 22px;
}
.two > ul {
  max-height: 380px;
  overflow-y: auto;
}
.two > ul button {
  width: 100%;
  padding: 7px 10px;
  border: 0;
  border-bottom: 1px solid var(--line-soft);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.two > ul button[aria-pressed='true'] {
  background: var(--chosen-wash);
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.differs {
  display: grid;
  align-content: start;
  gap: 10px;
}
.differs li {
  padding: 2px 0;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
</style>
