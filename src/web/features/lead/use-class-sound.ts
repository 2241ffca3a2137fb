import { readonly, ref, watch } from 'vue'
import type { ShallowRef } from 'vue'
import { asChosen, exactRunMs, missBells, soundsDue } from '#core/lead'
import type { Conducted, PlayedSound } from '#core/lead'
import type { ClassSounds } from '#model/settings'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { useOwnSoundsStore } from '#web/shared/lead/own-sounds-store.ts'
import type { LedClock } from './led-clock.ts'
import { useClassMusic } from './use-class-music.ts'
import { useVoiceDue } from './use-voice-due.ts'
import { useBells } from '#web/shared/lead/use-bells.ts'

/** Sped up only bells are heard: counts would be a rattle. */
const isHeardAt = (speed: number, { kind }: PlayedSound): boolean =>
  speed === 1 || kind === 'bowl' || kind === 'lowBell' || kind === 'heldTone'

/** The own sounds that are chosen. */
const ownBells = ({ bowl, lowBell }: ClassSounds): readonly string[] =>
  [bowl, lowBell].flatMap(({ kind, soundId }) => (kind === 'own' && soundId !== undefined ? [soundId] : []))

/** The teacher's own bells are at hand before one of them is due; what waits for them is scheduled anew. */
function useOwnBells(schedule: () => void): () => Promise<void> {
  const sounds = useOwnSoundsStore()
  const settings = useSettingsStore()
  const have = () => sounds.have(ownBells(settings.classSounds))
  watch(
    () => ownBells(settings.classSounds).join(' '),
    () => void have().then(schedule),
    { immediate: true },
  )
  return have
}

/** What sounds at once, as it is chosen. */
const atOnce = (bells: ReturnType<typeof useBells>, haveOwn: () => Promise<void>) => {
  const settings = useSettingsStore()
  return {
    ring(sound: PlayedSound): void {
      const chosen = asChosen(sound, settings.classSounds)
      if (chosen) bells.ring(chosen)
    },
    /** Before the class: how one of its sounds is heard. */
    async check(kind: keyof ClassSounds = 'bowl'): Promise<void> {
      const chosen = asChosen({ kind, strokes: 1 }, settings.classSounds)
      if (!chosen) return
      await haveOwn()
      await bells.check(chosen)
    },
  }
}

/** The sounds of the class that runs: all that are due scheduled at once, those held back told and never played late. */
export function useClassSound(conducted: ShallowRef<Conducted | undefined>, led: () => LedClock) {
  /** The class's own clock with its fractions, to be read beside the audio clock; in real seconds where it is sped up. */
  const runClock = (now: Conducted) => () => exactRunMs(now, led().clocks.steadyMs()) / led().speed
  const bells = useBells()
  const settings = useSettingsStore()
  const missed = ref(0)
  const music = useClassMusic(conducted)
  /** A rehearsal at many times the pace has none. */
  const followMusic = (): void => {
    if (conducted.value && led().speed === 1) void music.follow(runClock(conducted.value)())
  }

  function schedule(): void {
    if (!conducted.value) return
    const { start, state } = conducted.value
    const due = soundsDue(start.plan, state, settings.breathSounds).flatMap((one) => {
      const sound = asChosen(one.sound, settings.classSounds)
      return sound && isHeardAt(led().speed, sound) ? [{ ...one, sound, atMs: one.atMs / led().speed }] : []
    })
    const said = voiceFrom(conducted.value, led().speed)
    bells.replace([...due, ...said], state.nowMs / led().speed, runClock(conducted.value))
    followMusic()
  }
  const haveOwn = useOwnBells(schedule)
  const voiceFrom = useVoiceDue(schedule)
  return {
    schedule,
    ...atOnce(bells, haveOwn),
    /** The class is over: what still rings rings out, music does not. */
    stopMusic: music.stop,
    silence(): void {
      bells.silence()
      music.stop()
    },
    isHeard: bells.isHeard,
    missed: readonly(missed),
    /** Compares the audio clock with the page's. */
    compare(): void {
      if (!conducted.value) return
      bells.compare(runClock(conducted.value))
      followMusic()
    },
    /** Bells that came due since then while sound is held back are told and recorded. */
    noteMissed(before: Conducted): void {
      if (bells.isRunning() || !conducted.value) return
      const [next, count] = missBells(before, conducted.value)
      conducted.value = next
      missed.value += count
    },
    /** The first touch or key after a reload only lets the sound through. */
    async letThrough(): Promise<void> {
      await bells.letThrough()
      schedule()
    },
  }
}
