<script setup lang="ts">
import { computed } from 'vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** From when on it is told that a class is behind; in all the teacher's classes. */
const settings = useSettingsStore()
const usual = 'usual'
const choices = [
  { value: usual, words: 'from 2:00 on, or 3 % of the class' },
  { value: '300', words: 'from 5:00 on' },
  { value: '600', words: 'from 10:00 on' },
  { value: '0', words: 'never' },
]
const value = computed(() => (settings.behindFromS === undefined ? usual : String(settings.behindFromS)))
function set(chosen: string): void {
  settings.behindFromS = chosen === usual ? undefined : Number(chosen)
}
</script>

<template>
  <SelectField label="That it runs late is told" :value="value" :options="choices" @change="set" />
</template>
