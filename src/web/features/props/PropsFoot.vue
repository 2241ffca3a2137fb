<script setup lang="ts">
import { computed } from 'vue'
import { countGrades } from '#core/finding'
import { comfortWords } from '#words/comfort'
import { countWords } from '#words/grades'
import FootFindings from '#web/shared/findings/FootFindings.vue'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import { useProps } from './use-props.ts'

/** What the session's set-ups want looked at, worst first; pressing it goes there. */
const { toLookAt, chosenKey, unit } = useProps()
const worst = computed(() => toLookAt.value.find(({ finding }) => finding.grade === 'must') ?? toLookAt.value[0])
const counted = computed(() => countWords(countGrades(toLookAt.value.map(({ finding }) => finding))))
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
