<script setup lang="ts">
const advice = 'Zovrin gives no medical advice: a doctor or licensed therapist decides.'
</script>

<template>
  <span class="advice" :title="advice">{{ advice }}</span>
</template>

<style scoped>
.advice {
  color: #4b5854;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
