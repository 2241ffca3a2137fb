<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { formatDuration, formatMs } from '#core/units'
import { saveWords } from '#words/saving'
import { showFits } from './dialogs.ts'
import { gaugeOf } from './gauge.ts'
import { usePlan } from './use-plan.ts'

const { store, document, timeline, undo, redo } = usePlan()

const gauge = computed(() =>
  timeline.value && document.value ? gaugeOf(timeline.value, document.value.lengthS) : undefined,
)

const undoWords = computed(() => store.stacks.done.at(-1)?.words)
const redoWords = computed(() => store.stacks.undone.at(-1)?.words)
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
    <span class="save" :class="store.state" role="status" :title="store.refusal">{{
      saveWords(store.state, { isKeptHere: !store.draftFailed, isDiskFull: store.isDiskFull })
    }}</span>
    <span class="steps">
      <Button
        text
        icon="pi pi-undo"
        :disabled="undoWords === undefined"
        :aria-label="undoWords ? `Undo: ${undoWords}` : 'Nothing to undo'"
        :title="undoWords ? `Undo: ${undoWords}` : 'Nothing to undo'"
        @click="undo"
      />
      <Button
        text
        icon="pi pi-undo redo"
        :disabled="redoWords === undefined"
        :aria-label="redoWords ? `Redo: ${redoWords}` : 'Nothing to redo'"
        :title="redoWords ? `Redo: ${redoWords}` : 'Nothing to redo'"
        @click="redo"
      />
    </span>
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
.save {
  font-size: 14px;
  color: #c4cfc9;
  white-space: nowrap;
}
.save.retrying,
.save.conflict,
.save.refused {
  color: var(--chosen);
  font-weight: 650;
}
.steps {
  display: flex;
}
.steps :deep(.p-button) {
  padding: 6px;
  width: 34px;
  height: 34px;
}
.steps :deep(.p-button),
.fit {
  color: #edf1ec !important;
}
.fit {
  padding: 6px 10px;
}
.fit:hover,
.steps :deep(.p-button:not(:disabled):hover) {
  background: #33443f;
  color: #fff;
}
.steps :deep(.redo) {
  transform: scaleX(-1);
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
  .spare,
  .save {
    display: none;
  }
}
</style>
