<script setup lang="ts">
import Button from 'primevue/button'
import type { Source } from '#core/session'
import { betweenLimits } from '#model/limits'
import DurationField from '#web/shared/ui/DurationField.vue'

/** One time around a block, with where it comes from and, where it is set here, the way back to that. */
defineProps<{ name: string; seconds: number; from: Source; made?: string | undefined }>()
const emit = defineEmits<{ change: [seconds: number]; usual: [] }>()

const sourceWords: Readonly<Record<Source, string>> = {
  block: 'set here',
  person: 'kept for them',
  session: 'set for the session',
  'own pose': 'your own pose',
  learned: 'learned',
  shipped: 'usual',
  position: 'by the position before',
  props: 'by what is laid',
  school: 'by the school',
  rule: 'half the first',
}
</script>

<template>
  <div class="row">
    <span class="what"
      >{{ name }} <small>· {{ sourceWords[from] }}</small
      ><small v-if="made" class="made">{{ made }}</small></span
    >
    <Button
      v-if="from === 'block'"
      class="back"
      text
      size="small"
      severity="secondary"
      icon="pi pi-undo"
      :aria-label="`${name}: take the usual time again`"
      title="Take the usual time again"
      @click="emit('usual')"
    />
    <DurationField
      class="time"
      hide-label
      :label="name"
      :seconds="seconds"
      :limits="betweenLimits"
      @change="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 1.5px 0;
}
.what {
  flex: 1;
  min-width: 0;
}
.time {
  flex: 0 0 78px;
}
.time :deep(input) {
  padding: 2px 8px;
  text-align: right;
  font-weight: 650;
}
.back {
  width: 26px;
  height: 26px;
  padding: 0;
}
.made {
  display: block;
  line-height: 1.15;
}
small {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
