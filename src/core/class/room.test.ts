import fc from 'fast-check'
import type { Room } from '#model/place'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { bellowsHouse } from '#server/demo/bellows-house'
import { aHold, aSession } from '#testing/sessions'
import { floorWanted, roomPlan, teacherCm } from './index.ts'
import type { OnFloor } from './index.ts'

const wanted = (...blocks: Parameters<typeof aSession>[0] & object) =>
  floorWanted(orThrow(compileTimeline(aSession(blocks), shippedCatalog)))

test('the widest shape tells how far the mats stand apart, and a chair makes them longer', () => {
  const bare = aHold('knees-to-chest', { setUpItems: [] })
  expect(wanted(bare)).toEqual({ gapCm: 30, chairCm: 0, atWall: [] })
  const padded = aHold('sphinx', { setUpItems: [{ id: 'p', kind: 'blanket', count: 1, under: 'head' }] })
  expect(wanted(bare, padded).gapCm).toBe(60)
  expect(wanted(bare, padded, aHold('straddle-fold')).gapCm).toBe(90)
  expect(wanted(aHold('chair-seat')).chairCm).toBe(60)
  expect(wanted(bare, aHold('legs-up-the-wall', { id: 'wall' })).atWall).toMatchObject([
    { blockId: 'wall', holdS: expect.any(Number) as number },
  ])
})

const workshop = bellowsHouse.rooms[0] as Room

test('the old workshop takes so many, and so many at its river wall', () => {
  // 720 wide: (720 − 60 + 60) ÷ 121 = 5 across; 1140 − 150 long: (990 − 60 + 60) ÷ 243 = 4 along.
  const plan = roomPlan(workshop, 16, { gapCm: 60, chairCm: 0 })
  expect(plan.most).toBe(20)
  expect(plan.mats).toHaveLength(16)
  // (920 − 30 + 60) ÷ 121 = 7.
  expect(plan.mostAtWall).toBe(7)
  expect(roomPlan(workshop, 40, { gapCm: 60, chairCm: 0 }).mats).toHaveLength(20)
  // The last row stands in the middle too.
  const last = plan.mats.at(-1)
  expect(last && last.x + last.width / 2).toBeCloseTo(360)
})

const apart = (a: OnFloor, b: OnFloor, gap: number): boolean =>
  a.x + a.width + gap <= b.x + 0.01 ||
  b.x + b.width + gap <= a.x + 0.01 ||
  a.y + a.length + gap <= b.y + 0.01 ||
  b.y + b.length + gap <= a.y + 0.01

test('no mat lies outside the room, on the teacher, or nearer to another than it may', () => {
  const mm = fc.integer({ min: 2500, max: 20_000 })
  fc.assert(
    fc.property(
      mm,
      mm,
      fc.integer({ min: 0, max: 60 }),
      fc.constantFrom(30, 60, 90),
      (lengthMm, widthMm, people, gapCm) => {
        const { mats, most } = roomPlan({ lengthMm, widthMm, walls: [] }, people, { gapCm, chairCm: 0 })
        expect(mats).toHaveLength(Math.min(people, most))
        for (const [at, one] of mats.entries()) {
          expect(one.x).toBeGreaterThanOrEqual(0)
          expect(one.y).toBeGreaterThanOrEqual(teacherCm)
          expect(one.x + one.width).toBeLessThanOrEqual(widthMm / 10 + 0.01)
          expect(one.y + one.length).toBeLessThanOrEqual(lengthMm / 10 + 0.01)
          for (const other of mats.slice(at + 1)) expect(apart(one, other, Math.min(gapCm, 60))).toBe(true)
        }
      },
    ),
    { numRuns: 80 },
  )
})
