import { spokenMs, spokenOf } from '#formats/voice/spoken'
import type { Spoken } from '#formats/voice/spoken'
import { opusFile } from '#web/shared/sound-file/opus-file.ts'
import { wavPieces } from '#web/shared/sound-file/sound-file-work.ts'

/** A recording ready to be kept. */
export interface ReadyVoice {
  readonly file: Blob
  readonly lengthMs: number
}

/**
 * Trimmed of its silence, as loud as all others, and encoded: as Opus, or as WAV where this browser has no encoder for it.
 * Undefined where nothing was heard.
 */
export async function readyVoice(recorded: Spoken): Promise<ReadyVoice | undefined> {
  const spoken = spokenOf(recorded)
  if (!spoken) return undefined
  const { samples, rate } = spoken
  const mix = { rate, frames: samples.length, placed: [{ frame: 0, stroke: 0 }], strokes: [samples] }
  const lengthMs = spokenMs(spoken)
  const opus = await opusFile(mix, [], () => undefined).catch(() => undefined)
  if (opus) return { file: new Blob([opus], { type: 'audio/mp4' }), lengthMs }
  const pieces = [...wavPieces({ mix, chapters: [] })].map(({ bytes }) => bytes)
  return { file: new Blob(pieces, { type: 'audio/wav' }), lengthMs }
}
