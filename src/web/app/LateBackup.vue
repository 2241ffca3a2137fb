<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import { isBackupLate } from '#web/shared/api/backups.ts'

/** Says in the bar that the backup of the day was not made. */
const isLate = ref(false)
async function look(): Promise<void> {
  isLate.value = await isBackupLate()
}
onMounted(look)
useIntervalFn(() => void look(), 15 * 60_000)
</script>

<template>
  <RouterLink v-if="isLate" class="late" :to="{ name: 'backups' }">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" /> No backup today
  </RouterLink>
</template>

<style scoped>
.late {
  padding: 5px 11px;
  border: 1px solid var(--chosen);
  border-radius: 6px;
  color: var(--chosen);
  font-weight: 650;
  text-decoration: none;
  white-space: nowrap;
}
</style>
