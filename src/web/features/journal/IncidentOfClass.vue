<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { useSessionStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import type { Incident, KeptIncident } from '#model/incident'
import { textLimits } from '#model/limits'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { readIncident, writeIncident } from '#web/shared/api/led-classes.ts'

/** What happened in a class, when, and what was done: written down beside its record, and in nothing that goes out. */
const props = defineProps<{ id: string; version: number }>()
const emit = defineEmits<{ change: [now: { version: number }] }>()

const none: Incident = { at: '', happened: '', done: '' }
const kept = shallowRef<Incident | null>(null)
/** What is typed and not yet saved: kept while the window lives, over a reload too. */
const typed = useSessionStorage<Incident | null>(`zovrin.incident.${props.id}`, null, {
  serializer: { read: (text) => JSON.parse(text) as Incident | null, write: (now) => JSON.stringify(now) },
})
const told = ref('')
const isSaving = ref(false)
const isRead = ref(false)
const opener = useTemplateRef<{ $el: HTMLElement }>('opener')
const away = 'Not saved: Zovrin’s server does not answer. What you wrote stays here; save it again when it does.'

function show({ incident, version }: KeptIncident): void {
  kept.value = incident
  isRead.value = true
  if (version !== props.version) emit('change', { version })
}
onMounted(async () => {
  const reply = await readIncident(props.id)
  if (reply.kind === 'ok') show(reply.value)
})

async function leave(): Promise<void> {
  typed.value = null
  told.value = ''
  await nextTick()
  opener.value?.$el.focus()
}
/** A key alone gives nothing up that was typed. */
async function escape(): Promise<void> {
  const before = kept.value ?? none
  const { at, happened, done } = typed.value ?? none
  if (at === before.at && happened === before.happened && done === before.done) await leave()
  else told.value = 'Not saved yet: Save the incident keeps what you wrote, Leave it gives it up.'
}
const written = computed((): Incident | null => {
  const { at, happened, done } = typed.value ?? none
  return `${at}${happened}${done}`.trim() === ''
    ? null
    : { at: at.trim(), happened: happened.trim(), done: done.trim() }
})

async function save(): Promise<void> {
  const incident = written.value
  isSaving.value = true
  const reply = await writeIncident(props.id, incident, props.version)
  isSaving.value = false
  if (reply.kind === 'ok') {
    show({ incident, version: reply.value.version })
    await leave()
  } else if (reply.kind === 'problem' && reply.problem.code === 'VERSION_STALE') await meet()
  else told.value = reply.kind === 'away' ? away : reply.problem.detail
}
/** Another window wrote of this class meanwhile: what stands there now is shown, and yours is kept until it is saved over it. */
async function meet(): Promise<void> {
  const reply = await readIncident(props.id)
  if (reply.kind === 'ok') show(reply.value)
  told.value =
    'Not saved: this class was written of in another window, and what stands there is shown above. Save puts yours there.'
}
</script>

<template>
  <section v-if="isRead" class="incident" :class="{ open: kept !== null || typed !== null }" aria-label="Incident">
    <template v-if="kept !== null && (typed === null || told !== '')">
      <h2>Incident</h2>
      <dl>
        <dt>When</dt>
        <dd>{{ kept.at || '—' }}</dd>
        <dt>What happened</dt>
        <dd>{{ kept.happened || '—' }}</dd>
        <dt>What was done</dt>
        <dd>{{ kept.done || '—' }}</dd>
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
          :label="written === null && kept !== null ? 'Take the incident away' : 'Save the incident'"
          :disabled="written === null && kept === null"
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
      :label="kept === null ? 'Write down an incident' : 'Change the incident'"
      @click="typed = { ...(kept ?? none) }"
    />
    <p v-if="kept !== null || typed !== null" class="soft">
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
