import fc from 'fast-check'
import type { Figure } from '#model/figure'
import type { SetUpItem } from '#model/set-up'
import { boneLengths, bonesOf, elevation, lengthOf, minus } from '#core/figure'
import type { Elevation } from '#core/figure'
import { propKinds } from '#library/prop-kinds'

const crossings = ['heelsInLine', 'footOnThigh', 'stackedShins', 'stackedKnees'] as const
const seatOf = (crossing?: (typeof crossings)[number]): Figure => ({
  ...{ kind: 'seated', legs: 'crossed', trunk: 'upright' },
  ...(crossing ? { crossing } : {}),
})
const seats: readonly (readonly SetUpItem[])[] = [
  [],
  [{ id: 'c', kind: 'seatCushion', count: 1, under: 'pelvis' }],
  [{ id: 'b', kind: 'rectBolster', count: 1, under: 'pelvis', turn: 'crosswise' }],
]
function laid(figure: Figure, items: readonly SetUpItem[], statureCm = 170): Elevation {
  const found = elevation({ figure, items, kinds: propKinds, who: { statureCm } })
  if (!found.ok) throw new Error(found.code)
  return found.value
}

test('crossed in any way, on any seat, every bone is as long as it is and the lower knee as high as the book has it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...crossings),
      fc.constantFrom(...seats),
      fc.integer({ min: 120, max: 220 }),
      (crossing, items, statureCm) => {
        const [usual, other] = [laid(seatOf(), items, statureCm), laid(seatOf(crossing), items, statureCm)]
        const lengths = boneLengths(other.frame)
        for (const { name, a, b } of bonesOf(other.skeleton, other.frame))
          expect(lengthOf(minus(a, b))).toBeCloseTo(lengths[name], 6)
        const { left, right } = other.skeleton
        expect(Math.min(left.knee.y, right.knee.y)).toBeCloseTo(usual.skeleton.right.knee.y, 0)
        expect(other.numbers).toEqual(usual.numbers)
      },
    ),
  )
})

test('a foot of a half lotus is over the other thigh, knees are over knees, shins over shins, heels one before the other', () => {
  const at = (crossing: (typeof crossings)[number]) => laid(seatOf(crossing), []).skeleton
  const lotus = at('footOnThigh')
  expect(lotus.right.toe.z).toBeLessThan(0)
  expect(lotus.right.ankle.y).toBeGreaterThan(lotus.left.hip.y)
  const knees = at('stackedKnees')
  expect(Math.abs(knees.right.knee.z - knees.left.knee.z)).toBeLessThan(4)
  expect(knees.right.knee.y).toBeGreaterThan(knees.left.knee.y)
  expect(knees.right.ankle.z).toBeLessThan(0)
  expect(knees.left.ankle.z).toBeGreaterThan(0)
  const shins = at('stackedShins')
  expect(shins.right.ankle.y - shins.left.ankle.y).toBeGreaterThan(5)
  expect(shins.right.ankle.z).toBeLessThan(0)
  const heels = at('heelsInLine')
  expect(heels.left.ankle.x).toBeGreaterThan(heels.right.ankle.x)
  for (const { ankle } of [heels.left, heels.right]) expect(Math.abs(ankle.z)).toBeLessThan(4)
})
