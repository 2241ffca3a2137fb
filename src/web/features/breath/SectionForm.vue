<script setup lang="ts">
import { computed } from 'vue'
import type { NaturalSection } from '#model/section'
import DoneAsField from './DoneAsField.vue'
import LessonForm from './LessonForm.vue'
import NaturalForm from './NaturalForm.vue'
import RetentionForm from './RetentionForm.vue'
import RoundsForm from './RoundsForm.vue'
import StrokesForm from './StrokesForm.vue'
import { useBreath } from './use-breath.ts'

/** What the section that is looked at is made of, by its kind. */
const { section, resolvedSection } = useBreath()
const rounds = computed(() => (resolvedSection.value?.kind === 'rounds' ? resolvedSection.value : undefined))
/** Rounds of a technique that nobody counts are natural breath for a time, and are changed as that. */
const natural = computed((): NaturalSection | undefined => {
  if (section.value?.kind === 'natural') return section.value
  if (section.value?.kind !== 'rounds' || resolvedSection.value?.kind !== 'natural') return undefined
  const { id, techniqueId, seat, say } = section.value
  const s = Math.max(1, Math.round(resolvedSection.value.lengthMs / 1000))
  return { kind: 'natural', id, techniqueId, s, ...(seat ? { seat } : {}), ...(say === undefined ? {} : { say }) }
})
</script>

<template>
  <DoneAsField />
  <NaturalForm v-if="natural" :key="natural.id" :section="natural" />
  <RoundsForm v-else-if="section?.kind === 'rounds'" :key="section.id" :section="section" :resolved="rounds" />
  <LessonForm v-else-if="section?.kind === 'lesson'" :key="section.id" :section="section" />
  <RetentionForm v-else-if="section?.kind === 'retention'" :key="section.id" :section="section" />
  <StrokesForm v-else-if="section?.kind === 'strokes'" :key="section.id" :section="section" />
</template>
