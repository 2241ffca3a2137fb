<script setup lang="ts">
import { computed } from 'vue'
import { promisedMs } from '#core/lead'
import type { Conducted } from '#core/lead'

/** The whole class along the top, in true minutes: what was led, what is left, and the end that was promised. */
const props = defineProps<{ conducted: Conducted; endsMs: number }>()
const promised = computed(() => promisedMs(props.conducted))
const wholeMs = computed(() => Math.max(props.endsMs, promised.value, 1))
const share = (ms: number): string => `${String((ms / wholeMs.value) * 100)}%`
const nowMs = computed(() => props.conducted.state.nowMs)
</script>

<template>
  <div class="class-line" aria-hidden="true">
    <i class="led" :style="{ width: share(nowMs) }" />
    <i class="left" :style="{ left: share(nowMs), width: share(Math.max(0, endsMs - nowMs)) }" />
    <i class="promised" :style="{ left: share(promised) }" />
  </div>
</template>

<style scoped>
.class-line {
  grid-area: 1 / 1;
  align-self: start;
  position: relative;
  height: 5px;
  background: var(--ground);
}
i {
  position: absolute;
  top: 0;
  height: 100%;
}
.led {
  left: 0;
  background: var(--both);
}
.left {
  background: var(--line);
}
.promised {
  width: 3px;
  margin-left: -3px;
  background: var(--ink);
}
</style>
