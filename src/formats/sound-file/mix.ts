/** A sound that begins at a frame: which of the strokes, heard as it is. */
export interface Placed {
  readonly frame: number
  readonly stroke: number
}

/** A file of sound before it is mixed: one channel of so many frames, and what begins where, in order of time. */
export interface Mix {
  /** Frames a second. */
  readonly rate: number
  readonly frames: number
  readonly placed: readonly Placed[]
  /** Samples of each stroke, −1 to 1, rendered once however often it sounds. */
  readonly strokes: readonly Float32Array[]
}

/** The frame of an instant, ms. At a rate of whole thousands it is exact. */
export const frameOf = (ms: number, rate: number): number => Math.round((ms * rate) / 1000)

/** The loudest a mixed sample may be, of 1: a little under, for players that filter. */
export const most = 0.89

/** The mix in pieces of so many frames, the last one shorter; one in which nothing sounds is told by its length. */
export function* mixed(
  { frames, placed, strokes }: Mix,
  pieceFrames: number,
): Generator<Float32Array | { readonly silent: number }> {
  let next = 0
  let sounding: Placed[] = []
  for (let from = 0; from < frames; from += pieceFrames) {
    const to = Math.min(frames, from + pieceFrames)
    for (let one = placed[next]; one && one.frame < to; one = placed[next]) {
      sounding.push(one)
      next += 1
    }
    sounding = sounding.filter(({ frame, stroke }) => frame + (strokes[stroke]?.length ?? 0) > from)
    yield sounding.length === 0 ? { silent: to - from } : piece(sounding, strokes, { from, to })
  }
}

function piece(
  sounding: readonly Placed[],
  strokes: Mix['strokes'],
  { from, to }: { readonly from: number; readonly to: number },
): Float32Array {
  const out = new Float32Array(to - from)
  for (const { frame, stroke } of sounding) {
    const samples = strokes[stroke]
    if (!samples) continue
    const begin = Math.max(from, frame)
    const end = Math.min(to, frame + samples.length)
    for (let at = begin; at < end; at += 1) out[at - from] = (out[at - from] ?? 0) + (samples[at - frame] ?? 0)
  }
  return out
}

/** How loud the loudest sample of a mix is. */
export function peakOf(mix: Mix, pieceFrames: number): number {
  let peak = 0
  for (const samples of mixed(mix, pieceFrames)) {
    if ('silent' in samples) continue
    for (const sample of samples) peak = Math.max(peak, Math.abs(sample))
  }
  return peak
}

/** What every sample is multiplied with so that none clips; what is quiet stays as it is. */
export const gainFor = (peak: number): number => (peak > most ? most / peak : 1)

/** Samples as 16-bit whole numbers, as a WAV file has them. */
export function toInt16(samples: Float32Array, gain: number): Int16Array<ArrayBuffer> {
  const out = new Int16Array(samples.length)
  samples.forEach((sample, at) => {
    out[at] = Math.max(-32_768, Math.min(32_767, Math.round(sample * gain * 32_767)))
  })
  return out
}
