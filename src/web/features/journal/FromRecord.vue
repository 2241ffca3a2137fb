<script setup lang="ts">
import Button from 'primevue/button'
import type { LedClass } from '#model/led-class'
import { proposalWords } from '#words/drift'
import NextTimeField from '#web/shared/session/NextTimeField.vue'
import { useFromRecord } from './use-from-record.ts'

/** The plan from the record: a version as it was led, or what to change of the session, one by one. */
const { led } = defineProps<{ led: LedClass }>()
const { problem, proposals, taken, mayUndo, mayBeVersion, makeVersion, take, undo } = useFromRecord(led)
</script>

<template>
  <section aria-labelledby="from-record">
    <h2 id="from-record">For the plan</h2>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="taken" class="taken" role="status">
      Taken: {{ proposalWords(taken.proposal) }}.
      <Button v-if="mayUndo" size="small" text severity="secondary" icon="pi pi-undo" label="Undo" @click="undo" />
      <RouterLink :to="{ name: 'plan', params: { id: led.sessionId } }">Open the plan</RouterLink>
    </p>
    <p v-if="proposals.length > 0" class="soft">What this class speaks for, each by itself:</p>
    <ul v-if="proposals.length > 0" class="proposals" aria-label="What to change">
      <li v-for="proposal in proposals" :key="`${proposal.drift.blockId} ${proposal.drift.part}`">
        <span>{{ proposalWords(proposal) }}</span>
        <Button
          size="small"
          severity="secondary"
          outlined
          label="Take it"
          :aria-label="`Take it: ${proposalWords(proposal)}`"
          @click="take(proposal)"
        />
      </li>
    </ul>
    <p v-else-if="mayBeVersion && !taken">Nothing of the plan wants a change after this class.</p>
    <NextTimeField class="version" :session-id="led.sessionId" />
    <Button
      v-if="mayBeVersion"
      class="version"
      size="small"
      severity="secondary"
      outlined
      label="Make a version as it was led"
      @click="makeVersion"
    />
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
.soft {
  color: var(--ink-soft);
  font-size: 15px;
}
.taken,
li {
  display: flex;
  align-items: center;
  gap: 12px;
}
.proposals {
  max-width: 640px;
}
li {
  justify-content: space-between;
  padding: 5px 0;
  border-top: 1px solid var(--line-soft);
}
.version {
  margin-top: 8px;
}
</style>
