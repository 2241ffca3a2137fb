<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nanoid } from 'nanoid'
import { ref } from 'vue'
import { textLimits } from '#model/limits'
import { nextTimeEdit } from '#core/session'
import NameTyped from '#web/shared/people/NameTyped.vue'
import { useSessionStore } from './session-store.ts'

/** Writes down what to think of next time: it stands at the head of the plan and before Start until it is ticked. */
const { sessionId, label = 'For next time' } = defineProps<{ sessionId: string; label?: string }>()
const store = useSessionStore()
const typed = ref('')
const told = ref('')

async function write(): Promise<void> {
  told.value = ''
  await store.open(sessionId)
  const { document } = store
  if (document?.id !== sessionId) {
    told.value = 'The session is not here any more, or Zovrin’s server does not answer: nothing was written down.'
    return
  }
  const text = typed.value.trim()
  const edit = nextTimeEdit(document, { id: nanoid(), text })
  if (!edit) {
    told.value =
      text === '' ? 'Write what to think of first.' : 'There are twenty notes for next time: tick one of them first.'
    return
  }
  if (!store.edit(edit, `note “${text}” for next time`)) {
    told.value = store.passed ?? 'The note could not be written into the session. Try it again.'
    return
  }
  typed.value = ''
  told.value = `It stands at the head of the plan of ${document.name}, and before Start.`
}
</script>

<template>
  <form class="next" @submit.prevent="write">
    <label :for="`next-time-${sessionId}`">{{ label }}</label>
    <div>
      <InputText :id="`next-time-${sessionId}`" v-model="typed" fluid :maxlength="textLimits.line" />
      <Button type="submit" size="small" severity="secondary" outlined label="Note it" />
    </div>
    <NameTyped :text="typed" @change="typed = $event" />
    <p v-if="told" role="status">{{ told }}</p>
  </form>
</template>

<style scoped>
.next {
  margin-top: 8px;
}
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
div {
  display: flex;
  gap: 8px;
}
div :deep(.p-button) {
  flex: none;
}
p {
  font-size: 15px;
}
</style>
