<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'
import { locks } from '#model/section'
import type { Lock, RetentionSection, RoundsSection } from '#model/section'
import { useBreath } from './use-breath.ts'

/** The locks of its held breaths, taken and let go in the order of the school that ships. */
const props = defineProps<{ section: RoundsSection | RetentionSection }>()
const { put } = useBreath()
const id = useId()
const order: Readonly<Record<'on' | 'off', readonly Lock[]>> = {
  on: ['chin', 'belly', 'root'],
  off: ['root', 'belly', 'chin'],
}
const has = (lock: Lock): boolean => props.section.locks?.on.includes(lock) ?? false
function turn(lock: Lock, worn: boolean): void {
  const now = locks.filter((one) => (one === lock ? worn : has(one)))
  const { locks: _, ...kept } = props.section
  const among = (which: 'on' | 'off') => order[which].filter((one) => now.includes(one))
  put(now.length === 0 ? kept : { ...kept, locks: { on: among('on'), off: among('off') } })
}
</script>

<template>
  <fieldset>
    <legend>Locks, each a count on and a count off</legend>
    <label v-for="lock in order.on" :key="lock" :for="`${id}-${lock}`">
      <Checkbox
        :input-id="`${id}-${lock}`"
        binary
        :model-value="has(lock)"
        @update:model-value="turn(lock, $event)"
      />{{ lock }}
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  margin: 0 0 14px;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  font-size: 14px;
  color: var(--ink-soft);
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
