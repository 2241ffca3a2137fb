<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { useSessionStorage } from '@vueuse/core'
import { nextTick, ref, useTemplateRef } from 'vue'
import { textLimits } from '#model/limits'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { readLedClass, writeLedNote } from '#web/shared/api/led-classes.ts'

/** What the teacher writes of a class, and may change afterwards; all else in its record stays. */
interface Note {
  readonly note: string | null
  readonly version: number
}
const props = defineProps<{ id: string; note: string | null; version: number }>()
const emit = defineEmits<{ change: [now: Note] }>()

/** What is typed and not yet saved: kept while the window lives, over a reload too. */
const typed = useSessionStorage<string | null>(`zovrin.note.${props.id}`, null)
const told = ref('')
const isSaving = ref(false)
const opener = useTemplateRef<{ $el: HTMLElement }>('opener')

async function leave(): Promise<void> {
  typed.value = null
  told.value = ''
  await nextTick()
  opener.value?.$el.focus()
}

/** A key alone gives nothing up that was typed. */
async function escape(): Promise<void> {
  if (typed.value === (props.note ?? '')) await leave()
  else told.value = 'Not saved yet: Save the note keeps what you wrote, Leave it gives it up.'
}

async function save(): Promise<void> {
  const note = typed.value ?? ''
  isSaving.value = true
  const reply = await writeLedNote(props.id, note, props.version)
  isSaving.value = false
  if (reply.kind === 'ok') {
    emit('change', { note: note.trim() === '' ? null : note, version: reply.value.version })
    await leave()
  } else if (reply.kind === 'problem' && reply.problem.code === 'VERSION_STALE') await meet()
  else
    told.value =
      reply.kind === 'away'
        ? 'Not saved: Zovrin’s server does not answer. What you wrote stays here; save it again when it does.'
        : reply.problem.detail
}

/** Another window changed it meanwhile: what it says now is shown, and yours is kept until it is saved over it. */
async function meet(): Promise<void> {
  const reply = await readLedClass(props.id)
  if (reply.kind === 'ok') emit('change', { note: reply.value.note, version: reply.value.version })
  told.value = 'Not saved: the note was changed in another window and says what stands above. Save puts yours there.'
}
</script>

<template>
  <p v-if="note !== null && (typed === null || told !== '')" class="note">{{ note }}</p>
  <form v-if="typed !== null" class="write" @submit.prevent="save" @keydown.esc="escape">
    <label for="class-note">What happened, in a line</label>
    <Textarea
      id="class-note"
      v-model="typed"
      autofocus
      fluid
      rows="3"
      :maxlength="textLimits.text"
      :aria-describedby="told === '' ? undefined : 'class-note-told'"
    />
    <NameTyped :text="typed" @change="typed = $event" />
    <p v-if="told !== ''" id="class-note-told" role="alert">{{ told }}</p>
    <div class="acts">
      <Button type="submit" size="small" label="Save the note" :loading="isSaving" />
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
    :label="note === null ? 'Write a note' : 'Change the note'"
    @click="typed = note ?? ''"
  />
</template>

<style scoped>
.note {
  margin-top: 12px;
  padding: 8px 12px;
  background: var(--rest-wash);
  border-left: 5px solid var(--rest);
  white-space: pre-line;
}
.write {
  margin-top: 12px;
}
label {
  font-size: 14px;
  color: var(--ink-soft);
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
  .opener {
    display: none;
  }
}
</style>
