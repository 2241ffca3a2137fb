<script setup lang="ts">
import SaveAndSteps from './SaveAndSteps.vue'
import { useSessionStore } from './session-store.ts'
import { useTurns } from './use-turns.ts'

/** At the right of the bar in a view of the session: whether it is saved, and its steps back and forth. */
const store = useSessionStore()
const { undo, redo } = useTurns()
</script>

<template>
  <template v-if="store.document">
    <i class="room" aria-hidden="true" />
    <SaveAndSteps @undo="undo" @redo="redo" />
  </template>
</template>

<style scoped>
.room {
  flex: 1;
}
</style>
