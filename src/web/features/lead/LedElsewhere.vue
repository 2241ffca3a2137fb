<script setup lang="ts">
import Button from 'primevue/button'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { ClassNow } from '#model/device'
import { formatMs } from '#core/units'
import { deviceId } from '#web/shared/lead/device-id.ts'
import LookOn from './look-on/LookOn.vue'

/** A class of this session that is led elsewhere: by which device, how far it is, and leading it from here. */
const props = defineProps<{
  now: ClassNow
  /** How far the server's clock is ahead of this one. */
  aheadMs: number
  /** Why it could not be taken over. */
  mend: string
  epochMs: () => number
}>()
const emit = defineEmits<{ take: []; anew: [] }>()
const at = ref(props.epochMs())
useIntervalFn(() => (at.value = props.epochMs()), 1000)
/** How far the class is in at an instant of this clock. */
const after = (epochMs: number): number => Math.max(0, epochMs + props.aheadMs - props.now.zeroMs)
const inMs = computed(() => after(at.value))
const classMs = (): number => after(props.epochMs())
const isMine = computed(() => props.now.leads?.by === deviceId())
const who = computed(() => props.now.leads?.name ?? 'Another window')
</script>

<template>
  <main class="elsewhere">
    <h1>{{ now.name }}</h1>
    <p v-if="now.leads?.isInTouch" class="who">
      <b>{{ isMine ? 'Another window of this browser' : who }}</b> leads this class, {{ formatMs(inMs) }} in.
    </p>
    <p v-else class="who">
      <b>{{ isMine ? 'This browser' : who }}</b> led this class and is out of touch since
      {{ formatMs(now.conductedMs) }}. By its plan it is {{ formatMs(inMs) }} in.
    </p>
    <p v-if="mend" role="alert" class="mend">{{ mend }}</p>
    <div class="acts">
      <Button class="take" label="Lead from here" @click="emit('take')" />
      <Button
        v-if="!now.leads?.isInTouch"
        severity="secondary"
        outlined
        label="Begin a new class"
        @click="emit('anew')"
      />
      <RouterLink :to="{ name: 'plan', params: { id: now.sessionId } }">Back to Plan</RouterLink>
    </div>
    <p class="note">
      From then on the bells sound here. What is pressed on the other device no longer counts; it is kept beside the
      record.
    </p>
    <LookOn :class-id="now.id" :in-ms="classMs" />
  </main>
</template>

<style scoped>
.elsewhere {
  grid-row: 1 / -1;
  align-self: center;
  justify-self: center;
  max-width: 720px;
  padding: 28px;
  display: grid;
  gap: 16px;
}
h1 {
  font-size: 36px;
}
.who {
  font-size: 26px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
}
.acts :deep(.p-button) {
  min-height: 56px;
  font-size: 20px;
}
.take {
  background: var(--chosen) !important;
  border-color: var(--chosen) !important;
  color: #1d2a2a !important;
}
.note {
  font-size: 17px;
  color: var(--ink-soft);
}
.mend {
  color: var(--left);
  font-size: 18px;
}
</style>
