<script setup lang="ts">
import { computed } from 'vue'
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { lookToWords } from '#words/forms'

/** What some take otherwise here, for the teacher's eye: without a sound, a name, or a number of one. */
const props = defineProps<{ led: LedStart; stage: Exclude<Stage, { is: 'ended' }> }>()
const mostShown = 3
const isArranging = computed(
  () => props.stage.segment.doing.kind === 'change' || props.stage.segment.doing.kind === 'setUp',
)
const lines = computed(() =>
  (props.led.forms ?? [])
    .filter(({ blockId }) => blockId === props.stage.segment.blockId)
    .map((form) => lookToWords(form, isArranging.value))
    .filter((line) => line !== ''),
)
const shown = computed(() => lines.value.slice(0, mostShown))
const more = computed(() => lines.value.length - shown.value.length)
</script>

<template>
  <div v-if="shown.length > 0" class="look-to">
    <p class="label">Look to</p>
    <p v-for="line in shown" :key="line" class="line">{{ line }}</p>
    <p v-if="more > 0" class="label">and {{ more }} more</p>
  </div>
</template>

<style scoped>
.look-to {
  grid-column: 1 / -1;
}
.line {
  font-size: clamp(20px, 2.2vw, 28px);
  line-height: 1.2;
}
</style>

<style>
/* Where both halves are lit as one it has a line of its own under what comes next. */
.stage.both .other:has(.look-to) {
  flex-wrap: wrap;
}
.stage.both .other > .look-to {
  flex-basis: 100%;
  justify-content: center;
  gap: 22px;
}
</style>
