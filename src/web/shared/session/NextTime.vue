<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import type { Session } from '#model/session'
import { tickedEdit } from '#core/session'
import { useSessionStore } from './session-store.ts'

/** What was written down for next time, until it is ticked; ticking is an edit as any other, with undo. */
const { session } = defineProps<{ session: Session }>()
const store = useSessionStore()
function tick(id: string, text: string): void {
  store.edit(tickedEdit(session, id), `tick “${text}”`)
}
</script>

<template>
  <ul v-if="session.nextTime" class="next-time" aria-label="For next time">
    <li v-for="note in session.nextTime" :key="note.id">
      <Checkbox
        binary
        :model-value="false"
        :input-id="`next-${note.id}`"
        @update:model-value="tick(note.id, note.text)"
      />
      <label :for="`next-${note.id}`"><b>For next time:</b> {{ note.text }}</label>
    </li>
  </ul>
</template>

<style scoped>
.next-time {
  padding: 6px 16px;
  background: var(--chosen-wash);
  border-bottom: 1px solid var(--line);
}
/* In the dark room nothing shines. */
[data-room='dark'] .next-time {
  background: none;
  border: 1px solid var(--edge);
  border-radius: 6px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 2px 0;
}
label {
  overflow-wrap: anywhere;
}
</style>
