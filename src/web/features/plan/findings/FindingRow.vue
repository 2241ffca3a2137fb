<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { locksLead } from '#core/checks'
import type { Judged } from '#core/finding'
import { formatMs } from '#core/units'
import { dayText } from '#words/dates'
import { findingGradeNames } from '#words/grades'
import { usePlan } from '../use-plan.ts'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import SetAsideForm from '#web/shared/findings/SetAsideForm.vue'
import { useFindings } from './use-findings.ts'
import type { Looked } from './use-findings.ts'

/** A finding: its number, why, where, its mend, and setting it aside with a reason. */
const props = defineProps<{ judged: Judged<Looked> }>()
const { nameOf, timeline } = usePlan()
const { wordsOf, mend, setAside, takeBack, goTo } = useFindings()

const finding = computed(() => props.judged.finding)
const words = computed(() => wordsOf(finding.value))
const place = computed(() => {
  const { blockId, atMs } = finding.value.place
  if (blockId === undefined) return ''
  const at = atMs ?? timeline.value?.blocks.find(({ block }) => block.block.id === blockId)?.startMs
  return at === undefined ? nameOf(blockId) : `${nameOf(blockId)}, at ${formatMs(at)}`
})
const asideOn = computed(() => (props.judged.aside ? dayText(props.judged.aside.at) : ''))

const asking = ref(false)
</script>

<template>
  <li class="finding" :class="{ aside: judged.aside }">
    <FindingMark :grade="finding.grade" />
    <div class="says">
      <p>
        <b
          ><span class="visually-hidden">{{ findingGradeNames[finding.grade] }}: </span>{{ `${words.title} ` }}</b
        >
        <button v-if="place" type="button" class="place" @click="goTo(finding)">{{ place }}</button>
      </p>
      <p class="why">{{ words.reason }}</p>
      <p v-if="judged.isBack" class="back">It was set aside; its numbers have changed since.</p>
      <p v-if="judged.aside" class="back">Set aside on {{ asideOn }}: {{ judged.aside.reason }}</p>
      <SetAsideForm v-if="asking" @reason="setAside(finding, $event)" @leave="asking = false" />
    </div>
    <div class="acts">
      <Button
        v-if="words.mend && (finding.mend || 'setUp' in finding || 'ofClass' in finding) && !judged.aside"
        size="small"
        severity="secondary"
        outlined
        :label="words.mend"
        @click="mend(finding)"
      />
      <Button v-if="judged.aside" size="small" text severity="secondary" label="Take back" @click="takeBack(finding)" />
      <Button
        v-else-if="!asking && !locksLead(finding)"
        size="small"
        text
        severity="secondary"
        label="Set aside"
        :aria-label="`Set aside: ${words.title}`"
        @click="asking = true"
      />
    </div>
  </li>
</template>

<style scoped>
.finding {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
  padding: 8px 0;
  border-top: 1px solid var(--line-soft);
}
.finding > svg {
  margin-top: 4px;
}
.place {
  padding: 0 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.why,
.back {
  font-size: 15px;
  color: var(--ink-soft);
}
.back {
  color: inherit;
}
.aside .says b {
  font-weight: 500;
}
.acts {
  display: flex;
  gap: 4px;
}
</style>
