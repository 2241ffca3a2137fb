<script setup lang="ts">
import Button from 'primevue/button'
import { comfortWords, mendWords } from '#words/comfort'
import { findingGradeNames } from '#words/grades'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import { useMends } from './use-mends.ts'
import { useProps } from './use-props.ts'

/** What is not as it should be in this set-up, worst first, each with its number and its mend. */
const { findings, input, kinds, unit, put } = useProps()
const mends = useMends(input)
const wordsOf = (finding: (typeof findings.value)[number]) => comfortWords(finding, unit.value)
</script>

<template>
  <div v-if="findings.length > 0" class="comfort">
    <ul>
      <li v-for="finding in findings" :key="finding.code" :class="{ counted: finding.grade !== 'tip' }">
        <FindingMark :grade="finding.grade" />
        <div>
          <p>
            <b
              ><span class="visually-hidden">{{ findingGradeNames[finding.grade] }}: </span
              >{{ wordsOf(finding).title }}</b
            >
          </p>
          <p class="mend">{{ wordsOf(finding).mend }}</p>
          <div class="one-press">
            <template v-if="!mends">Looking for a mend…</template>
            <Button
              v-else-if="mends[finding.code]"
              size="small"
              severity="secondary"
              outlined
              :label="mendWords(mends[finding.code]!, kinds)"
              @click="put(mends[finding.code]!.items)"
            />
            <template v-else>No single change found that mends it.</template>
          </div>
        </div>
      </li>
    </ul>
    <p class="care">Comfort decides. Stop with pain, numbness or dizziness; ask a professional.</p>
  </div>
</template>

<style scoped>
.comfort {
  margin-top: 8px;
}
li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line-soft);
  font-size: 15.5px;
  line-height: 1.25;
}
li > svg {
  margin-top: 3px;
}
.counted {
  margin: 0 -8px;
  padding: 8px;
  background: #eef1ec;
  border-top: 0;
  border-left: 3px solid var(--ink);
}
.counted + .counted {
  margin-top: 4px;
}
.mend {
  color: #414d4a;
}
/* As high as a button of two lines: what stands below stays where the hand is when a mend is found. */
.one-press {
  display: flex;
  align-items: center;
  min-height: 50px;
  font-size: 14px;
  color: var(--ink-soft);
}
li :deep(.p-button) {
  text-align: left;
  line-height: 1.15;
}
.care {
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
@media print {
  .one-press {
    display: none;
  }
}
</style>
