<script setup lang="ts">
import Button from 'primevue/button'
import { useDebounceFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import { heardAt } from '#web/shared/api/sounds.ts'
import { useOwnSoundsStore } from '#web/shared/lead/own-sounds-store.ts'
import { ports } from '#web/shared/ports.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { soundWords } from '#words/class-sounds'
import SoundRow from './SoundRow.vue'

/** The track that plays through a class, and the teacher's own sounds: brought in as files, and taken away again. */
const settings = useSettingsStore()
const sounds = useOwnSoundsStore()
const picker = useTemplateRef<HTMLInputElement>('picker')
const isBringing = ref(false)
const isTried = ref(false)

const none = 'none'
const tracks = computed(() => [
  { kind: none, words: 'none' },
  ...sounds.tracks.map(({ id, name }) => ({ kind: id, words: name })),
])
/** One that is gone is none. */
const chosen = computed(() => sounds.tracks.find(({ id }) => id === settings.music?.soundId)?.id ?? none)
const loudness = ref(settings.music?.loudness ?? 30)
watch(
  () => settings.music?.loudness,
  (set) => (loudness.value = set ?? loudness.value),
)
function choose(id: string): void {
  stop()
  settings.music = id === none ? undefined : { soundId: id, loudness: loudness.value }
}
const keepSoon = useDebounceFn(() => {
  if (chosen.value !== none) settings.music = { soundId: chosen.value, loudness: loudness.value }
}, 250)
function louder(to: number): void {
  loudness.value = to
  if (isTried.value)
    ports()
      .audio()
      .music.level(to / 100)
  void keepSoon()
}
async function tried(): Promise<void> {
  if (isTried.value) {
    stop()
    return
  }
  const audio = ports().audio()
  await audio.resume()
  isTried.value = true
  try {
    await audio.music.play(heardAt(chosen.value), 0)
    audio.music.level(loudness.value / 100)
  } catch {
    stop()
  }
}
function stop(): void {
  if (isTried.value) ports().audio().music.stop()
  isTried.value = false
}
onScopeDispose(stop)

async function bring(event: Event): Promise<void> {
  const [file] = event.target instanceof HTMLInputElement ? (event.target.files ?? []) : []
  if (!file) return
  isBringing.value = true
  await sounds.bring(file)
  isBringing.value = false
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <SoundRow
    name="Music"
    why="gone when the rest begins"
    :choice="chosen"
    :choices="tracks"
    :loudness="loudness"
    :is-silent="chosen === none"
    :stops="isTried"
    @choose="choose"
    @louder="louder"
    @tried="tried"
  />
  <ul v-if="sounds.sounds.length > 0" aria-label="Own sounds">
    <li v-for="sound in sounds.sounds" :key="sound.id">
      <span
        >{{ sound.name }} <small>{{ soundWords(sound) }}</small></span
      >
      <Button
        severity="secondary"
        text
        label="Remove"
        :aria-label="`Remove ${sound.name}`"
        @click="sounds.remove(sound.id)"
      />
    </li>
  </ul>
  <p v-if="sounds.mend" class="mend" role="alert">{{ sounds.mend }}</p>
  <div class="bring">
    <Button
      severity="secondary"
      text
      icon="pi pi-upload"
      :label="isBringing ? 'Bringing it in' : 'Add a sound'"
      :disabled="isBringing"
      @click="picker?.click()"
    />
    <small>of your own: up to half a minute a bell, longer a track of music</small>
    <input
      ref="picker"
      class="visually-hidden"
      type="file"
      accept="audio/*"
      tabindex="-1"
      aria-label="A sound file of your own"
      @change="bring"
    />
  </div>
</template>

<style scoped>
small {
  font-size: 14px;
  color: var(--ink-soft);
}
.bring :deep(.p-button),
li :deep(.p-button) {
  flex: none;
  min-height: 44px;
}
li,
.bring {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  font-size: 17px;
}
.bring {
  justify-content: flex-start;
}
.mend {
  color: var(--left);
  font-size: 16px;
}
</style>
