<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { computed, useId } from 'vue'
import type { LessonSection } from '#model/section'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import LastingFields from './LastingFields.vue'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** A lesson of a technique: which, how long, and whether it is shown first. */
const props = defineProps<{ section: LessonSection }>()
const { set } = useBreath()
const own = useOwnStore()
const id = useId()
const lessons = computed(() =>
  (own.catalog.techniques.get(props.section.techniqueId)?.lessons ?? []).map((words, at) => ({
    value: at + 1,
    words: `${String(at + 1)} · ${words}`,
  })),
)
</script>

<template>
  <div class="form">
    <SelectField
      hide-label
      label="Lesson"
      :value="section.lesson"
      :options="lessons"
      @change="set(section, { lesson: $event })"
    />
    <LastingFields :section="section" @change="set(section, $event)" />
    <p class="tick">
      <Checkbox
        :input-id="id"
        binary
        :model-value="section.shown ?? false"
        @update:model-value="set(section, { shown: $event ? true : undefined })"
      />
      <label :for="id">shown first</label>
    </p>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.tick {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
