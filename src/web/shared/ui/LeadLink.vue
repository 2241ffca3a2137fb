<script setup lang="ts">
/** The main action of a session's views: to lead it. */
defineProps<{ sessionId: string }>()
</script>

<template>
  <RouterLink class="lead" :to="{ name: 'lead', params: { id: sessionId } }">Lead</RouterLink>
</template>

<style scoped>
.lead {
  padding: 7px 14px;
  border-radius: 8px;
  background: var(--chosen);
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.lead:hover {
  background: #f0c675;
}
</style>
