<script setup lang="ts">
import { computed } from 'vue'
import { comfortWords } from '#web/shared/figures/comfort-words.ts'
import FootFindings from '#web/shared/findings/FootFindings.vue'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import { useProps } from './use-props.ts'

/** What the session's set-ups want looked at, worst first; pressing it goes there. */
const { toLookAt, chosenKey, unit } = useProps()
const worst = computed(() => toLookAt.value.find(({ finding }) => finding.grade === 'must') ?? toLookAt.value[0])
const counted = computed(() => {
  const musts = toLookAt.value.filter(({ finding }) => finding.grade === 'must').length
  const looks = toLookAt.value.length - musts
  return [musts > 0 ? `${String(musts)} must be mended` : '', looks > 0 ? `${String(looks)} to look at` : '']
    .filter((part) => part !== '')
    .join(', ')
})
const first = computed(() =>
  worst.value ? `${worst.value.used.name}: ${comfortWords(worst.value.finding, unit.value).title}` : '',
)
function goThere(): void {
  if (worst.value) chosenKey.value = worst.value.used.key
}
</script>

<template>
  <FootFindings v-if="worst" :grade="worst.finding.grade" :counted="counted" :first="first" none="" @press="goThere" />
  <span v-else>No set-up needs a look</span>
  <AdviceNote />
</template>
