<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { useSessionStorage } from '@vueuse/core'
import { textLimits } from '#model/limits'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { readLedClass, writeLedNote } from '#web/shared/api/led-classes.ts'
import { useWritten } from './use-written.ts'

/** What the teacher writes of a class, and may change afterwards; all else in its record stays. */
interface Note {
  readonly note: string | null
  readonly version: number
}
const props = defineProps<{ id: string; note: string | null; version: number }>()
const emit = defineEmits<{ change: [now: Note] }>()

/** What is typed and not yet saved: kept while the window lives, over a reload too. */
const typed = useSessionStorage<string | null>(`zovrin.note.${props.id}`, null)
const { told, isSaving, leave, escape, save } = useWritten<string>({
  ...{ what: 'note', typed },
  now: () => ({ kept: props.note ?? '', version: props.version }),
  async read() {
    const reply = await readLedClass(props.id)
    if (reply.kind !== 'ok') return reply
    return { ...reply, value: { kept: reply.value.note ?? '', version: reply.value.version } }
  },
  write: (note, based) => writeLedNote(props.id, note, based),
  take: ({ kept, version }) => {
    emit('change', { note: kept.trim() === '' ? null : kept, version })
  },
})
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
