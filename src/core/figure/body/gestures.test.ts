import { boneLengths, bonesOf, elevation, mirrored } from '#core/figure'
import type { Figure } from '#model/figure'
import { poses } from '#library/poses'
import { propKinds } from '#library/prop-kinds'

const laid = (figure: Figure) => {
  const one = elevation({ figure, items: [], kinds: propKinds, who: { statureCm: 170 } })
  if (!one.ok) throw new Error(one.code)
  return one.value
}
const seat: Figure = { kind: 'seated', legs: 'crossed', trunk: 'upright' }
const plain = laid(seat)

test.each(poses.flatMap(({ id, figure }) => (figure?.gesture ? [{ id, figure }] : [])))(
  'every bone of $id stays as long as it is, on both sides',
  ({ figure }) => {
    const one = laid(figure)
    const lengths = boneLengths(one.frame)
    for (const body of [one, mirrored(one)])
      for (const { name, a, b } of bonesOf(body.skeleton, body.frame))
        expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeCloseTo(lengths[name], 6)
  },
)

test('a turn takes the right shoulder back and the left forward; head and seat stay over each other', () => {
  const { left, right, shoulder, hip } = laid({ ...seat, gesture: 'turn' }).skeleton
  expect(right.shoulder.x).toBeLessThan(shoulder.x - 5)
  expect(left.shoulder.x).toBeGreaterThan(shoulder.x + 5)
  expect(shoulder).toEqual(plain.skeleton.shoulder)
  expect(hip).toEqual(plain.skeleton.hip)
  // The left hand is at the right knee.
  expect(left.wrist.z).toBeGreaterThan(10)
})

test('a side bend goes to the right, the left arm over the head', () => {
  const { crown, left, shoulder } = laid({ ...seat, trunk: 'sideways', gesture: 'sideBend' }).skeleton
  expect(shoulder.z).toBeGreaterThan(8)
  expect(crown.z).toBeGreaterThan(shoulder.z)
  expect(left.wrist.y).toBeGreaterThan(shoulder.y)
  expect(left.wrist.z).toBeGreaterThan(0)
})

test('lying in a curve, head and feet are on one side of the hips, and nothing leaves the floor', () => {
  const straight = laid({ kind: 'lying', legs: 'long', arms: 'overhead' }).skeleton
  const { crown, left, right } = laid({ kind: 'lying', legs: 'long', arms: 'overhead', gesture: 'crescent' }).skeleton
  expect(crown.z).toBeGreaterThan(15)
  expect(right.ankle.z).toBeGreaterThan(straight.right.ankle.z + 8)
  expect(left.ankle.z).toBeGreaterThan(straight.left.ankle.z + 8)
  expect(crown.y).toBeCloseTo(straight.crown.y, 6)
})

test('an ear towards the right shoulder, a hand behind the neck and one behind the back', () => {
  expect(laid({ ...seat, gesture: 'headAside' }).skeleton.crown.z).toBeGreaterThan(8)
  const { left, right, shoulder } = laid({ ...seat, gesture: 'armsBehind' }).skeleton
  expect(right.elbow.y).toBeGreaterThan(right.shoulder.y)
  expect(left.elbow.y).toBeLessThan(left.shoulder.y)
  for (const { wrist } of [left, right]) expect(wrist.x).toBeLessThan(shoulder.x)
})

test('face down the right arm lies wide, or both lie crossed', () => {
  const wide = laid({ kind: 'prone', trunk: 'flat', gesture: 'armWide' }).skeleton
  expect(wide.right.wrist.z).toBeGreaterThan(60)
  const crossed = laid({ kind: 'prone', trunk: 'flat', gesture: 'armsCrossedUnder' }).skeleton
  expect(crossed.right.wrist.z).toBeLessThan(0)
  expect(crossed.left.wrist.z).toBeGreaterThan(0)
})
