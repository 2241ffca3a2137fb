<script setup lang="ts">
import { computed } from 'vue'
import { countGrades } from '#core/finding'
import { comfortWords } from '#words/comfort'
import { countWords } from '#words/grades'
import FootFindings from '#web/shared/findings/FootFindings.vue'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import { useProps } from './use-props.ts'

/** What the session's set-ups want looked at, worst first; pressing it goes there. */
const { store, used, toLookAt, chosenKey, unit } = useProps()
const worst = computed(() => toLookAt.value.find(({ grade }) => grade === 'must') ?? toLookAt.value[0])
const counted = computed(() => countWords(countGrades(toLookAt.value)))
const there = computed(() => used.value.find(({ block }) => block.id === worst.value?.place.blockId))
const first = computed(() =>
  worst.value ? `${there.value?.name ?? ''}: ${comfortWords(worst.value.setUp, unit.value).title}` : '',
)
function goThere(): void {
  if (store.document && there.value) chosenKey.value = there.value.key
}
</script>

<template>
  <FootFindings v-if="worst" :grade="worst.grade" :counted="counted" :first="first" none="" @press="goThere" />
  <span v-else>No set-up needs a look</span>
  <AdviceNote />
</template>
