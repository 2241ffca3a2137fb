<script setup lang="ts">
import SaveAndSteps from '#web/shared/session/SaveAndSteps.vue'
import { useProps } from './use-props.ts'

const { store, undo, redo } = useProps()
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
