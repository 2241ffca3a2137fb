<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { computed, defineAsyncComponent, watch } from 'vue'
import { usePlan } from '../use-plan.ts'
import SessionPanel from './SessionPanel.vue'
import WhatMoved from './WhatMoved.vue'

/** Not needed before a block is chosen; fetched right after the first look, so that they are there when the server is not. */
const later = { block: () => import('./BlockPanel.vue'), several: () => import('./SeveralPanel.vue') }
const BlockPanel = defineAsyncComponent(later.block)
const SeveralPanel = defineAsyncComponent(later.several)
// With the server away they are asked for again when a block is chosen.
useTimeoutFn(() => void Promise.all([later.block(), later.several()]).catch(() => undefined), 400)

const { store, document, chosenIds, chosenSpan } = usePlan()
const resolved = computed(() => chosenSpan.value?.block)
watch(
  () => resolved.value?.block.id,
  () => (store.passed = undefined),
)
</script>

<template>
  <WhatMoved />
  <p v-if="store.passed" class="passed" role="alert">{{ store.passed }}</p>
  <SeveralPanel v-if="chosenIds.length > 1" />
  <BlockPanel v-else-if="resolved && document" :resolved="resolved" :count="document.blocks.length" />
  <SessionPanel v-else-if="document" :session="document" />
</template>

<style scoped>
.passed {
  margin-bottom: 10px;
  padding: 6px 10px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
  font-size: 15px;
}
</style>
