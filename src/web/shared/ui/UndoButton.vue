<script setup lang="ts">
import Button from 'primevue/button'

/** Takes back the last change of what a view keeps by itself, where there is one. */
defineProps<{ steps: number; words: string }>()
const emit = defineEmits<{ undo: [] }>()
</script>

<template>
  <Button
    text
    severity="secondary"
    icon="pi pi-undo"
    :disabled="steps === 0"
    :aria-label="steps > 0 ? words : 'Nothing to undo'"
    :title="words"
    @click="emit('undo')"
  />
</template>
