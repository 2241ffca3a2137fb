import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { WritableComputedRef } from 'vue'
import type { Settings } from '#model/settings'
import { usualBreathSounds, usualClassSounds } from '#core/lead'
import { usualPace } from '#core/units'
import { makeSettingsSync } from './settings-sync.ts'

type Setting = Exclude<keyof Settings, 'schema'>

/** What the teacher set for all their sessions; where nothing is set, what is usual. */
export const useSettingsStore = defineStore('settings', () => {
  const { known, refused, set, load } = makeSettingsSync()
  const now = computed((): Settings => ({ ...known.value.settings, ...known.value.unsent }))
  void load()

  const orUsual = <K extends Setting>(
    name: K,
    usual: NonNullable<Settings[K]>,
  ): WritableComputedRef<NonNullable<Settings[K]>> =>
    computed({
      get: () => now.value[name] ?? usual,
      set: (value) => {
        set({ [name]: value })
      },
    })
  const orNothing = <K extends Setting>(name: K): WritableComputedRef<Settings[K]> =>
    computed({
      get: () => now.value[name],
      set: (value) => {
        set({ [name]: value })
      },
    })
  return {
    refused,
    breathSounds: orUsual('breathSounds', usualBreathSounds),
    classSounds: orUsual('classSounds', usualClassSounds),
    speakingPace: orUsual('speakingPace', usualPace),
    /** The same; nothing where the teacher set none. */
    speakingPaceSet: computed(() => now.value.speakingPace),
    /** From how many seconds on Lead tells that a class is behind; 0: never, absent: as is usual. */
    behindFromS: orNothing('behindFromS'),
    /** The track that plays through a class; none where none is chosen. */
    music: orNothing('music'),
    /** Whether the students’ screen shows a clock. */
    screenClock: orUsual('screenClock', true),
    sixthStage: orUsual('sixthStage', false),
    /** What the teacher said of times that classes teach. */
    times: orUsual('times', {}),
    letterKeys: orUsual('letterKeys', true),
  }
})
