<script setup lang="ts">
import Button from 'primevue/button'
import { useWhatMoved } from '../use-what-moved.ts'

/** What the records of led classes moved in this plan, until the teacher has seen it. */
const { words, take } = useWhatMoved()
</script>

<template>
  <p v-if="words" class="moved" role="status">
    {{ words }}
    <span class="acts">
      <Button size="small" severity="secondary" outlined label="So it is" @click="take" />
      <RouterLink :to="{ name: 'times' }">Your times</RouterLink>
    </span>
  </p>
</template>

<style scoped>
.moved {
  margin-bottom: 10px;
  padding: 6px 10px;
  border: 1px solid var(--line);
  border-left: 5px solid var(--edge);
  border-radius: 4px;
  font-size: 15px;
}
.acts {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 6px;
}
</style>
