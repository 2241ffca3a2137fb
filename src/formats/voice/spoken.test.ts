import fc from 'fast-check'
import { evenLoudness, mostPeak, spokenMs, spokenOf } from './spoken.ts'

const rate = 8000
/** So many seconds of a tone between two quiets, with the noise of a room under it. */
function recorded({ beforeS = 0.5, saidS = 1, afterS = 0.7, gain = 0.2, room = 0 } = {}): Float32Array<ArrayBuffer> {
  const [from, to] = [beforeS * rate, (beforeS + saidS) * rate]
  return Float32Array.from({ length: Math.round((beforeS + saidS + afterS) * rate) }, (_, at) => {
    const hiss = room * Math.sin(at * 2.7)
    return at >= from && at < to ? gain * Math.sin(at / 4) + hiss : hiss
  })
}
const ready = (samples: Float32Array<ArrayBuffer>) => spokenOf({ samples, rate })
const loudest = (samples: Float32Array) => samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0)
const wholeLoudness = (samples: Float32Array) =>
  Math.sqrt(samples.reduce((sum, sample) => sum + sample ** 2, 0) / samples.length)

test('the quiet before the first word and after the last one goes, with a breath of it left on each side', () => {
  for (const room of [0, 0.002]) {
    const spoken = ready(recorded({ room }))
    expect(spoken && spokenMs(spoken)).toBeGreaterThanOrEqual(1000)
    expect(spoken && spokenMs(spoken)).toBeLessThanOrEqual(1300)
  }
  const long = ready(recorded({ beforeS: 4, afterS: 6 }))
  expect(long && spokenMs(long)).toBeLessThanOrEqual(1300)
})

test('a pause between two words stays', () => {
  const twice = new Float32Array([...recorded({ afterS: 1 }), ...recorded()])
  const spoken = ready(twice)
  expect(spoken && spokenMs(spoken)).toBeGreaterThan(3400)
})

test('where nothing is heard but the room there is nothing to keep', () => {
  expect(ready(new Float32Array(rate))).toBeUndefined()
  expect(ready(new Float32Array(0))).toBeUndefined()
  expect(ready(recorded({ gain: 0, room: 0.001 }))).toBeUndefined()
})

test('what was said softly and what was said loudly come out as loud, and nothing clips', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 1, noNaN: true }),
      fc.double({ min: 0.2, max: 2, noNaN: true }),
      (gain, saidS) => {
        const spoken = ready(recorded({ gain, saidS }))
        expect(spoken).toBeDefined()
        if (!spoken) return
        expect(loudest(spoken.samples)).toBeLessThanOrEqual(mostPeak + 1e-6)
        const middle = spoken.samples.subarray(0.1 * rate, 0.1 * rate + saidS * rate * 0.8)
        expect(wholeLoudness(middle)).toBeGreaterThan(evenLoudness * 0.85)
        expect(wholeLoudness(middle)).toBeLessThan(evenLoudness * 1.15)
      },
    ),
    { numRuns: 60 },
  )
})

test('one loud knock does not make the words too soft to hear, and both ends begin and end in silence', () => {
  const knocked = recorded()
  knocked[6000] = 1
  const spoken = ready(knocked)
  expect(spoken && loudest(spoken.samples)).toBeLessThanOrEqual(mostPeak + 1e-6)
  expect(spoken && wholeLoudness(spoken.samples)).toBeGreaterThan(evenLoudness / 2)
  expect(Math.abs(spoken?.samples[0] ?? 1)).toBeLessThan(0.01)
  expect(Math.abs(spoken?.samples.at(-1) ?? 1)).toBeLessThan(0.01)
})
