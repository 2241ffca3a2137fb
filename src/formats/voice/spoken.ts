/** What was recorded, made ready to be heard: one channel, −1 to 1. */
export interface Spoken {
  readonly samples: Float32Array<ArrayBuffer>
  readonly rate: number
}

/** Loudness is looked at in windows of so long, s. */
const windowS = 0.01
/** What is this much quieter than the loudest of a recording is its room, and no word; and nothing below this is one [estimate]. */
const belowLoudest = 0.06
const leastLoud = 0.003
/** A breath before the first word and the end of the last one stay, s. */
const keepBeforeS = 0.08
const keepAfterS = 0.16
/** Cut anywhere in a sound, its ends would click. */
const fadeS = 0.005
/** How loud speech is on the whole (root of the mean square), and the loudest a sample may be [estimates]. */
export const evenLoudness = 0.1
export const mostPeak = 0.7

/**
 * A recording without the quiet before its first word and after its last one, as loud as every other: words of one loudness
 * on the whole, none of them clipped. Undefined where nothing was heard.
 */
export function spokenOf({ samples, rate }: Spoken): Spoken | undefined {
  const size = Math.max(1, Math.round(rate * windowS))
  const loud = loudnessOf(samples, size)
  const loudest = loud.reduce((most, one) => Math.max(most, one), 0)
  const least = Math.max(leastLoud, loudest * belowLoudest)
  const first = loud.findIndex((one) => one >= least)
  if (first < 0) return undefined
  const last = loud.findLastIndex((one) => one >= least)
  const from = Math.max(0, first * size - Math.round(keepBeforeS * rate))
  const to = Math.min(samples.length, (last + 1) * size + Math.round(keepAfterS * rate))
  const words = loud.filter((one) => one >= least)
  const whole = Math.sqrt(words.reduce((sum, one) => sum + one ** 2, 0) / words.length)
  const cut = samples.slice(from, to)
  const peak = cut.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0)
  const gain = Math.min(evenLoudness / whole, mostPeak / peak)
  return { samples: faded(cut, gain, Math.round(fadeS * rate)), rate }
}

/** Root of the mean square of each window. */
function loudnessOf(samples: Float32Array, size: number): readonly number[] {
  return Array.from({ length: Math.ceil(samples.length / size) }, (_, at) => {
    const window = samples.subarray(at * size, (at + 1) * size)
    return Math.sqrt(window.reduce((sum, sample) => sum + sample ** 2, 0) / window.length)
  })
}

const faded = (samples: Float32Array<ArrayBuffer>, gain: number, frames: number): Float32Array<ArrayBuffer> =>
  samples.map((sample, at) => {
    const edge = Math.min(at, samples.length - 1 - at)
    return sample * gain * Math.min(1, (edge + 1) / (frames + 1))
  })

/** How long it is, ms. */
export const spokenMs = ({ samples, rate }: Spoken): number => Math.round((samples.length / rate) * 1000)
