<script setup lang="ts">
import { computed } from 'vue'
import { sectionMs } from '#core/breath'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { doneAs, doneAsChoices } from './done-as.ts'
import type { DoneAs } from './done-as.ts'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How the technique of a section is done: as natural breath, a lesson, counted or uncounted. */
const { section, resolvedSection, put } = useBreath()
const own = useOwnStore()
const technique = computed(() => {
  const id = section.value && 'techniqueId' in section.value ? section.value.techniqueId : undefined
  return id === undefined ? undefined : own.catalog.techniques.get(id)
})
const way = computed((): DoneAs | undefined => {
  switch (resolvedSection.value?.kind) {
    case 'natural':
    case 'lesson':
    case 'uncounted':
      return resolvedSection.value.kind
    case 'rounds':
      return 'counted'
    default:
      return undefined
  }
})
function setWay(other: DoneAs): void {
  if (!section.value || !resolvedSection.value || !technique.value || other === way.value) return
  put(doneAs(section.value, other, technique.value, Math.round(sectionMs(resolvedSection.value) / 1000)))
}
</script>

<template>
  <div v-if="technique && way" class="done">
    <SelectField label="Done as" :value="way" :options="doneAsChoices" @change="setWay" />
  </div>
</template>

<style scoped>
.done {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
