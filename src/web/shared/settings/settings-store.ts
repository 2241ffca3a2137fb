import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { BreathSounds, ClassSounds, Music, Settings } from '#model/settings'
import { usualBreathSounds, usualClassSounds } from '#core/lead'
import { usualPace } from '#core/units'
import { makeSettingsSync } from './settings-sync.ts'

/** What the teacher set for all their sessions; where nothing is set, what is usual. */
export const useSettingsStore = defineStore('settings', () => {
  const { known, refused, set, load } = makeSettingsSync()
  const now = computed((): Settings => ({ ...known.value.settings, ...known.value.unsent }))
  void load()
  return {
    refused,
    breathSounds: computed({
      get: () => now.value.breathSounds ?? usualBreathSounds,
      set: (breathSounds: BreathSounds) => {
        set({ breathSounds })
      },
    }),
    classSounds: computed({
      get: () => now.value.classSounds ?? usualClassSounds,
      set: (classSounds: ClassSounds) => {
        set({ classSounds })
      },
    }),
    speakingPace: computed({
      get: () => now.value.speakingPace ?? usualPace,
      set: (speakingPace: number) => {
        set({ speakingPace })
      },
    }),
    /** From how many seconds on Lead tells that a class is behind; 0: never, absent: as is usual. */
    behindFromS: computed({
      get: () => now.value.behindFromS,
      set: (behindFromS: number | undefined) => {
        set({ behindFromS })
      },
    }),
    /** The track that plays through a class; none where none is chosen. */
    music: computed({
      get: () => now.value.music,
      set: (music: Music | undefined) => {
        set({ music })
      },
    }),
    /** Whether the students’ screen shows a clock. */
    screenClock: computed({
      get: () => now.value.screenClock ?? true,
      set: (screenClock: boolean) => {
        set({ screenClock })
      },
    }),
    sixthStage: computed({
      get: () => now.value.sixthStage ?? false,
      set: (sixthStage: boolean) => {
        set({ sixthStage })
      },
    }),
    letterKeys: computed({
      get: () => now.value.letterKeys ?? true,
      set: (letterKeys: boolean) => {
        set({ letterKeys })
      },
    }),
  }
})
