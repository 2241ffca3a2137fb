<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { ClassSounds } from '#model/settings'
import SettingsRefused from '#web/shared/settings/SettingsRefused.vue'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { useOwnSoundsStore } from '#web/shared/lead/own-sounds-store.ts'
import { classSoundWords } from '#words/class-sounds'
import OwnSounds from './OwnSounds.vue'
import OwnVoice from './OwnVoice.vue'
import SoundRow from './SoundRow.vue'

type Role = keyof ClassSounds

/** What the bowl, the bell and the tick are heard as, how loud, each tried; the teacher's own, for all their classes. */
const emit = defineEmits<{ tried: [role: Role] }>()
const settings = useSettingsStore()
const sounds = useOwnSoundsStore()

/** Drawn along at once, kept when the hand rests. */
const shown = ref<ClassSounds>({ ...settings.classSounds })
watch(
  () => settings.classSounds,
  (set) => (shown.value = { ...set }),
)
const keep = () => {
  settings.classSounds = JSON.parse(JSON.stringify(shown.value)) as ClassSounds
}
const keepSoon = useDebounceFn(keep, 250)
function put(role: Role, changed: ClassSounds[Role]): void {
  shown.value = { ...shown.value, [role]: changed }
  void keepSoon()
}

/** A choice is a kind, or one of the teacher's own sounds by its id. */
const ownMark = 'own '
const rows = computed(() =>
  classSoundWords.map((row) => {
    const own = row.role === 'wood' ? [] : sounds.bells.map(({ id, name }) => ({ kind: ownMark + id, words: name }))
    return { ...row, choices: [...row.choices, ...own] }
  }),
)
/** One that is gone is the bell it stood for. */
function choiceOf(role: Role): string {
  const chosen = shown.value[role]
  if (chosen.kind !== 'own') return chosen.kind
  const isThere = sounds.bells.some(({ id }) => id === chosen.soundId)
  return isThere && chosen.soundId !== undefined ? ownMark + chosen.soundId : role
}
function choose(role: Role, choice: string): void {
  const { loudness } = shown.value[role]
  const soundId = choice.startsWith(ownMark) ? choice.slice(ownMark.length) : undefined
  const kind = soundId === undefined ? choice : 'own'
  put(role, { kind, loudness, ...(soundId === undefined ? {} : { soundId }) } as ClassSounds[Role])
}
/** What is tried is what is shown. */
function tried(role: Role): void {
  keep()
  emit('tried', role)
}
</script>

<template>
  <SettingsRefused />
  <SoundRow
    v-for="{ role, name, why, choices } in rows"
    :key="role"
    :name="name"
    :why="why"
    :choice="choiceOf(role)"
    :choices="choices"
    :loudness="shown[role].loudness"
    :is-silent="shown[role].kind === 'none'"
    @choose="choose(role, $event)"
    @louder="put(role, { ...shown[role], loudness: $event })"
    @tried="tried(role)"
  />
  <OwnVoice />
  <OwnSounds />
</template>
