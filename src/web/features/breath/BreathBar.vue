<script setup lang="ts">
import SaveAndSteps from '#web/shared/session/SaveAndSteps.vue'
import { useBreath } from './use-breath.ts'

const { document, undo, redo } = useBreath()
</script>

<template>
  <template v-if="document">
    <i class="room" aria-hidden="true" />
    <SaveAndSteps @undo="undo" @redo="redo" />
  </template>
</template>

<style scoped>
.room {
  flex: 1;
}
</style>
