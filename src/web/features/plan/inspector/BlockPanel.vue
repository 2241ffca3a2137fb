<script setup lang="ts">
import Button from 'primevue/button'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { useTimeoutFn } from '@vueuse/core'
import { thingsIn } from '#core/journal'
import { practisedIn } from '#core/cautions'
import type { Resolved } from '#core/session'
import { usePlan } from '../use-plan.ts'
import AroundPanel from './AroundPanel.vue'
import BreathPanel from './BreathPanel.vue'
import ClosingPanel from './ClosingPanel.vue'
import HoldPanel from './HoldPanel.vue'
import KeepPiece from '#web/shared/own/KeepPiece.vue'
import { useLastTaught } from '#web/shared/shelf/last-taught-store.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import LastTaught from '#web/shared/shelf/LastTaught.vue'
import MovementPanel from './MovementPanel.vue'
import PriorityPart from './PriorityPart.vue'
import RestPanel from './RestPanel.vue'
import TalkPanel from './TalkPanel.vue'

/** One block: what it is by its kind, and what can be done with any. */
const props = defineProps<{ resolved: Resolved; count: number }>()

/** The cautions come on demand: their texts are many and the first look at a plan does not need them. */
const CautionList = defineAsyncComponent(() => import('#web/shared/cautions/CautionList.vue'))

/** Scripts and their editor are for few blocks. */
const ScriptPart = defineAsyncComponent(() => import('../script/ScriptPart.vue'))

/** For houses with several teachers. */
const BlockRemarks = defineAsyncComponent(() => import('../remarks/BlockRemarks.vue'))
const who = useWhoStore()

const { document, chosenSpan, nameOf, remove, duplicate, moveBy, tell } = usePlan()

const panels = {
  talk: TalkPanel,
  hold: HoldPanel,
  movement: MovementPanel,
  breath: BreathPanel,
  rest: RestPanel,
  closing: ClosingPanel,
}

/** While the choice walks on from block to block only the name follows it; the panel comes when it rests. */
const restsAfterMs = 100
const change = computed(() => chosenSpan.value?.change)
const practised = computed(() => practisedIn(props.resolved))
const id = computed(() => props.resolved.block.id)
const rested = ref(true)
const { start: restLater } = useTimeoutFn(() => (rested.value = true), restsAfterMs, { immediate: false })
watch(id, () => {
  rested.value = false
  restLater()
})
const lastTaught = useLastTaught()
onMounted(() => void lastTaught.load())

const isFirst = computed(() => props.resolved.index === 0)
const isLast = computed(() => {
  const blocks = document.value?.blocks ?? []
  return props.resolved.index >= blocks.length - (blocks.at(-1)?.kind === 'closing' ? 2 : 1)
})
</script>

<template>
  <p class="eyebrow">Block {{ resolved.index + 1 }} of {{ count }}</p>
  <h1 v-if="!rested">{{ nameOf(id) }}</h1>
  <component :is="panels[resolved.kind]" v-else :key="id" :resolved="resolved as never">
    <template #cautions><CautionList v-if="practised" :practised="practised" /></template>
    <AroundPanel v-if="resolved.kind !== 'talk' && change" :resolved="resolved" :change="change" />
  </component>
  <BlockRemarks v-if="rested && who.kind !== 'alone'" :key="`remarks ${id}`" :block-id="id" />
  <ScriptPart v-if="rested && 'script' in resolved" :key="`script ${id}`" :resolved="resolved" />
  <PriorityPart v-if="rested && resolved.kind !== 'closing'" :block="resolved.block" />
  <LastTaught v-if="rested" class="taught" :things="thingsIn(resolved.block)" />
  <div v-if="rested" class="acts">
    <Button
      v-if="resolved.kind !== 'closing'"
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-arrow-up"
      :disabled="isFirst"
      :aria-label="`Move ${nameOf(id)} up`"
      title="Move up (Alt + ↑)"
      @click="moveBy([id], -1)"
    />
    <Button
      v-if="resolved.kind !== 'closing'"
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-arrow-down"
      :disabled="isLast"
      :aria-label="`Move ${nameOf(id)} down`"
      title="Move down (Alt + ↓)"
      @click="moveBy([id], 1)"
    />
    <Button
      v-if="resolved.kind !== 'closing'"
      size="small"
      severity="secondary"
      outlined
      label="Duplicate"
      @click="duplicate(id)"
    />
    <Button size="small" severity="secondary" outlined label="Remove" @click="remove(id)" />
    <KeepPiece :key="id" :blocks="[resolved.block]" @kept="tell" />
  </div>
</template>

<style scoped>
.eyebrow {
  font-size: 14px;
  color: var(--ink-soft);
}
.taught {
  margin-top: 14px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
</style>
