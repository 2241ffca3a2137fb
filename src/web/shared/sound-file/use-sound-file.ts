import { onScopeDispose, ref } from 'vue'
import type { Session } from '#model/session'
import { asChosen, leadPlan, soundsByClock } from '#core/lead'
import type { Timeline } from '#core/timeline'
import { sheetBlocks } from '#words/class-sheet'
import { frameOf } from '#formats/sound-file/mix'
import { heardAt } from '#web/shared/api/sounds.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import type { SoundFilePiece, SoundFileQuestion } from './sound-file-work.ts'
import { rendered, voicesOf } from './voices.ts'
import type { Voice } from './voices.ts'

/** Frames a second: every millisecond is a whole number of them, and no bell or voice needs more. */
export const soundFileRate = 24_000

/** The sounds of the teacher's own among some voices, decoded; one that is gone leaves its place to its bell. */
async function ownBuffers(voices: readonly Voice[]): Promise<ReadonlyMap<string, AudioBuffer>> {
  const ids = new Set(voices.flatMap((voice) => (voice.kind === 'own' ? [voice.soundId] : [])))
  const context = new OfflineAudioContext(1, 1, soundFileRate)
  const found = new Map<string, AudioBuffer>()
  for (const id of ids) {
    const reply = await fetch(heardAt(id)).catch(() => undefined)
    if (!reply?.ok) continue
    const buffer = await context.decodeAudioData(await reply.arrayBuffer()).catch(() => undefined)
    if (buffer) found.set(id, buffer)
  }
  return found
}

/** The sounds of a class as one file, exactly at their times: bells rendered once, mixed in a worker; it can be given up. */
export function useSoundFile() {
  const settings = useSettingsStore()
  /** How much of it is mixed, 0 to 1; undefined while nothing is made. */
  const share = ref<number>()
  const failed = ref('')
  let worker: Worker | undefined
  /** Counted up with each file and with each that is given up: what was begun for a former one is dropped. */
  let wanted = 0

  function cancel(): void {
    wanted += 1
    worker?.terminate()
    worker = undefined
    share.value = undefined
  }
  onScopeDispose(cancel)

  async function question(session: Session, timeline: Timeline): Promise<SoundFileQuestion> {
    const due = soundsByClock(leadPlan(timeline, {}), settings.breathSounds).flatMap((one) => {
      const sound = asChosen(one.sound, settings.classSounds)
      return sound ? [{ ...one, sound }] : []
    })
    const { voices, placed } = voicesOf(due, soundFileRate)
    const own = await ownBuffers(voices)
    const samples = await Promise.all(voices.map((voice) => rendered(voice, soundFileRate, own)))
    return {
      mix: { rate: soundFileRate, frames: frameOf(timeline.totalMs, soundFileRate), placed, voices: samples },
      chapters: sheetBlocks(timeline, session.practice).map(({ name, startMs }) => ({
        ...{ name, frame: frameOf(startMs, soundFileRate) },
      })),
    }
  }

  async function save(session: Session, timeline: Timeline): Promise<void> {
    cancel()
    const mine = wanted
    share.value = 0
    failed.value = ''
    const asked = await question(session, timeline)
    if (mine !== wanted) return
    const parts: Blob[] = []
    const mixing = new Worker(new URL('./sound-file-worker.ts', import.meta.url), { type: 'module' })
    worker = mixing
    mixing.onmessage = ({ data: { bytes, share: done, isLast } }: MessageEvent<SoundFilePiece>) => {
      // As a part of a file of its own it need not stay in the window's memory.
      parts.push(new Blob([bytes]))
      share.value = done
      if (!isLast) return
      cancel()
      download(new Blob(parts), fileName(session.name, 'wav'), 'audio/wav')
    }
    mixing.onerror = () => {
      cancel()
      failed.value = 'The sound file could not be made. Reload the page and try again.'
    }
    mixing.postMessage(asked)
  }
  return { save, cancel, share, failed }
}
