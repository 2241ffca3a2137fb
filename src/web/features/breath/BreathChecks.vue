<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import { useBreath } from './use-breath.ts'
import { useBreathFindings } from './use-breath-findings.ts'

/** What the plan is checked for, of the block that is looked at, each with its mend. */
const { block, chooseSection } = useBreath()
const { findings, wordsOf, mend } = useBreathFindings()
const here = computed(() =>
  findings.value
    .filter(({ place }) => place.blockId === block.value?.id)
    .map((finding) => ({ finding, words: wordsOf(finding), section: sectionOf(finding.facts) })),
)
/** Which section it is about, from 1, where the block has several. */
const sectionOf = (facts: object): number =>
  'section' in facts && typeof facts.section === 'number' && (block.value?.sections.length ?? 0) > 1 ? facts.section : 0
</script>

<template>
  <ul v-if="here.length > 0" class="checks" aria-label="To look at">
    <li v-for="{ finding, words, section } in here" :key="finding.code">
      <FindingMark :grade="finding.grade" />
      <div>
        <p>
          <b>{{ words.title }}</b>
          <button v-if="section > 0" type="button" class="where" @click="chooseSection(section - 1)">
            section {{ section }}
          </button>
        </p>
        <p class="why">{{ words.reason }}</p>
        <Button
          v-if="words.mend && finding.mend"
          class="mend"
          size="small"
          outlined
          severity="secondary"
          :label="words.mend"
          @click="mend(finding)"
        />
      </div>
    </li>
  </ul>
</template>

<style scoped>
.checks {
  display: grid;
  gap: 10px;
  margin: 0 0 14px;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
}
.mend {
  margin-top: 6px;
}
.where {
  padding: 0 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.why {
  color: var(--ink-soft);
}
</style>
