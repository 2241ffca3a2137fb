import { bonesOf, boundsOf, distanceTo, elevation, mirrored, turnedTo } from '#core/figure'
import type { Bone, Elevation } from '#core/figure'
import { figureViews } from '#model/figure'
import type { FigureView } from '#model/figure'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'
import { bodyOf } from '../body/body.ts'
import type { Flat } from './outline.ts'
import { skinOf } from './skin.ts'
import type { SkinPart } from './skin.ts'
import { seenFrom, views } from './view.ts'

const cell = 1.2

const laid = setUps.flatMap((setUp) =>
  [150, 170, 190].flatMap((statureCm) => {
    const figure = figureOf(setUp)
    const one = elevation({ figure, items: setUp.items, kinds: propKinds, who: { statureCm } })
    if (!one.ok) throw new Error(one.code)
    return (['left', 'right'] as const).map((side) => ({
      name: `${setUp.id} ${String(statureCm)} ${side}`,
      laid: turnedTo(side, figure, one.value),
    }))
  }),
)
const skinned = laid.map(({ name, laid: one }) => ({ name, laid: one, skin: skinOf(bodyOf(one), one, 'side', cell) }))

function isIn({ u, v }: Flat, ring: readonly Flat[]): boolean {
  let inside = false
  ring.forEach((a, at) => {
    const b = ring[(at + 1) % ring.length] ?? a
    if (a.v > v !== b.v > v && u < a.u + ((v - a.v) * (b.u - a.u)) / (b.v - a.v)) inside = !inside
  })
  return inside
}
const isInSkin = (point: Flat, skin: readonly SkinPart[]): boolean =>
  skin.some(({ rings }) => rings.filter((ring) => isIn(point, ring)).length % 2 === 1)

/** Whether what presses flesh flat is there: the floor, a prop at that depth, the wall. */
const isPressed = ({ u, v }: Flat, z: number, { props, wallX, skeleton }: Elevation): boolean =>
  v < 0.6 ||
  (wallX !== undefined && (u - wallX) * Math.sign(wallX - skeleton.hip.x) > -0.6) ||
  props.some((prop) => prop.zFrom - 6 <= z && z <= prop.zTo + 6 && distanceTo(prop, { x: u, y: v }) < 0.6)

/** Places on both sides of a bone's middle line, half as far off as what the solver keeps free round it. */
function placesIn({ a, b, ra, rb, name }: Bone): { point: Flat; z: number }[] {
  const length = Math.hypot(b.x - a.x, b.y - a.y)
  // Up to the crown the neck is the head’s.
  const shares = name === 'neck' ? [0.2, 0.4] : [0.1, 0.3, 0.5, 0.7, 0.9]
  return shares.flatMap((share) => {
    const [u, v] = [a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share]
    const r = (ra + (rb - ra) * share) * 0.5
    const [across, up] = length > 1 ? [-(b.y - a.y) / length, (b.x - a.x) / length] : [0, 1]
    const z = a.z + (b.z - a.z) * share
    return [-1, 0, 1].map((side) => ({ point: { u: u + across * r * side, v: v + up * r * side }, z }))
  })
}

test('no skin is thinner than the bone in it, but where it is pressed', () => {
  const wrong = skinned.flatMap(({ name, laid: one, skin }) =>
    bonesOf(one.skeleton, one.frame).flatMap((bone) =>
      placesIn(bone).some(({ point, z }) => !isPressed(point, z, one) && !isInSkin(point, skin))
        ? [`${name}: ${bone.side ?? ''} ${bone.name}`]
        : [],
    ),
  )
  expect(wrong).toEqual([])
})

test('hands, feet and all else stay on the upper side of the floor, and out of what they lie on', () => {
  const wrong = skinned.flatMap(({ name, laid: one, skin }) =>
    bodyOf(one).parts.flatMap(({ name: part, side, strings }) => {
      const points = skin.find(({ key }) => key === `${side ?? ''} ${part}`)?.rings.flat() ?? []
      const depths = strings.flat().map(({ at }) => at.z)
      const low = points.some(({ v }) => v < -0.05)
      // Of what is deeper than the part is nothing of it is beside.
      const under = one.props.filter(({ zFrom, zTo }) => zFrom <= Math.min(...depths) && zTo >= Math.max(...depths))
      const inside = under.some((prop) => points.some(({ u, v }) => distanceTo(prop, { x: u, y: v }) < -0.8))
      return [...(low ? [`${name}: ${part} in the floor`] : []), ...(inside ? [`${name}: ${part} in a prop`] : [])]
    }),
  )
  expect(wrong).toEqual([])
})

const areaOf = (ring: readonly Flat[]): number =>
  ring.reduce((sum, a, at) => {
    const b = ring[(at + 1) % ring.length] ?? a
    return sum + (a.u * b.v - b.u * a.v) / 2
  }, 0)

function crossesItself(ring: readonly Flat[]): boolean {
  const turn = (p: Flat, q: Flat, r: Flat): number => (q.u - p.u) * (r.v - p.v) - (q.v - p.v) * (r.u - p.u)
  const sides = ring.map((a, at) => [a, ring[(at + 1) % ring.length] ?? a] as const)
  return sides.some(([a, b], at) =>
    sides
      .slice(at + 2, at === 0 ? -1 : undefined)
      .some(([c, d]) => turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0),
  )
}

test('no outline crosses itself, and each holds as much as what it is of', () => {
  const wrong = skinned.flatMap(({ name, skin }) =>
    skin.flatMap(({ key, is, rings }) => [
      ...(rings.some(crossesItself) ? [`${name}: ${key} crosses itself`] : []),
      ...(is === 'flesh' && Math.abs(rings.reduce((sum, ring) => sum + areaOf(ring), 0)) < 20
        ? [`${name}: ${key} is gone`]
        : []),
    ]),
  )
  expect(wrong).toEqual([])
})

const named = (id: string) => {
  const setUp = setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(id)
  const figure = figureOf(setUp)
  const one = elevation({ figure, items: setUp.items, kinds: propKinds, who: { statureCm: 170 } })
  if (!one.ok) throw new Error(one.code)
  return { figure, laid: one.value }
}
const toneOf = (skin: readonly SkinPart[], key: string) => skin.find((part) => part.key === key)?.tone

test('the far side is told from the near one by its tone; in the picture of the other side the legs have changed', () => {
  const { figure, laid: one } = named('low-lunge-full')
  for (const side of ['right', 'left'] as const) {
    const turned = turnedTo(side, figure, one)
    const skin = skinOf(bodyOf(turned), turned, 'side', cell)
    expect(toneOf(skin, 'left thigh')).toBe('far')
    expect(toneOf(skin, 'right thigh')).toBe('body')
    // The knee that is in front is the one of the side.
    const { left, right } = turned.skeleton
    expect(side === 'right' ? right.knee.x > left.knee.x : left.knee.x > right.knee.x).toBe(true)
  }
})

test('turned over twice a body is what it was', () => {
  const { laid: one } = named('reclined-bound-angle-full')
  expect(mirrored(mirrored(one))).toEqual(one)
})

test('the face is where the front is: up on the back, to the right on a seat, and both eyes are seen from before', () => {
  const marks = (id: string, view: FigureView): number => {
    const { laid: one } = named(id)
    return skinOf(bodyOf(one), one, view, cell).flatMap((part) => part.marks).length
  }
  // An eye and an ear of one side; from before both eyes; from behind an ear at most.
  expect(marks('chair-seat-full', 'side')).toBe(2)
  expect(marks('chair-seat-full', 'rightEnd')).toBe(2)
  expect(marks('chair-seat-full', 'leftEnd')).toBe(0)
  expect(marks('final-rest-lying-full', 'above')).toBe(2)
  const { laid: lying } = named('final-rest-lying-full')
  const { turn, centre } = bodyOf(lying).head
  expect(turn.front.y).toBeGreaterThan(0.8)
  expect(seenFrom(views.side, centre).u).toBeLessThan(boundsOf({ core: [lying.skeleton.hip], radius: 0 }).left)
})

test.each(figureViews)('from each side (%s) all of a body is seen', (view) => {
  const { laid: one } = named('bound-angle-seated-full')
  const skin = skinOf(bodyOf(one), one, view, cell)
  expect(new Set(skin.map(({ key }) => key.trim()))).toEqual(
    new Set([
      ...['trunk', 'head', 'hair'],
      ...['left', 'right'].flatMap((side) =>
        ['thigh', 'lowerLeg', 'upperArm', 'forearm'].map((part) => `${side} ${part}`),
      ),
    ]),
  )
})
