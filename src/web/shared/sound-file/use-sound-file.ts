import { onScopeDispose, ref } from 'vue'
import type { Session } from '#model/session'
import type { Voice } from '#model/voice'
import { asChosen, leadPlan, soundsByClock, voiceByClock } from '#core/lead'
import type { Timeline } from '#core/timeline'
import { sheetBlocks } from '#words/class-sheet'
import { frameOf } from '#formats/sound-file/mix'
import { heardAt } from '#web/shared/api/sounds.ts'
import { voiceAt } from '#web/shared/api/voices.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { bookOf } from '#web/shared/voice/voices-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import type { SoundFileKind, SoundFilePiece, SoundFileQuestion } from './sound-file-work.ts'
import { rendered, strokesOf } from './strokes.ts'
import type { Stroke } from './strokes.ts'

/** Frames a second: every millisecond is a whole number of them, and no bell or voice needs more; Opus is made of 48,000. */
const rates: Readonly<Record<SoundFileKind, number>> = { wav: 24_000, opus: 48_000 }
export const wavRate = rates.wav

const endings: Readonly<Record<SoundFileKind, { readonly ending: string; readonly type: string }>> = {
  wav: { ending: 'wav', type: 'audio/wav' },
  opus: { ending: 'mp4', type: 'audio/mp4' },
}

interface Of {
  readonly session: Session
  readonly timeline: Timeline
  /** The sentences of it that are heard in the teacher's voice. */
  readonly voices: readonly Voice[]
}

const notMade: Readonly<Record<SoundFileKind, string>> = {
  wav: 'The sound file could not be made. Reload the page and try again.',
  opus: 'This browser could not encode it: save it as WAV.',
}

/** What is the teacher's own among some strokes, decoded: a bell that is gone leaves its place to the one it stands for. */
async function ownBuffers(
  strokes: readonly Stroke[],
  rate: number,
  sessionId: string,
): Promise<ReadonlyMap<string, AudioBuffer>> {
  const addresses = new Map(
    strokes.flatMap((stroke) => {
      if (stroke.kind === 'own') return [[stroke.soundId, heardAt(stroke.soundId)] as const]
      return stroke.kind === 'voice' ? [[stroke.voiceId, voiceAt(sessionId, stroke.voiceId)] as const] : []
    }),
  )
  const context = new OfflineAudioContext(1, 1, rate)
  const found = new Map<string, AudioBuffer>()
  for (const [id, address] of addresses) {
    const reply = await fetch(address).catch(() => undefined)
    if (!reply?.ok) continue
    const buffer = await context.decodeAudioData(await reply.arrayBuffer()).catch(() => undefined)
    if (buffer) found.set(id, buffer)
  }
  return found
}

type Heard = Pick<ReturnType<typeof useSettingsStore>, 'breathSounds' | 'classSounds'>

/** What is mixed: every sound of a class at its frame, each stroke rendered once, and its blocks as chapters. */
async function questionOf(
  { session, timeline, voices }: Of,
  as: SoundFileKind,
  settings: Heard,
): Promise<SoundFileQuestion> {
  const rate = rates[as]
  const bells = soundsByClock(leadPlan(timeline, {}), settings.breathSounds).flatMap((one) => {
    const sound = asChosen(one.sound, settings.classSounds)
    return sound ? [{ ...one, sound }] : []
  })
  const { strokes, placed } = strokesOf([...bells, ...voiceByClock(timeline, bookOf(session, voices))], rate)
  const own = await ownBuffers(strokes, rate, session.id)
  const samples = await Promise.all(strokes.map((stroke) => rendered(stroke, rate, own)))
  return {
    as,
    mix: { rate, frames: frameOf(timeline.totalMs, rate), placed, strokes: samples },
    chapters: sheetBlocks(timeline, session.practice).map(({ name, startMs }) => ({
      ...{ name, frame: frameOf(startMs, rate) },
    })),
  }
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
  function fail(as: SoundFileKind): void {
    cancel()
    failed.value = notMade[as]
  }

  async function save(of: Of, as: SoundFileKind): Promise<void> {
    cancel()
    const mine = wanted
    share.value = 0
    failed.value = ''
    const asked = await questionOf(of, as, settings).catch(() => undefined)
    if (mine !== wanted) return
    if (!asked) {
      fail(as)
      return
    }
    const parts: Blob[] = []
    const mixing = new Worker(new URL('./sound-file-worker.ts', import.meta.url), { type: 'module' })
    worker = mixing
    mixing.onmessage = ({ data: { bytes, share: done, isLast } }: MessageEvent<SoundFilePiece>) => {
      // As a part of a file of its own it need not stay in the window's memory.
      parts.push(new Blob([bytes]))
      share.value = done
      if (!isLast) return
      cancel()
      const { ending, type } = endings[as]
      download(new Blob(parts), fileName(of.session.name, ending), type)
    }
    mixing.onerror = () => {
      fail(as)
    }
    mixing.postMessage(asked)
  }
  return { save, cancel, share, failed }
}
