<script setup lang="ts">
import { useSessionStore } from './session-store.ts'

/** What stands in a session's view while there is none: opening, missing, or the server away. */
const store = useSessionStore()
</script>

<template>
  <div class="away">
    <p v-if="store.opening === 'opening'">Opening the session.</p>
    <template v-else-if="store.opening === 'missing'">
      <h1>This session is not here</h1>
      <p>It may have been removed. <RouterLink to="/sessions">Open the list of sessions</RouterLink>.</p>
    </template>
    <template v-else-if="store.opening === 'unreadable'">
      <h1>This Zovrin does not read this session</h1>
      <p>
        It is kept in a form of its own, probably by a newer Zovrin, and was left as it is. Update Zovrin to open it, or
        <RouterLink to="/sessions">open another one</RouterLink>.
      </p>
    </template>
    <template v-else-if="store.opening === 'away'">
      <h1>Zovrin’s server does not answer</h1>
      <p>
        This session was not opened in this browser before, so nothing of it is kept here. Start the server, then reload
        this page.
      </p>
    </template>
  </div>
</template>

<style scoped>
.away {
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 10px;
  height: 100%;
  background: var(--ground);
  padding: 24px;
  text-align: center;
}
.away p {
  max-width: 46ch;
}
</style>
