<script setup lang="ts">
import { computed } from 'vue'
import { comfortWords } from '#web/shared/figures/comfort-words.ts'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import { useProps } from './use-props.ts'

/** What the session's set-ups want looked at, worst first; pressing it goes there. */
const { toLookAt, chosenKey, unit } = useProps()
const worst = computed(() => toLookAt.value.find(({ finding }) => finding.grade === 'must') ?? toLookAt.value[0])
const counted = computed(() => {
  const musts = toLookAt.value.filter(({ finding }) => finding.grade === 'must').length
  const looks = toLookAt.value.length - musts
  return [musts > 0 ? `${String(musts)} must be mended` : '', looks > 0 ? `${String(looks)} to look at` : ''].filter((part) => part !== '').join(', ')
})
</script>

<template>
  <button v-if="worst" type="button" class="findings" @click="chosenKey = worst.used.key">
    <FindingMark :grade="worst.finding.grade" /><b>{{ counted }}</b> <span class="first">{{ worst.used.name }}: {{ comfortWords(worst.finding, unit).title }}</span>
  </button>
  <span v-else>No set-up needs a look</span>
  <span class="advice">Zovrin gives no medical advice: a doctor or licensed therapist decides.</span>
</template>

<style scoped>
.findings {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
  padding: 2px 6px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  white-space: nowrap;
  cursor: pointer;
}
.findings:hover {
  text-decoration: underline;
}
.first {
  overflow: hidden;
  text-overflow: ellipsis;
}
.advice {
  color: #4b5854;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
