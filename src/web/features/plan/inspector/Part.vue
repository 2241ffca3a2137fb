<script setup lang="ts">
/** A titled part of the right pane. */
defineProps<{ title: string; note?: string }>()
</script>

<template>
  <section>
    <h3>
      {{ title }} <small v-if="note">{{ note }}</small>
    </h3>
    <slot />
  </section>
</template>

<style scoped>
section {
  margin-top: 12px;
  padding-top: 8px;
  border-top: 1px solid var(--line-soft);
}
h3 {
  margin-bottom: 4px;
}
small {
  font-weight: 500;
  color: var(--ink-soft);
}
</style>
