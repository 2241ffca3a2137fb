<script setup lang="ts">
import { computed } from 'vue'
import LessonForm from './LessonForm.vue'
import NaturalForm from './NaturalForm.vue'
import RetentionForm from './RetentionForm.vue'
import RoundsForm from './RoundsForm.vue'
import StrokesForm from './StrokesForm.vue'
import { useBreath } from './use-breath.ts'

/** What the section that is looked at is made of, by its kind. */
const { section, resolvedSection } = useBreath()
const rounds = computed(() => (resolvedSection.value?.kind === 'rounds' ? resolvedSection.value : undefined))
</script>

<template>
  <RoundsForm v-if="section?.kind === 'rounds'" :key="section.id" :section="section" :resolved="rounds" />
  <NaturalForm v-else-if="section?.kind === 'natural'" :key="section.id" :section="section" />
  <LessonForm v-else-if="section?.kind === 'lesson'" :key="section.id" :section="section" />
  <RetentionForm v-else-if="section?.kind === 'retention'" :key="section.id" :section="section" />
  <StrokesForm v-else-if="section?.kind === 'strokes'" :key="section.id" :section="section" />
</template>
