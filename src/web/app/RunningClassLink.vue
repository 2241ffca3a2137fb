<script setup lang="ts">
import { onMounted, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { anyRunning } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import type { ClassNow } from '#model/device'
import { readClassNow } from '#web/shared/api/now.ts'
import { deviceId } from '#web/shared/lead/device-id.ts'
import { sendUnsent } from '#web/shared/lead/send-unsent.ts'

/** A class whose window was closed waits here until it is taken up again; one that another device leads is told too. */
const route = useRoute()
const running = shallowRef<RunningClass>()
const elsewhere = shallowRef<ClassNow>()
/** One that this browser led itself and has nothing of any more is no other device’s. */
async function ledElsewhere(): Promise<ClassNow | undefined> {
  const reply = await readClassNow()
  const now = reply.kind === 'ok' ? reply.value : null
  return now?.leads && now.leads.by !== deviceId() && now.leads.isInTouch ? now : undefined
}
watch(
  () => route.fullPath,
  async () => {
    running.value = await anyRunning()
    elsewhere.value = running.value ? undefined : await ledElsewhere()
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
  <RouterLink v-else-if="elsewhere" class="running" :to="{ name: 'lead', params: { id: elsewhere.sessionId } }"
    >{{ elsewhere.name }} is led on another device</RouterLink
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
