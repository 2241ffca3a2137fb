<script setup lang="ts">
import { computed } from 'vue'
import type { ScriptNow } from '#core/lead'
import { formatMs } from '#core/units'

/** The sentence to say, how long it is quiet, and the one after it. */
const props = defineProps<{ script: ScriptNow }>()
const quiet = computed(() => {
  const { isSaid, isLongQuiet, quietMs, next } = props.script
  if (isSaid) return ''
  return `${isLongQuiet ? 'long quiet' : 'quiet'} ${formatMs(quietMs)}${next ? '' : ' to the end'}`
})
</script>

<template>
  <div class="script-says" data-testid="script">
    <p class="label">
      {{ script.says === undefined ? 'The script begins soon' : `Say, ${script.at} of ${script.of}` }}
    </p>
    <p class="sentence" :class="{ said: !script.isSaid }">{{ script.says }}</p>
    <p class="quiet" data-testid="script-quiet">{{ quiet }}</p>
    <p v-if="script.next" class="then"><span class="label">then</span> {{ script.next.text }}</p>
  </div>
</template>

<style scoped>
.script-says {
  margin-bottom: 26px;
}
.sentence {
  font-size: clamp(26px, 2.8vw, 38px);
  font-weight: 600;
  line-height: 1.18;
}
/* What was said stays in sight, so that the eye finds its place again. */
.said {
  color: var(--ink-soft);
  font-weight: 400;
}
.quiet {
  min-height: 1.3em;
  margin: 8px 0;
  font-size: clamp(26px, 2.8vw, 38px);
  font-weight: 650;
}
.then {
  font-size: clamp(20px, 2.1vw, 28px);
  line-height: 1.2;
  color: var(--ink-soft);
}
@media (max-width: 800px) {
  .sentence,
  .quiet {
    font-size: clamp(24px, 4.2vw, 36px);
  }
}
@media (max-width: 500px) {
  .quiet {
    margin: 2px 0;
  }
}
</style>
