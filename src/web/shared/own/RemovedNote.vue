<script setup lang="ts">
import Button from 'primevue/button'
import { useOwnStore } from './own-store.ts'

/** What was deleted last, and the way back. It takes the focus, since what had it is gone. */
const own = useOwnStore()
</script>

<template>
  <p v-if="own.removed" class="removed" role="status">
    {{ own.removed.name }} is deleted.
    <Button autofocus text size="small" label="Undo" @click="own.bringBack(own.removed.kind, own.removed.id)" />
  </p>
</template>

<style scoped>
.removed {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 20px;
  background: var(--chosen-wash, var(--ground));
  border-bottom: 1px solid var(--line);
}
</style>
