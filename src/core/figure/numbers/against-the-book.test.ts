import type { Figure } from '#model/figure'
import type { SetUpItem } from '#model/set-up'
import {
  boundAngle,
  chairFeet,
  childsPose,
  incline,
  kneeBolster,
  legsUpWall,
  pelvisRaised,
  seatCross,
} from '#core/props'
import type { Calculated } from '#core/props'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { elevation } from '../elevation.ts'
import type { Elevation } from '../elevation.ts'
import { measuresOf } from './measures.ts'
import type { MeasureName } from './measures.ts'
import { boundsOf, distanceTo } from '../geometry/shape.ts'

type Laid = Omit<SetUpItem, 'id'>
const statures = [150, 160, 170, 180, 195]
function drawn(figure: Figure, items: readonly Laid[], statureCm: number): Elevation {
  const laid = elevation({
    figure,
    items: items.map((item, at) => ({ id: `i${String(at)}`, ...item })),
    kinds: propKinds,
    who: { statureCm },
  })
  if (!laid.ok) throw new Error(`${laid.code} ${laid.field}`)
  return laid.value
}
function value<T>(calculated: Calculated<T>): T {
  if (!calculated.ok) throw new Error(calculated.code)
  return calculated.value
}
const heightOf = ({ piles }: Elevation, part: SetUpItem['under']): number =>
  piles.find((pile) => pile.part === part)?.height ?? 0
const measured = (figure: Figure, shown: Elevation, what: MeasureName) =>
  measuresOf(figure, shown).find((measure) => measure.what === what)
const one = (kind: SetUpItem['kind'], under: SetUpItem['under'], more: Partial<Laid> = {}): Laid => ({
  kind,
  count: 1,
  under,
  ...more,
})
const folded = (under: SetUpItem['under'], fold: keyof typeof namedFolds, more: Partial<Laid> = {}): Laid =>
  one('blanket', under, { folds: [...namedFolds[fold]], ...more })
const long: Figure = { kind: 'lying', legs: 'long' }

describe.each(statures)('a person of %i cm', (stature) => {
  test('over a round roll the drawn linkage is the book’s: knee, hip and heel', () => {
    const shown = drawn(long, [folded('knees', 'roll'), folded('head', 'standard')], stature)
    const { right } = shown.skeleton
    const numbers = value(kneeBolster({ stature, supportH: heightOf(shown, 'knees') }))
    const hipFlex =
      (Math.atan2(right.knee.y - right.hip.y, Math.hypot(right.knee.x - right.hip.x, right.knee.z - right.hip.z)) *
        180) /
      Math.PI
    // Round and narrow: the thigh lies on it just before the knee, so the two are nearly one.
    expect(Math.abs(hipFlex - numbers.hipFlex)).toBeLessThan(4)
    expect(right.ankle.y).toBeCloseTo(shown.frame.heelR, 5)
    expect(measured(long, shown, 'kneeBend')?.value).toBe(numbers.kneeFlex)
  })

  test('at the wall the heels touch it, the sit bones lie as far off as the book says', () => {
    const wall: Figure = { kind: 'lying', legs: 'wall', legRaiseDeg: 80 }
    const shown = drawn(wall, [one('wall', 'feet', { lies: 'behind' }), folded('head', 'quarter')], stature)
    const numbers = value(legsUpWall({ stature, slrDeg: 80 }))
    expect((shown.wallX ?? NaN) - shown.skeleton.hip.x).toBeCloseTo(numbers.hipToWall)
    // The book's leg ends at the heel's back, the drawn one at the ankle joint: nearer than the foot is long.
    expect((shown.wallX ?? NaN) - shown.skeleton.right.ankle.x).toBeLessThan(shown.frame.heelR + 2)
    expect(measured(wall, shown, 'sitBonesToWall')?.value).toBeCloseTo(numbers.sitBoneToWall)
    expect(measured(wall, shown, 'heelsHeight')).toMatchObject({ value: numbers.heelHeight, about: false })
  })

  test('legs wide apart at the wall bring the heels lower than straight ones, and the number says so', () => {
    const wide = (spreadDeg: number): number => {
      const wall: Figure = { kind: 'lying', legs: 'wall', legRaiseDeg: 85, spreadDeg }
      return (
        measured(wall, drawn(wall, [one('wall', 'feet', { lies: 'behind' })], stature), 'heelsHeight')?.value ?? NaN
      )
    }
    expect(wide(4) - wide(40)).toBeGreaterThan(0.1 * stature)
  })

  test('raised at the wall, the support’s edge stands where the book has it', () => {
    const wall: Figure = { kind: 'lying', legs: 'wall', legRaiseDeg: 80 }
    const shown = drawn(wall, [one('wall', 'feet', { lies: 'behind' }), folded('pelvis', 'narrow')], stature)
    const numbers = value(legsUpWall({ stature, slrDeg: 80, supportH: heightOf(shown, 'pelvis') }))
    const edge = Math.max(...shown.props.filter(({ part }) => part === 'pelvis').map((prop) => boundsOf(prop).right))
    const fromWall = (shown.wallX ?? NaN) - edge
    // The book's tail drop tips the sit bones by a few degrees more than the edge is drawn for.
    expect(Math.abs(fromWall - (numbers.supportEdgeToWall ?? NaN))).toBeLessThan(1)
  })

  test('in bound angle without support the knees hang where the book’s circle has them', () => {
    const shown = drawn(
      { kind: 'lying', legs: 'bound', abductionDeg: 60, heelGapMm: 200 },
      [folded('head', 'standard')],
      stature,
    )
    expect(shown.skeleton.right.knee.y).toBeCloseTo(value(boundAngle({ stature, abductionDeg: 60 })).kneeH, 0)
  })

  test('child’s fold sits at the book’s height, its torso tilted as the book says within 12 degrees', () => {
    const shown = drawn(
      { kind: 'childFold', spreadDeg: 32 },
      [one('rectBolster', 'chest', { turn: 'lengthwise' })],
      stature,
    )
    const numbers = value(childsPose({ stature, bolsterTop: heightOf(shown, 'chest') }))
    const { hip, shoulder } = shown.skeleton
    expect(hip.y).toBeCloseTo(numbers.hipH)
    // The drawn trunk drapes over the bolster's end, the book's is rigid.
    expect(
      Math.abs((Math.atan2(shoulder.y - hip.y, shoulder.x - hip.x) * 180) / Math.PI - numbers.torsoAngle),
    ).toBeLessThan(12)
  })

  test('on a slope the bolster lies on its block’s edge and on the floor, at the book’s angle', () => {
    const shown = drawn(
      long,
      [
        folded('pelvis', 'standard'),
        one('foamBlock', 'upperBack', { turn: 'side' }),
        one('rectBolster', 'upperBack', { turn: 'lengthwise' }),
        folded('head', 'standard'),
      ],
      stature,
    )
    const [block, bolster] = [
      shown.props.find(({ piece }) => piece.kind === 'foamBlock'),
      shown.props.find(({ piece }) => piece.kind === 'rectBolster'),
    ]
    if (!block || !bolster) throw new Error('no slope')
    const edge = boundsOf(block)
    expect(Math.abs(distanceTo(bolster, { x: edge.right, y: edge.high }))).toBeLessThan(0.6)
    expect(boundsOf(bolster).low).toBeGreaterThan(-0.01)
    const numbers = value(
      incline({
        stature,
        bolsterLen: 66,
        thickness: bolster.piece.loaded,
        blockH: block.piece.loaded,
        seatH: heightOf(shown, 'pelvis'),
        headPad: heightOf(shown, 'head'),
      }),
    )
    expect(measured(long, shown, 'bolsterAngle')?.value).toBeCloseTo(numbers.bolsterAngle)
    expect(measured(long, shown, 'headAboveHeart')?.value).toBeCloseTo(numbers.headAboveHeart)
  })

  test('with the pelvis raised the shoulders lie on the floor, and the numbers are the book’s', () => {
    const bent: Figure = { kind: 'lying', legs: 'bent' }
    const shown = drawn(bent, [folded('pelvis', 'narrow'), folded('head', 'quarter')], stature)
    const numbers = value(
      pelvisRaised({ stature, pelvisH: heightOf(shown, 'pelvis'), headPad: heightOf(shown, 'head') }),
    )
    expect(shown.skeleton.shoulder.y - shown.frame.chestR).toBeLessThan(2)
    expect(measured(bent, shown, 'pelvisSlope')?.value).toBe(numbers.slope)
  })

  test('cross-legged the seat lifts the knees by its share of the height, never into the floor', () => {
    const crossed: Figure = { kind: 'seated', legs: 'crossed', trunk: 'upright', thighUpDeg: 10 }
    const [floor, seat] = [drawn(crossed, [], stature), drawn(crossed, [folded('pelvis', 'narrow')], stature)]
    const numbers = value(seatCross({ stature, thighUpDeg: 10 }))
    expect(floor.skeleton.right.knee.y).toBeCloseTo(numbers.kneeH0)
    const raised = seat.skeleton.right.knee.y - floor.skeleton.right.knee.y
    expect(raised).toBeCloseTo(0.25 * heightOf(seat, 'pelvis'), 1)
    expect(measured(crossed, seat, 'seatWanted')?.value).toBeCloseTo(numbers.seatH)
  })

  test('on a chair the feet come to the floor, or hang as far as the book says', () => {
    const sitting: Figure = { kind: 'chair', trunk: 'upright' }
    const shown = drawn(sitting, [one('chair', 'pelvis')], stature)
    const { footSupport } = value(chairFeet({ stature, seatH: 45 }))
    const above = shown.skeleton.right.ankle.y - shown.frame.ankleH
    // The book reckons from the back of the knee, the drawn thigh lies level on the seat.
    expect(Math.abs(above - footSupport)).toBeLessThan(4)
    expect(measured(sitting, shown, 'footSupport')?.value).toBe(footSupport >= 1 ? footSupport : undefined)
  })
})

test('a seat too high for the thighs lifts the pelvis by what is missing, and says so', () => {
  const calves: Figure = { kind: 'lying', legs: 'chair' }
  const laid = elevation({
    figure: calves,
    items: [{ id: 'c', kind: 'chair', count: 1, under: 'shins' }],
    kinds: propKinds,
    who: { statureCm: 150 },
  })
  if (!laid.ok) throw new Error(laid.code)
  const { lift = 0, skeleton, frame } = laid.value
  expect(lift).toBeGreaterThan(1)
  expect(skeleton.hip.y).toBeCloseTo(frame.hipAboveBack + lift)
})
