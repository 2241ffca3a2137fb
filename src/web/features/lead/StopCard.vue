<script setup lang="ts">
import Button from 'primevue/button'
import { stopCard } from '#words/advice'

defineEmits<{ close: [] }>()
</script>

<template>
  <section class="card" role="dialog" aria-label="Stop signs">
    <h2>{{ stopCard.lead }}</h2>
    <ul>
      <li v-for="sign in stopCard.signs" :key="sign">{{ sign }}</li>
    </ul>
    <p>{{ stopCard.comingOut }}</p>
    <p>
      <b>{{ stopCard.emergency }}</b>
    </p>
    <Button severity="secondary" outlined label="Close" @click="$emit('close')" />
  </section>
</template>

<style scoped>
/* Beside the stage, never over it: the clock and Breathe freely stay in sight. */
.card {
  min-height: 0;
  overflow-y: auto;
  padding: 18px 22px;
  background: var(--sheet);
  border-top: 6px solid #d0506c;
  border-left: 1px solid var(--line);
  display: grid;
  align-content: start;
  gap: 10px;
  font-size: 20px;
}
h2 {
  font-size: 22px;
}
li {
  list-style: square;
  margin: 0 0 6px 20px;
}
.card :deep(.p-button) {
  min-height: 44px;
}
</style>
