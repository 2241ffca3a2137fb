<script setup lang="ts">
import { onBeforeUnmount, onMounted, useTemplateRef } from 'vue'

/** A question over the whole stage, in the platform's own dialog: it takes the focus and gives it back. */
defineProps<{ label: string }>()
const emit = defineEmits<{ escape: [] }>()
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
onMounted(() => dialog.value?.showModal())
// Closing gives the focus back, which taking it out of the page would not.
onBeforeUnmount(() => dialog.value?.close())
</script>

<template>
  <dialog
    ref="dialog"
    class="question"
    role="alertdialog"
    :aria-label="label"
    closedby="none"
    @cancel.prevent
    @keydown.esc="emit('escape')"
  >
    <slot />
  </dialog>
</template>

<style scoped>
.question {
  width: 100vw;
  height: 100dvh;
  max-width: none;
  max-height: none;
  border: 0;
  color: var(--ink);
  background: rgb(16 23 24 / 94%);
  font-size: 24px;
  text-align: center;
}
.question[open] {
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 16px;
}
.question :deep(h2) {
  font-size: 36px;
}
.question :deep(.p-button) {
  min-height: 52px;
  min-width: 260px;
  font-size: 20px;
}
</style>
