<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import { whatIsWanting } from '#web/shared/api/backups.ts'
import type { Wanting } from '#web/shared/api/backups.ts'

/** Says in the bar what of the house needs somebody: no backup today, or hardly any room left. */
const wanting = ref<Wanting>({ isBackupLate: false, isDiskLow: false })
async function look(): Promise<void> {
  wanting.value = await whatIsWanting()
}
onMounted(look)
useIntervalFn(() => void look(), 15 * 60_000)
</script>

<template>
  <span v-if="wanting.isDiskLow" class="wants" title="Make room on the disk: what is saved soon finds none.">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" /> Disk nearly full
  </span>
  <RouterLink v-if="wanting.isBackupLate" class="wants" :to="{ name: 'backups' }">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" /> No backup today
  </RouterLink>
</template>

<style scoped>
.wants {
  padding: 5px 11px;
  border: 1px solid var(--chosen);
  border-radius: 6px;
  color: var(--chosen);
  font-weight: 650;
  text-decoration: none;
  white-space: nowrap;
}
</style>
