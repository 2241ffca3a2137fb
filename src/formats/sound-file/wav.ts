/** A place in a file that has a name. */
export interface Chapter {
  readonly frame: number
  readonly name: string
}

const bytesASample = 2
/** As long as a file of this format may be: its size stands in 32 bits [RIFF WAVE, 1991]. */
export const mostFrames = Math.floor((2 ** 32 - 1 - 1_000_000) / bytesASample)

const ascii = (text: string): number[] => [...text].map((sign) => sign.charCodeAt(0))
const u16 = (value: number): number[] => [value & 255, (value >> 8) & 255]
const u32 = (value: number): number[] => [...u16(value % 65_536), ...u16(Math.floor(value / 65_536))]
const chunk = (id: string, data: readonly number[]): number[] => [
  ...ascii(id),
  ...u32(data.length),
  ...data,
  ...(data.length % 2 === 1 ? [0] : []),
]

/** Cue points with their names, as editors and some players show them: chunks `cue ` and `LIST adtl labl`. */
function chaptersChunks(chapters: readonly Chapter[]): number[] {
  if (chapters.length === 0) return []
  const points = chapters.flatMap(({ frame }, at) => [
    ...u32(at + 1),
    ...u32(frame),
    ...ascii('data'),
    ...u32(0),
    ...u32(0),
    ...u32(frame),
  ])
  const labels = chapters.flatMap(({ name }, at) =>
    chunk('labl', [...u32(at + 1), ...new TextEncoder().encode(name), 0]),
  )
  return [...chunk('cue ', [...u32(chapters.length), ...points]), ...chunk('LIST', [...ascii('adtl'), ...labels])]
}

/**
 * What stands before and after the samples of a WAV file: one channel, 16 bits [RIFF WAVE, 1991]. The samples between are
 * `frames` times two bytes, little-endian.
 */
export function wavAround({
  rate,
  frames,
  chapters,
}: {
  readonly rate: number
  readonly frames: number
  readonly chapters: readonly Chapter[]
}): {
  readonly head: Uint8Array<ArrayBuffer>
  readonly tail: Uint8Array<ArrayBuffer>
} {
  const dataBytes = frames * bytesASample
  const tail = chaptersChunks(chapters)
  const head = [
    ...ascii('RIFF'),
    ...u32(36 + dataBytes + tail.length),
    ...ascii('WAVE'),
    ...chunk('fmt ', [
      ...u16(1),
      ...u16(1),
      ...u32(rate),
      ...u32(rate * bytesASample),
      ...u16(bytesASample),
      ...u16(8 * bytesASample),
    ]),
    ...ascii('data'),
    ...u32(dataBytes),
  ]
  return { head: Uint8Array.from(head), tail: Uint8Array.from(tail) }
}
