<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { computed, useId } from 'vue'
import { answersBefore } from '#model/answers'
import { locks } from '#model/section'
import type { Lock, RetentionSection, RoundsSection } from '#model/section'
import { locksInOrder } from '#core/breath'
import { answersIn } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useBreath } from './use-breath.ts'

/** The locks of its held breaths; ticked, they are taken and let go in the order of the session's school. */
const props = defineProps<{ section: RoundsSection | RetentionSection }>()
const { document, put } = useBreath()
const own = useOwnStore()
const id = useId()
const order = computed(
  () => (document.value && answersIn(document.value, own.catalog)?.lockOrder) ?? answersBefore.lockOrder,
)
const has = (lock: Lock): boolean => props.section.locks?.on.includes(lock) ?? false
function turn(lock: Lock, worn: boolean): void {
  const now = locks.filter((one) => (one === lock ? worn : has(one)))
  const { locks: _, ...kept } = props.section
  const taken = locksInOrder(now, order.value)
  put(taken ? { ...kept, locks: taken } : kept)
}
</script>

<template>
  <fieldset>
    <legend>Locks, each a count on and a count off</legend>
    <p v-if="section.locks && section.locks.on.length > 1" class="order">
      Taken {{ section.locks.on.join(', ') }}; let go {{ section.locks.off.join(', ') }}
    </p>
    <label v-for="lock in locks" :key="lock" :for="`${id}-${lock}`">
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
.order {
  flex-basis: 100%;
  font-size: 14px;
  color: var(--ink-soft);
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
