import fc from 'fast-check'
import { frameOf, gainFor, mixed, most, peakOf, toInt16 } from './mix.ts'
import type { Mix } from './mix.ts'
import { wavAround } from './wav.ts'

const whole = (mix: Mix, pieceFrames: number): number[] =>
  [...mixed(mix, pieceFrames)].flatMap((one) => ('silent' in one ? Array<number>(one.silent).fill(0) : [...one]))

const mixes = fc
  .record({
    frames: fc.integer({ min: 1, max: 400 }),
    strokes: fc.array(fc.array(fc.integer({ min: -8, max: 8 }), { minLength: 1, maxLength: 60 }), {
      minLength: 1,
      maxLength: 3,
    }),
    at: fc.array(fc.tuple(fc.nat(420), fc.nat(2)), { maxLength: 12 }),
  })
  .map(({ frames, strokes, at }): Mix => ({
    ...{ rate: 1000, frames },
    strokes: strokes.map((samples) => Float32Array.from(samples, (sample) => sample / 8)),
    placed: at
      .map(([frame, stroke]) => ({ frame, stroke: stroke % strokes.length }))
      .toSorted((a, b) => a.frame - b.frame),
  }))

test('every sound begins at its frame and is added to what sounds there, however the file is cut into pieces', () => {
  fc.assert(
    fc.property(mixes, fc.integer({ min: 1, max: 120 }), (mix, pieceFrames) => {
      const plain = Array<number>(mix.frames).fill(0)
      for (const { frame, stroke } of mix.placed)
        mix.strokes[stroke]?.forEach((sample, at) => {
          if (frame + at < mix.frames) plain[frame + at] = (plain[frame + at] ?? 0) + sample
        })
      expect(whole(mix, pieceFrames)).toEqual(plain.map((sample) => sample + 0))
      expect(peakOf(mix, pieceFrames)).toBe(Math.max(0, ...plain.map(Math.abs)))
    }),
    { numRuns: 100 },
  )
})

test('what would clip is made quieter as a whole; what is quiet stays as it is', () => {
  fc.assert(
    fc.property(mixes, (mix) => {
      const gain = gainFor(peakOf(mix, 50))
      for (const one of mixed(mix, 50)) {
        if ('silent' in one) continue
        for (const sample of toInt16(one, gain)) expect(Math.abs(sample)).toBeLessThanOrEqual(Math.ceil(most * 32_767))
      }
    }),
    { numRuns: 60 },
  )
  expect(gainFor(0.5)).toBe(1)
})

test('an instant in whole milliseconds has a whole frame at the rates that are used', () => {
  for (const rate of [24_000, 48_000])
    for (const ms of [0, 1, 999, 3_599_999]) expect(frameOf(ms, rate)).toBe((ms * rate) / 1000)
})

/** The chunks of a file by their names, with where each begins and how long it is. */
function chunksOf(bytes: Uint8Array): Map<string, { at: number; length: number }> {
  const view = new DataView(bytes.buffer)
  const chunks = new Map<string, { at: number; length: number }>()
  let at = 12
  while (at + 8 <= bytes.length) {
    const length = view.getUint32(at + 4, true)
    chunks.set(new TextDecoder().decode(bytes.slice(at, at + 4)), { at: at + 8, length })
    at += 8 + length + (length % 2)
  }
  expect(at).toBe(bytes.length)
  return chunks
}

test('a WAV file says its own length, rate and samples, and has the chapters with their names', () => {
  const samples = new Uint8Array(Int16Array.from([0, 1000, -1000, 5]).buffer)
  const { head, tail } = wavAround({
    rate: 24_000,
    frames: 4,
    chapters: [
      { frame: 0, name: 'Arrive' },
      { frame: 2, name: 'Śavāsana' },
    ],
  })
  const bytes = Uint8Array.from([...head, ...samples, ...tail])
  const view = new DataView(bytes.buffer)
  expect(view.getUint32(4, true)).toBe(bytes.length - 8)
  const chunks = chunksOf(bytes)
  expect([...chunks.keys()]).toEqual(['fmt ', 'data', 'cue ', 'LIST'])
  const format = chunks.get('fmt ')?.at ?? 0
  expect([
    view.getUint16(format, true),
    view.getUint16(format + 2, true),
    view.getUint32(format + 4, true),
    view.getUint32(format + 8, true),
    view.getUint16(format + 14, true),
  ]).toEqual([1, 1, 24_000, 48_000, 16])
  expect(chunks.get('data')).toEqual({ at: 44, length: 8 })
  const cue = chunks.get('cue ')?.at ?? 0
  expect([view.getUint32(cue, true), view.getUint32(cue + 4 + 24 + 4, true)]).toEqual([2, 2])
  expect(new TextDecoder().decode(tail)).toContain('Śavāsana')
  expect(wavAround({ rate: 24_000, frames: 4, chapters: [] }).tail).toHaveLength(0)
})
