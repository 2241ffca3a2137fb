<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { saveWords } from '#words/saving'
import { useSessionStore } from './session-store.ts'

/** Whether what was done is saved, and the last step to be taken back or done again. */
defineEmits<{ undo: []; redo: [] }>()
const store = useSessionStore()
const undoWords = computed(() => store.stacks.done.at(-1)?.words)
const redoWords = computed(() => store.stacks.undone.at(-1)?.words)
</script>

<template>
  <span class="save" :class="store.state" role="status" :title="store.refusal">{{
    saveWords(store.state, { isKeptHere: !store.draftFailed, isDiskFull: store.isDiskFull })
  }}</span>
  <span class="steps">
    <Button
      text
      icon="pi pi-undo"
      :disabled="undoWords === undefined"
      :aria-label="undoWords ? `Undo: ${undoWords}` : 'Nothing to undo'"
      :title="undoWords ? `Undo: ${undoWords}` : 'Nothing to undo'"
      @click="$emit('undo')"
    />
    <Button
      text
      icon="pi pi-undo redo"
      :disabled="redoWords === undefined"
      :aria-label="redoWords ? `Redo: ${redoWords}` : 'Nothing to redo'"
      :title="redoWords ? `Redo: ${redoWords}` : 'Nothing to redo'"
      @click="$emit('redo')"
    />
  </span>
</template>

<style scoped>
.save {
  font-size: 14px;
  color: #c4cfc9;
  white-space: nowrap;
}
.save.retrying,
.save.conflict,
.save.refused {
  color: var(--chosen);
  font-weight: 650;
}
.steps {
  display: flex;
}
.steps :deep(.p-button) {
  padding: 6px;
  width: 34px;
  height: 34px;
  color: #edf1ec !important;
}
.steps :deep(.p-button:not(:disabled):hover) {
  background: #33443f;
  color: #fff;
}
.steps :deep(.redo) {
  transform: scaleX(-1);
}
/* Zoomed in, there is no room for words. */
@media (max-width: 900px) {
  .save {
    display: none;
  }
}
</style>
