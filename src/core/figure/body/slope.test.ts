import fc from 'fast-check'
import type { SetUpItem } from '#model/set-up'
import { elevation, seatForEdge } from '#core/figure'
import type { Elevation } from '#core/figure'
import { isLengthwise, isLong } from '#core/props'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { inclineOf } from './slope.ts'

const bolster: SetUpItem = { id: 'b', kind: 'rectBolster', count: 1, under: 'upperBack', turn: 'lengthwise' }
const block = (turn: 'flat' | 'side' | 'end' = 'side'): SetUpItem => ({
  id: 'k',
  kind: 'foamBlock',
  count: 1,
  under: 'upperBack',
  turn,
})
const blanket = (under: 'pelvis' | 'upperBack'): SetUpItem => ({
  id: under,
  kind: 'blanket',
  count: 1,
  under,
  folds: [...namedFolds.standard],
})
function laid(items: readonly SetUpItem[], statureCm = 170): Elevation {
  const drawn = elevation({ figure: { kind: 'lying', legs: 'long' }, items, kinds: propKinds, who: { statureCm } })
  if (!drawn.ok) throw new Error(drawn.code)
  return drawn.value
}

test('what is long carries a trunk; only what lies long along the body makes a slope', () => {
  expect([isLong({ along: 39.9 }), isLong({ along: 40 })]).toEqual([false, true])
  expect([isLengthwise({ along: 66, across: 30 }), isLengthwise({ along: 66, across: 70 })]).toEqual([true, false])
  expect(laid([{ ...bolster, turn: 'crosswise' }]).slope).toBeUndefined()
  expect(laid([bolster]).slope).toMatchObject({ blockH: 0 })
})

test('a slope knows what raises it, what lies on it, and how steep it is by the book', () => {
  const { slope, numbers } = laid([block(), bolster, blanket('upperBack')])
  expect(slope?.blocks.map(({ kind }) => kind)).toEqual(['foamBlock'])
  expect(slope?.long.map(({ kind }) => kind)).toEqual(['rectBolster', 'blanket'])
  expect(numbers.incline).toMatchObject({ ok: true, warnings: expect.any(Array) })
  const flat = laid([bolster]).numbers.incline
  expect(flat?.ok && flat.value.bolsterAngle).toBe(0)
})

test('the least seat for the edge brings it within its limit, and half a centimetre less does not', () => {
  const turns = fc.constantFrom('flat' as const, 'side' as const, 'end' as const)
  fc.assert(
    fc.property(fc.integer({ min: 150, max: 195 }), turns, (statureCm, turn) => {
      const { slope, frame: f, piles } = laid([block(turn), bolster], statureCm)
      if (!slope) throw new Error('no slope')
      const seatH = seatForEdge({ f, piles }, slope)
      if (seatH === undefined) return
      const at = (height: number) => inclineOf({ f, piles }, slope, height)
      const [now, lower] = [at(seatH), at(seatH - 0.5)]
      expect(now.ok && now.value.edge <= now.value.edgeLimit).toBe(true)
      if (seatH > 0) expect(lower.ok && lower.value.edge <= lower.value.edgeLimit).toBe(false)
    }),
    { numRuns: 60 },
  )
})
