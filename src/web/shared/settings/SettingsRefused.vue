<script setup lang="ts">
import { useSettingsStore } from './settings-store.ts'

/** Where settings are set: why the server did not take them. They stay as they were set in this browser. */
const settings = useSettingsStore()
</script>

<template>
  <p v-if="settings.refused !== ''" class="refused" role="alert">Set in this browser alone: {{ settings.refused }}</p>
</template>

<style scoped>
.refused {
  color: var(--avoid);
}
</style>
