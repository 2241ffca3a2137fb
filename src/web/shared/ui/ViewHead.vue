<script setup lang="ts">
/** The head of a view's middle: what is looked at, a line or two about it, and what is done with the whole of it. */
defineProps<{ titleId?: string; title: string }>()
</script>

<template>
  <header class="view-head">
    <div>
      <h1 :id="titleId">{{ title }}</h1>
      <slot name="about" />
    </div>
    <slot />
  </header>
</template>

<style scoped>
.view-head {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 14px;
}
h1 {
  overflow-wrap: anywhere;
}
/* Darker than what stands on paper: a view's middle may be the ground. */
:slotted(.sub) {
  color: #4b5854;
}
@media print {
  .view-head :slotted(button) {
    display: none;
  }
}
</style>
