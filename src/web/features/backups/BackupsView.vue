<script setup lang="ts">
import { computed } from 'vue'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import HouseBackups from './HouseBackups.vue'
import OpenFiles from './OpenFiles.vue'

/** What is kept of a house beside it, for whoever keeps it; and all of one's own as open files. */
const who = useWhoStore()
/** A server's database is backed up where it is kept. */
const isHouseKept = computed(() => who.kind !== 'accounts' && who.isKeeper)
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Backups</h1>
        <RouterLink :to="{ name: 'sessions' }">Back to the sessions</RouterLink>
      </header>
      <HouseBackups v-if="isHouseKept" />
      <p v-else>Everything of the house is backed up by whoever keeps it. What is yours you can take along as well.</p>
      <OpenFiles />
    </div>
  </div>
</template>
