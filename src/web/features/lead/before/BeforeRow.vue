<script setup lang="ts">
/** A row of what is looked at before Start: what it is about, and what there is to it. */
defineProps<{ name: string }>()
</script>

<template>
  <section class="row" :aria-label="name">
    <h2>{{ name }}</h2>
    <div class="what"><slot /></div>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 4px 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
h2 {
  padding-top: 3px;
  font-size: 17px;
  font-weight: 500;
  color: var(--ink-soft);
}
.what {
  display: grid;
  gap: 8px;
  min-width: 0;
  font-size: 20px;
}
@media (max-width: 500px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
