import fc from 'fast-check'
import {
  bodyOf,
  boundAngle,
  childsPose,
  childsPoseInv,
  findStacks,
  fold,
  forwardFold,
  forwardFoldHold,
  incline,
  kneeBolster,
  legsUpWall,
  stackHeight,
} from '#core/props'
import type { Calculated, FoldOp, Stocked } from '#core/props'

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const stature = number(120, 220)
const value = <T>(result: Calculated<T>): T | undefined => (result.ok ? result.value : undefined)
const radians = (degrees: number) => (degrees * Math.PI) / 180

const foldOps: fc.Arbitrary<FoldOp> = fc.oneof(
  fc.constantFrom<FoldOp>({ op: 'halfL' }, { op: 'halfW' }, { op: 'thirdL' }, { op: 'thirdW' }),
  fc.record({ op: fc.constantFrom('accordionL' as const, 'accordionW' as const), n: fc.integer({ min: 2, max: 5 }) }),
)
const sheet = { L: 200, W: 150, t: 0.1 }

test('folding keeps area times layers, and the order of folds does not matter to the numbers', () => {
  fc.assert(
    fc.property(fc.array(foldOps, { maxLength: 4 }), (ops) => {
      const [one, other] = [value(fold({ ...sheet, ops })), value(fold({ ...sheet, ops: ops.toReversed() }))]
      if (!one || !other || one.roll || other.roll) return
      expect(one.L * one.W * one.layers).toBeCloseTo(200 * 150, 5)
      expect([one.L, one.W, one.layers].map((n) => n.toFixed(6))).toEqual(
        [other.L, other.W, other.layers].map((n) => n.toFixed(6)),
      )
    }),
  )
})

test('a roll’s diameter depends on volume and length alone: folding first only makes it rounder', () => {
  fc.assert(
    fc.property(number(0.2, 1), (t) => {
      const once = value(fold({ L: 200, W: 150, t, ops: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'rollL' }] }))
      const again = value(
        fold({ L: 200, W: 150, t, ops: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }, { op: 'rollL' }] }),
      )
      if (!once?.roll || !again?.roll) throw new Error('not rolled')
      expect(again.diameter).toBeCloseTo(once.diameter, 8)
      expect(again.turns).toBeLessThan(once.turns)
    }),
  )
})

const loads = fc.integer({ min: 0, max: 25_000 }).map((hundredths) => hundredths / 100)

test('a stack goes down with the load, never below what its materials keep', () => {
  const layers = [
    { material: 'foamBlock', t: 10 },
    { material: 'blanket', t: 0.7, n: 8 },
  ]
  fc.assert(
    // Loads a hundredth of a kilogram apart: below that the rounding of the sum decides, not the stack.
    fc.property(loads, loads, number(20, 2000), (a, b, contactCm2) => {
      const height = (loadKg: number) => value(stackHeight({ layers, loadKg, contactCm2 }))?.height ?? Number.NaN
      const [light, heavy] = [height(Math.min(a, b)), height(Math.max(a, b))]
      expect(heavy).toBeLessThanOrEqual(light)
      expect(heavy).toBeGreaterThan(10 * 0.9 + 5.6 * 0.55)
    }),
  )
})

test('knees over a support: the two bones, laid out from hip to heel, end where the heel is', () => {
  fc.assert(
    fc.property(stature, number(0, 40), number(0, 20), (h, supportH, heelLift) => {
      const legs = value(kneeBolster({ stature: h, supportH, heelLift }))
      if (!legs) return
      const { thigh, shank, hipAboveBack, heelR } = bodyOf(h)
      const knee = {
        x: thigh * Math.cos(radians(legs.hipFlex)),
        y: hipAboveBack + thigh * Math.sin(radians(legs.hipFlex)),
      }
      const heel = {
        x: knee.x + shank * Math.cos(radians(legs.shankAngle)),
        y: knee.y - shank * Math.sin(radians(legs.shankAngle)),
      }
      expect(heel.x).toBeCloseTo(legs.hipToHeel, 6)
      expect(heel.y).toBeCloseTo(heelR + heelLift, 6)
    }),
  )
})

test('bound angle: at 0° the knee stands as high as its linkage, and the wider the lower', () => {
  fc.assert(
    fc.property(stature, number(0, 90), number(0, 90), number(5, 40), (h, a, b, heelGap) => {
      const at = (abductionDeg: number) => value(boundAngle({ stature: h, abductionDeg, heelGap }))?.kneeH
      const [narrow, wide] = [at(Math.min(a, b)), at(Math.max(a, b))]
      if (narrow === undefined || wide === undefined) return
      expect(wide).toBeLessThanOrEqual(narrow + 1e-9)
    }),
  )
})

test('child’s pose and its inverse undo each other', () => {
  fc.assert(
    fc.property(stature, number(1, 40), number(0, 20), (h, bolsterTop, seatPad) => {
      const pose = value(childsPose({ stature: h, bolsterTop, seatPad }))
      if (!pose || pose.torsoAngle < -20 || pose.torsoAngle > 60) return
      expect(value(childsPoseInv({ stature: h, torsoAngle: pose.torsoAngle, seatPad }))?.bolsterTop).toBeCloseTo(
        bolsterTop,
        6,
      )
    }),
  )
})

test('legs up the wall: stiffer hamstrings never lie nearer, and a touching pelvis is at the wall', () => {
  fc.assert(
    fc.property(stature, number(55, 130), number(55, 130), number(0, 20), (h, a, b, supportH) => {
      const at = (slrDeg: number) => value(legsUpWall({ stature: h, slrDeg, supportH }))
      const [stiff, loose] = [at(Math.min(a, b)), at(Math.max(a, b))]
      if (!stiff || !loose) return
      expect(loose.sitBoneToWall).toBeLessThanOrEqual(stiff.sitBoneToWall + 1e-9)
      if (loose.touching) expect(loose.sitBoneToWall).toBe(0)
    }),
  )
})

test('an incline’s shoulders stand as high as the trunk reaches from the seat', () => {
  fc.assert(
    fc.property(stature, number(5, 30), number(8, 20), number(0, 8), (h, blockH, thickness, seatH) => {
      const found = value(incline({ stature: h, bolsterLen: 90, thickness, blockH, seatH }))
      if (!found) return
      const { trunk, hipAboveSeat } = bodyOf(h)
      expect(found.shoulderH).toBeCloseTo(seatH + hipAboveSeat + trunk * Math.sin(radians(found.trunkAngle)), 6)
      expect(found.trunkAngle).toBeGreaterThanOrEqual(0)
    }),
  )
})

test('in a held fold the forehead only sinks, and layers go out one after the other within the hold', () => {
  fc.assert(
    fc.property(
      stature,
      number(90, 140),
      number(0, 20),
      number(0, 30),
      number(10, 900),
      (h, hipFlexDeg, seatH, gainDeg, holdS) => {
        const held = value(forwardFoldHold({ stature: h, hipFlexDeg, seatH, gainDeg, holdS }))
        const start = value(forwardFold({ stature: h, hipFlexDeg, seatH }))
        if (!held || !start) return
        expect(held.startH).toBe(start.headSupportH)
        expect(held.removeAtS.length).toBe(Math.max(0, Math.floor(held.drop / 2)))
        held.removeAtS.forEach((s, at) => {
          expect(s).toBeGreaterThanOrEqual(held.removeAtS[at - 1] ?? 0)
          expect(s).toBeLessThanOrEqual(holdS)
        })
      },
    ),
  )
})

const options = fc.uniqueArray(
  fc.record({
    opt: fc.constantFrom('flat', 'side', 'end'),
    h: number(0.5, 20),
    foot: fc.tuple(number(8, 80), number(8, 80)),
    round: fc.boolean(),
  }),
  {
    selector: ({ opt }) => opt,
    minLength: 1,
    maxLength: 3,
  },
)
const stock = fc.uniqueArray(
  fc.record({
    kind: fc.constantFrom('a', 'b', 'c', 'd'),
    rank: fc.integer({ min: 0, max: 2 }),
    count: fc.integer({ min: 0, max: 3 }),
    options,
  }),
  {
    selector: ({ kind }) => kind,
    maxLength: 4,
  },
)

/** Every valid stack by building all ordered lists of pieces and keeping those in the book's order. */
function bruteStacks(inventory: readonly Stocked[], maxPieces: number): Map<string, number> {
  const pieces = inventory.flatMap(({ kind, rank, options: ways }) =>
    ways.map((way) => ({
      kind,
      rank,
      ...way,
      long: Math.max(...way.foot),
      short: Math.min(...way.foot),
      mm: Math.floor(10 * way.h + 0.5),
    })),
  )
  type Piece = (typeof pieces)[number]
  const found = new Map<string, number>()
  const before = (a: Piece, b: Piece): boolean => {
    const keys: [number | string, number | string][] = [
      [a.rank, b.rank],
      [-a.long * a.short, -b.long * b.short],
      [-a.short, -b.short],
      [a.kind, b.kind],
      [a.opt, b.opt],
    ]
    const first = keys.find(([x, y]) => x !== y)
    return !first || first[0] < first[1]
  }
  const build = (stack: readonly Piece[]): void => {
    if (stack.length > 0) {
      const firm = stack.filter(({ rank }) => rank <= 1)
      const mm = stack.reduce((sum, piece) => sum + piece.mm, 0)
      const ratio = mm / 10 / Math.min(...(firm.length > 0 ? firm : stack).map(({ short }) => short))
      if (ratio <= 2 + 1e-9) found.set(stack.map(({ kind, opt }) => `${kind}:${opt}`).join('|'), mm)
    }
    if (stack.length === maxPieces) return
    for (const upper of pieces) {
      const lower = stack.at(-1)
      const enough =
        stack.filter(({ kind }) => kind === upper.kind).length <
        (inventory.find(({ kind }) => kind === upper.kind)?.count ?? 0)
      if (!enough || upper.mm <= 0) continue
      if (lower) {
        if (!before(lower, upper)) continue
        if (upper.rank <= 1 && lower.round) continue
        if (upper.rank === 0 && (upper.long > lower.long + 0.5 || upper.short > lower.short + 0.5)) continue
        if (upper.rank === 1 && (lower.long < upper.long / 2 || lower.short < upper.short / 2)) continue
      }
      build([...stack, upper])
    }
  }
  build([])
  return found
}

test('reach a height finds exactly the stacks that a plain search finds', () => {
  fc.assert(
    fc.property(stock, number(0.5, 60), number(0, 5), (inventory, H, tol) => {
      const [wanted, slack] = [Math.floor(10 * H + 0.5), Math.floor(10 * tol + 0.5)]
      const all = [...bruteStacks(inventory, 3)]
      const inside = all.filter(([, mm]) => Math.abs(mm - wanted) <= slack)
      const found = findStacks({ H, tol, inventory, maxPieces: 3, top: 1000 })
      if (found.ok) {
        expect(found.value.best.map(({ key }) => key).toSorted()).toEqual(inside.map(([key]) => key).toSorted())
        expect(found.value.count).toBe(inside.length)
        return
      }
      expect(inside).toEqual([])
      const nearest = (side: [string, number][]) => Math.min(...side.map(([, mm]) => Math.abs(mm - wanted)))
      const told = found.extra as { below: { height: number } | null; above: { height: number } | null }
      const below = all.filter(([, mm]) => mm < wanted)
      const above = all.filter(([, mm]) => mm > wanted)
      expect(told.below === null ? Infinity : wanted - Math.round(told.below.height * 10)).toBe(nearest(below))
      expect(told.above === null ? Infinity : Math.round(told.above.height * 10) - wanted).toBe(nearest(above))
    }),
  )
})
