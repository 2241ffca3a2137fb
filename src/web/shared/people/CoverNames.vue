<script setup lang="ts">
import Button from 'primevue/button'
import { useNames } from './names.ts'

/** Covers every name in this window, or shows them again: for when somebody else can see the screen. */
const { covered, cover } = useNames()
</script>

<template>
  <Button
    text
    severity="secondary"
    size="small"
    :icon="covered ? 'pi pi-eye' : 'pi pi-eye-slash'"
    :label="covered ? 'Show names' : 'Cover names'"
    title="Names cover themselves after a minute in which nothing is touched (H)"
    @click="cover(!covered)"
  />
</template>
