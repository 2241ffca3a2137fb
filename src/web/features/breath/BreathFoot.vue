<script setup lang="ts">
import { computed } from 'vue'
import FootFindings from '#web/shared/findings/FootFindings.vue'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import { useBreathFindings } from './use-breath-findings.ts'

/** What the session's breath work wants looked at, worst first; pressing it goes there. */
const { findings, counted, wordsOf, goTo } = useBreathFindings()
const worst = computed(() => findings.value[0])
const first = computed(() => (worst.value ? wordsOf(worst.value).title : ''))
</script>

<template>
  <FootFindings v-if="worst" :grade="worst.grade" :counted="counted" :first="first" none="" @press="goTo(worst)" />
  <span v-else>Nothing to look at in the breath work</span>
  <AdviceNote />
</template>
