<script setup lang="ts">
import { onMounted, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { anyRunning } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { sendUnsent } from '#web/shared/lead/send-unsent.ts'

/** A class whose window was closed waits here until it is taken up again. */
const route = useRoute()
const running = shallowRef<RunningClass>()
watch(
  () => route.fullPath,
  async () => {
    running.value = await anyRunning()
  },
  { immediate: true },
)
// What the server did not get when a class ended waits for the next opening.
onMounted(() => void sendUnsent())
</script>

<template>
  <RouterLink v-if="running" class="running" :to="{ name: 'lead', params: { id: running.sessionId } }"
    >{{ running.start.document.name }} is running: go back to it</RouterLink
  >
</template>

<style scoped>
.running {
  padding: 5px 12px;
  border-radius: 6px;
  background: var(--chosen);
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
