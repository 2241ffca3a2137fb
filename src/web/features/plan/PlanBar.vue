<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { formatDuration, formatMs } from '#core/units'
import SaveAndSteps from '#web/shared/session/SaveAndSteps.vue'
import { showFits } from './dialogs.ts'
import { gaugeOf } from './gauge.ts'
import { usePlan } from './use-plan.ts'

const { document, timeline, undo, redo } = usePlan()

const gauge = computed(() =>
  timeline.value && document.value ? gaugeOf(timeline.value, document.value.lengthS) : undefined,
)
</script>

<template>
  <template v-if="document">
    <div v-if="gauge" class="gauge">
      <p class="time" data-testid="gauge">
        <b>{{ formatMs(timeline?.totalMs ?? 0) }}</b> of {{ formatDuration(document.lengthS)
        }}<span class="visually-hidden"> · </span><span class="spare">{{ gauge.words }}</span>
      </p>
      <div class="bar" role="img" :aria-label="gauge.label">
        <i
          v-for="part in gauge.parts"
          :key="part.kind"
          :class="part.kind"
          :style="{ width: `${part.percent}%` }"
          :title="part.words"
        />
        <u v-if="gauge.wantedPercent < 100" :style="{ left: `${gauge.wantedPercent}%` }" />
      </div>
    </div>
    <SaveAndSteps @undo="undo" @redo="redo" />
    <Button
      v-if="gauge && document.blocks.length > 0"
      class="fit"
      text
      label="Fit"
      title="Make it fit (F)"
      @click="showFits()"
    />
  </template>
</template>

<style scoped>
.fit {
  padding: 6px 10px;
  color: #edf1ec !important;
}
.fit:hover {
  background: #33443f;
  color: #fff;
}
.gauge {
  flex: 0 1 330px;
  min-width: 0;
}
.time {
  display: flex;
  gap: 5px;
  font-size: 15px;
  white-space: nowrap;
}
.spare {
  margin-left: auto;
  overflow: hidden;
  text-overflow: ellipsis;
}
.bar {
  position: relative;
  display: flex;
  height: 9px;
  margin-top: 4px;
  background: #33443f;
  border-radius: 2px;
}
.bar i {
  border-right: 1px solid var(--ink);
}
.bar u {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: #fff;
}
.hold {
  background: #8c9a57;
}
.breath {
  background: #9b7ab5;
}
.movement {
  background: #6f97a3;
}
.rest {
  background: #d9d6b4;
}
.talk {
  background: #b9ba9c;
}
.between {
  background: #8fa096;
}
/* Zoomed in, the sum and the bar are what must stay. */
@media (max-width: 900px) {
  .gauge {
    flex: 1 1 120px;
  }
  .spare {
    display: none;
  }
}
</style>
