import fc from 'fast-check'
import type { Cue } from '#model/cue'
import { secondsToSay } from '#core/units'
import { usualCues } from './usual-cues.ts'

const cue = (id: string, at: Cue['at'], text?: string): Cue =>
  text === undefined ? { id, at, sound: { kind: 'wood', strokes: 1 } } : { id, at, text }
const soft = cue('soft', { fromStartS: 30 }, 'Soften the jaw')
const half = cue('half', { share: 0.5 }, 'Half of it')
const last = cue('last', { beforeEndS: 20 }, 'Twenty seconds more')
const ids = (cues: readonly Cue[]) => cues.map(({ id }) => id)

test('a hold with room for all cues has them as they are', () => {
  const cues = [soft, half, last]
  expect(usualCues(cues, 180)).toBe(cues)
})

test('in a hold under a minute and a half one thing is said, the one that was written first', () => {
  expect(ids(usualCues([soft, half, last], 89))).toEqual(['soft'])
  expect(ids(usualCues([half, soft, last], 60))).toEqual(['half'])
  expect(ids(usualCues([soft, half, last], 90))).not.toEqual(['soft'])
})

test('those that come too close to one written before are left out', () => {
  const late = cue('late', { fromStartS: 38 }, 'And the tongue')
  expect(ids(usualCues([soft, late, last], 180))).toEqual(['soft', 'last'])
})

test('sounds stay whatever stands beside them', () => {
  expect(ids(usualCues([soft, cue('wood', { share: 0.5 })], 60))).toEqual(['soft', 'wood'])
})

test('what is kept is apart and leaves most of the hold quiet, in the order it was written', () => {
  const moments = fc.oneof(
    fc.record({ fromStartS: fc.integer({ min: 0, max: 600 }) }),
    fc.record({ share: fc.double({ min: 0, max: 0.99, noNaN: true }) }),
    fc.record({ beforeEndS: fc.integer({ min: 1, max: 600 }) }),
  )
  const lists = fc.array(fc.record({ at: moments, words: fc.integer({ min: 1, max: 20 }) }), { maxLength: 8 })
  fc.assert(
    fc.property(lists, fc.integer({ min: 5, max: 1200 }), (drawn, holdS) => {
      const all = drawn.map(({ at, words }, n) =>
        cue(String(n), at, Array.from({ length: words }, () => 'word').join(' ')),
      )
      const kept = usualCues(all, holdS)
      expect(ids(kept)).toEqual(ids(all).filter((id) => ids(kept).includes(id)))
      const saidS = kept.reduce((sum, { text }) => sum + secondsToSay(text ?? ''), 0)
      expect(saidS).toBeLessThanOrEqual(Math.max(0, holdS / 3))
    }),
  )
})
