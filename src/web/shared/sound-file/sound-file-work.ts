import { gainFor, mixed, peakOf, toInt16 } from '#formats/sound-file/mix'
import type { Mix } from '#formats/sound-file/mix'
import { wavAround } from '#formats/sound-file/wav'
import type { Chapter } from '#formats/sound-file/wav'

/** WAV, which everything plays; or Opus in MP4, a tenth of its size and less. */
export type SoundFileKind = 'wav' | 'opus'
export interface SoundFileQuestion {
  readonly as: SoundFileKind
  readonly mix: Mix
  readonly chapters: readonly Chapter[]
}
/** A piece of the file in its order, and how much of it is there, 0 to 1. */
export interface SoundFilePiece {
  readonly bytes: Uint8Array<ArrayBuffer>
  readonly share: number
  readonly isLast: boolean
}

/** Ten seconds a piece. */
const pieceS = 10

/** A class as a WAV file, piece by piece: head, samples, chapters. */
export function* wavPieces({ mix, chapters }: Omit<SoundFileQuestion, 'as'>): Generator<SoundFilePiece> {
  const { rate, frames } = mix
  const { head, tail } = wavAround({ rate, frames, chapters })
  const pieceFrames = rate * pieceS
  const gain = gainFor(peakOf(mix, pieceFrames))
  yield { bytes: head, share: 0, isLast: false }
  let done = 0
  for (const samples of mixed(mix, pieceFrames)) {
    const whole = 'silent' in samples ? new Int16Array(samples.silent) : toInt16(samples, gain)
    done += whole.length
    yield { bytes: new Uint8Array(whole.buffer), share: done / frames, isLast: false }
  }
  yield { bytes: tail, share: 1, isLast: true }
}
