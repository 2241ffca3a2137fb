<script setup lang="ts">
import Select from 'primevue/select'
import Slider from 'primevue/slider'
import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { BreathSound, BreathSounds } from '#model/settings'
import { breathSoundWords } from '#words/breath-sounds'
import SettingsRefused from '#web/shared/settings/SettingsRefused.vue'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** What the inhale and the exhale sound with, and how loud; the teacher's own, for all their sessions. */
const settings = useSettingsStore()
const parts = [
  { part: 'in', name: 'Inhale' },
  { part: 'out', name: 'Exhale' },
] as const

/** Drawn along at once, kept when the hand rests. */
const shown = ref({ ...settings.breathSounds })
watch(
  () => settings.breathSounds,
  (sounds) => (shown.value = { ...sounds }),
)
const keepSoon = useDebounceFn(() => {
  settings.breathSounds = { in: { ...shown.value.in }, out: { ...shown.value.out } }
}, 250)
function put(part: keyof BreathSounds, changed: Partial<BreathSound>): void {
  shown.value = { ...shown.value, [part]: { ...shown.value[part], ...changed } }
  void keepSoon()
}
</script>

<template>
  <h3>Sounds, in all your sessions</h3>
  <SettingsRefused />
  <div v-for="{ part, name } in parts" :key="part" class="sound">
    <span :id="`sound-${part}`" class="label">{{ name }}</span>
    <Select
      fluid
      :aria-labelledby="`sound-${part}`"
      :model-value="shown[part].kind"
      :options="[...breathSoundWords[part]]"
      option-label="words"
      option-value="kind"
      @update:model-value="put(part, { kind: $event })"
    />
    <span :id="`loud-${part}`" class="label">loudness {{ shown[part].loudness }}</span>
    <Slider
      :aria-labelledby="`sound-${part} loud-${part}`"
      :model-value="shown[part].loudness"
      :step="5"
      :disabled="shown[part].kind === 'none'"
      @update:model-value="put(part, { loudness: Number($event) })"
    />
  </div>
</template>

<style scoped>
h3 {
  margin: 14px 0 6px;
  font-size: 16px;
}
.sound {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  align-items: center;
  gap: 8px 10px;
  margin-bottom: 12px;
}
.sound :deep(.p-slider) {
  margin: 0 10px;
}
.label {
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
