<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { StorageSerializers, useSessionStorage } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { Incident } from '#model/incident'
import { textLimits } from '#model/limits'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { readIncident, writeIncident } from '#web/shared/api/led-classes.ts'
import { useWritten } from './use-written.ts'
import type { Kept } from './use-written.ts'

/** What happened in a class, when, and what was done: written down beside its record, and in nothing that goes out. */
const props = defineProps<{ id: string; version: number }>()
const emit = defineEmits<{ change: [now: { version: number }] }>()

const none: Incident = { at: '', happened: '', done: '' }
const isNone = ({ at, happened, done }: Incident): boolean => `${at}${happened}${done}`.trim() === ''
const incident = shallowRef<Incident>(none)
const isRead = ref(false)
/** What is typed and not yet saved: kept while the window lives, over a reload too. */
const typed = useSessionStorage<Incident | null>(`zovrin.incident.${props.id}`, null, {
  serializer: StorageSerializers.object,
})
async function read() {
  const reply = await readIncident(props.id)
  if (reply.kind !== 'ok') return reply
  return { ...reply, value: { kept: reply.value.incident ?? none, version: reply.value.version } }
}
function take({ kept, version }: Kept<Incident>): void {
  incident.value = isNone(kept) ? none : kept
  isRead.value = true
  if (version !== props.version) emit('change', { version })
}
const { told, isSaving, leave, escape, save } = useWritten<Incident>({
  ...{ what: 'incident', typed, read, take },
  now: () => ({ kept: incident.value, version: props.version }),
  write: (now, based) => writeIncident(props.id, isNone(now) ? null : now, based),
})
onMounted(async () => {
  const reply = await read()
  if (reply.kind === 'ok') take(reply.value)
})
const isThere = computed(() => !isNone(incident.value))
const isEmpty = computed(() => isNone(typed.value ?? none))
</script>

<template>
  <section v-if="isRead" class="incident" :class="{ open: isThere || typed !== null }" aria-label="Incident">
    <template v-if="isThere && (typed === null || told !== '')">
      <h2>Incident</h2>
      <dl>
        <dt>When</dt>
        <dd>{{ incident.at || '—' }}</dd>
        <dt>What happened</dt>
        <dd>{{ incident.happened || '—' }}</dd>
        <dt>What was done</dt>
        <dd>{{ incident.done || '—' }}</dd>
      </dl>
    </template>
    <form v-if="typed !== null" @submit.prevent="save" @keydown.esc="escape">
      <label for="incident-at">When</label>
      <InputText id="incident-at" v-model="typed.at" autofocus fluid :maxlength="textLimits.line" />
      <label for="incident-happened">What happened</label>
      <Textarea id="incident-happened" v-model="typed.happened" fluid rows="3" :maxlength="textLimits.text" />
      <label for="incident-done">What was done, and who was told</label>
      <Textarea id="incident-done" v-model="typed.done" fluid rows="3" :maxlength="textLimits.text" />
      <NameTyped :text="typed.happened" @change="typed.happened = $event" />
      <NameTyped :text="typed.done" @change="typed.done = $event" />
      <p v-if="told !== ''" role="alert">{{ told }}</p>
      <div class="acts">
        <Button
          type="submit"
          size="small"
          :label="isEmpty && isThere ? 'Take the incident away' : 'Save the incident'"
          :disabled="isEmpty && !isThere"
          :loading="isSaving"
        />
        <Button size="small" severity="secondary" outlined label="Leave it" @click="leave" />
      </div>
    </form>
    <Button
      v-else
      ref="opener"
      class="opener"
      text
      size="small"
      severity="secondary"
      icon="pi pi-pencil"
      :label="isThere ? 'Change the incident' : 'Write down an incident'"
      @click="typed = { ...incident }"
    />
    <p v-if="isThere || typed !== null" class="soft">
      Kept with this class alone: it is in no search, no export and not on paper.
    </p>
  </section>
</template>

<style scoped>
.incident.open {
  max-width: 640px;
  margin-top: 12px;
  padding: 8px 12px;
  border: 2px solid var(--line);
  border-radius: 8px;
}
h2 {
  margin: 0;
  font-size: 17px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 14px;
}
dd {
  margin: 0;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
dt,
label,
.soft {
  font-size: 14px;
  color: var(--ink-soft);
}
label {
  display: block;
  margin-top: 6px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.opener {
  margin: 4px 0 0 -10px;
}
@media print {
  .incident {
    display: none;
  }
}
</style>
