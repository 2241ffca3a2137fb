<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Session } from '#model/session'
import { compareSessions } from '#core/session'
import { formatDuration, sessionLimits } from '#core/units'
import { createSession, readSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { differenceWords } from '#web/shared/session/difference-words.ts'
import DurationField from '#web/shared/ui/DurationField.vue'
import Part from './Part.vue'

/** Versions of a session at another length, linked to it; a version says what it changed. */
const props = defineProps<{ session: Session }>()
const router = useRouter()
const own = useOwnStore()
const wantedS = ref(props.session.lengthS > 1800 ? 1200 : 3600)
const problem = ref('')
const original = shallowRef<Session>()
const isGone = ref(false)

watch(
  () => props.session.versionOf?.sessionId,
  async (id) => {
    original.value = undefined
    isGone.value = false
    if (id === undefined) return
    const reply = await readSession(id)
    if (reply.kind === 'ok') original.value = reply.value
    isGone.value = reply.kind === 'problem'
  },
  { immediate: true },
)
const changes = computed(() => (original.value ? compareSessions(original.value, props.session).map((one) => differenceWords(one, own.catalog)) : []))

async function make(): Promise<void> {
  const name = `${props.session.name.slice(0, 96)}, ${String(Math.round(wantedS.value / 60))} minutes`
  // Blocks keep their ids, so that the two can be held against each other.
  const version: Session = { ...structuredClone(props.session), id: nanoid(), name, lengthS: wantedS.value, versionOf: { sessionId: props.session.id } }
  const reply = await createSession(version)
  if (reply.kind === 'ok') await router.push({ name: 'plan', params: { id: version.id } })
  else problem.value = reply.kind === 'away' ? 'Zovrin’s server does not answer, so no version was made. Start it and try again.' : reply.problem.detail
}
</script>

<template>
  <Part title="Versions" note="of the same session at another length">
    <template v-if="original">
      <p data-testid="version-of">A version of <RouterLink :to="{ name: 'plan', params: { id: original.id } }">{{ original.name }}</RouterLink>, {{ formatDuration(original.lengthS) }}.</p>
      <ul v-if="changes.length > 0" class="changes"><li v-for="text in changes" :key="text">{{ text }}</li></ul>
    </template>
    <p v-else-if="isGone" class="note">The session it was made from has been deleted.</p>
    <div class="make">
      <DurationField label="Length of a new version" :seconds="wantedS" :limits="sessionLimits" @change="wantedS = $event" />
      <Button size="small" severity="secondary" outlined label="Make it" @click="make" />
    </div>
    <p class="note">It begins as a copy with that length to fill; what to shorten or drop is yours to choose.</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </Part>
</template>

<style scoped>
.changes {
  max-height: 180px;
  margin: 4px 0 8px;
  overflow-y: auto;
}
.changes li {
  padding: 1px 0;
}
.make {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: end;
}
.note {
  margin-top: 4px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
</style>
