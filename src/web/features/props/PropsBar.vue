<script setup lang="ts">
import { useSessionStore } from '#web/shared/session/session-store.ts'
import LeadLink from '#web/shared/ui/LeadLink.vue'

const store = useSessionStore()
</script>

<template>
  <template v-if="store.document">
    <RouterLink class="name" :to="{ name: 'sessions' }" :title="`${store.document.name}: open the list of sessions`">{{
      store.document.name
    }}</RouterLink>
    <LeadLink v-if="store.document.blocks.length > 0" :session-id="store.document.id" />
  </template>
</template>

<style scoped>
.name {
  max-width: 40vw;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
</style>
