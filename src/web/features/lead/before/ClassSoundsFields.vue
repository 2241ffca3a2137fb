<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import Slider from 'primevue/slider'
import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { ClassSounds } from '#model/settings'
import SettingsRefused from '#web/shared/settings/SettingsRefused.vue'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { classSoundWords } from '#words/class-sounds'

/** What the bowl, the bell and the tick are heard as, how loud, each tried; the teacher's own, for all their classes. */
const emit = defineEmits<{ tried: [role: keyof ClassSounds] }>()
const settings = useSettingsStore()

/** Drawn along at once, kept when the hand rests. */
const shown = ref<ClassSounds>({ ...settings.classSounds })
watch(
  () => settings.classSounds,
  (sounds) => (shown.value = { ...sounds }),
)
const keep = () => {
  settings.classSounds = JSON.parse(JSON.stringify(shown.value)) as ClassSounds
}
const keepSoon = useDebounceFn(keep, 250)
function put(role: keyof ClassSounds, changed: Partial<ClassSounds[keyof ClassSounds]>): void {
  shown.value = { ...shown.value, [role]: { ...shown.value[role], ...changed } }
  void keepSoon()
}
/** What is tried is what is shown. */
function tried(role: keyof ClassSounds): void {
  keep()
  emit('tried', role)
}
</script>

<template>
  <SettingsRefused />
  <div v-for="{ role, name, why, choices } in classSoundWords" :key="role" class="sound">
    <span :id="`class-sound-${role}`" class="name"
      >{{ name }} <small>{{ why }}</small></span
    >
    <Select
      fluid
      :aria-labelledby="`class-sound-${role}`"
      :model-value="shown[role].kind"
      :options="[...choices]"
      option-label="words"
      option-value="kind"
      @update:model-value="put(role, { kind: $event })"
    />
    <Slider
      :aria-label="`${name}, loudness`"
      :model-value="shown[role].loudness"
      :step="5"
      :disabled="shown[role].kind === 'none'"
      @update:model-value="put(role, { loudness: Number($event) })"
    />
    <Button
      severity="secondary"
      outlined
      label="Try"
      :aria-label="`Try the ${name.toLowerCase()}`"
      :disabled="shown[role].kind === 'none'"
      @click="tried(role)"
    />
  </div>
</template>

<style scoped>
.sound {
  display: grid;
  grid-template-columns: minmax(92px, 1fr) 150px minmax(70px, 1fr) auto;
  align-items: center;
  gap: 6px 18px;
  font-size: 17px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.sound :deep(.p-button) {
  min-height: 44px;
}
@media (max-width: 500px) {
  .sound {
    grid-template-columns: minmax(0, 1fr) 150px;
  }
}
</style>
