import type { FigureOf } from '#model/figure'
import { isLong } from '#core/props'
import type { Calculated } from '#core/props'
import type { Arm } from '../body/arms.ts'
import type { Leg } from '../body/legs.ts'
import { asinOf, from, middleJoint, reached, turnUntilClear, turnUntilContact } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, isClear, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { floorAt } from '../geometry/shape.ts'
import type { Surface } from '../geometry/shape.ts'

/** Half breadths of the trunk lying on its side, and of the head, as shares of the stature [estimates]. */
const breadth = { hip: 0.09, waist: 0.07, shoulder: 0.1, head: 0.045 } as const

/** On the side, seen from the front, the head at the left: head filled, one knee on the floor, the other carried. */
export function sideLying(figure: FigureOf<'side'>, scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const r = {
    hip: breadth.hip * f.stature,
    waist: breadth.waist * f.stature,
    shoulder: breadth.shoulder * f.stature,
    head: breadth.head * f.stature,
  }
  const hip: Point3 = { x: 0, y: r.hip, z: 0 }
  const under = pileUnder(scene, 'lowBack') ?? pileUnder(scene, 'chest')
  const roll = placed(under, floorAt(-f.lowTrunk * 0.95))
  const posed = (low: number) => {
    const waist = from(hip, 180 - low, f.lowTrunk)
    const ribs = low - Math.min(45, 2 * low)
    return { waist, ribs, shoulder: from(waist, 180 - ribs, f.ribCage) }
  }
  const { waist, ribs, shoulder } = posed(
    turnUntilClear(0, 50, (low) => {
      const laid = posed(low)
      return isClear(
        [
          { a: hip, b: laid.waist, ra: r.hip * 0.9, rb: r.waist },
          { a: laid.waist, b: laid.shoulder, ra: r.waist, rb: r.shoulder * 0.9 },
        ],
        roll,
      )
    }),
  )
  const pile = pileUnder(scene, 'head')
  const crownAt = (above: number): Point3 => from(shoulder, 180 - above, f.headNeck)
  const centreOf = (above: number): Point3 => from(shoulder, 180 - above, f.headAlong)
  const pads = (above: number): readonly PlacedProp[] => placed(pile, floorAt(centreOf(above).x - 0.025 * f.stature))
  const neck = turnUntilContact(ribs + 30, ribs - 40, (above) =>
    isClear([{ a: centreOf(above), b: centreOf(above), ra: r.head, rb: r.head }], pads(above)),
  )
  const legs = sideLegs(scene, hip, r.hip, lowerLegs[figure.legs ?? 'forward'])
  const [lower, upper] = [sideArm(scene, shoulder, -1), sideArm(scene, shoulder, 1)]
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: {
        hip,
        waist,
        shoulder,
        crown: crownAt(neck),
        right: { ...legs.lower, ...lower.arm },
        left: { ...legs.upper, ...upper.arm },
      },
      props: [...roll, ...pads(neck), ...legs.props, ...upper.props],
      numbers: {},
    },
  }
}

/** How far forward the lower thigh points, and how far its knee is bent, degrees [estimates]. */
const lowerLegs = { forward: { forward: 14, bent: 72 }, oneBack: { forward: -14, bent: 118 } } as const

/** The upper knee drawn forward onto what stands before it, the lower leg on the floor. */
function sideLegs(
  scene: Scene,
  hip: Point3,
  halfHip: number,
  low: (typeof lowerLegs)[keyof typeof lowerLegs],
): { readonly lower: Leg; readonly upper: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const pile = pileUnder(scene, 'knees') ?? pileUnder(scene, 'thighs')
  const carriesShin = isLong({ along: alongOf(pile) })
  const leg = (start: Point3, carriedAt: number, forward: number, bent: number): Leg => {
    // On what is higher than the thigh is long the knee stays as high as the thigh reaches.
    const kneeY = Math.min(carriedAt, start.y + f.thigh)
    const sink = asinOf((start.y - kneeY) / f.thigh)
    const flat = f.thigh * Math.cos((sink * Math.PI) / 180)
    const knee: Point3 = {
      x: start.x + flat * Math.cos((forward * Math.PI) / 180),
      y: kneeY,
      z: start.z + flat * Math.sin((forward * Math.PI) / 180),
    }
    const turn = ((forward - bent) * Math.PI) / 180
    // Something long carries the shin too.
    const drop = Math.min(f.shank, (kneeY - f.kneeR) * (carriesShin ? 0.04 : 0.35))
    const away = Math.sqrt(f.shank ** 2 - drop ** 2)
    const ankle: Point3 = { x: knee.x + away * Math.cos(turn), y: knee.y - drop, z: knee.z + away * Math.sin(turn) }
    return {
      hip: start,
      knee,
      ankle,
      toe: { x: ankle.x + f.footLength * 0.5, y: ankle.y, z: ankle.z + f.footLength * Math.sqrt(0.75) },
    }
  }
  const lower = leg({ ...hip, y: hip.y - halfHip * 0.45 }, f.kneeR, low.forward, low.bent)
  const upper = leg(
    { ...hip, y: hip.y + halfHip * 0.45 },
    Math.max((pile?.height ?? 0) + f.kneeR, f.kneeR * 2.6),
    62,
    72,
  )
  const centre: Surface = floorAt((upper.knee.x + upper.ankle.x) / 2)
  const zOf = (upper.knee.z + upper.ankle.z) / 2
  const props = placed(pile ? { ...pile, piles: 1 } : undefined, centre).map((prop) => ({
    ...prop,
    zFrom: prop.zFrom + zOf,
    zTo: prop.zTo + zOf,
  }))
  return { lower, upper, props }
}

/** The lower arm forward on the floor, the upper on what is hugged. */
function sideArm(
  scene: Scene,
  shoulder: Point3,
  which: 1 | -1,
): { readonly arm: Arm; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start: Point3 = { ...shoulder, y: shoulder.y + which * 0.05 * f.stature }
  const height = which === 1 ? heightUnder(scene, 'arms') : 0
  const pile = pileUnder(scene, 'arms')
  // What is hugged lies before the lower arm, whose hand comes back towards the chin.
  const depth = Math.max(
    0.24 * f.stature,
    0.17 * f.stature + Math.max(0, ...(pile?.pieces ?? []).map(({ across }) => across / 2)),
  )
  const hand: Point3 =
    which === 1
      ? { x: start.x + 0.08 * f.stature, y: f.wristR + height, z: depth }
      : { x: start.x + 0.01 * f.stature, y: f.wristR, z: 0.12 * f.stature }
  const wrist = reached(start, hand, f.upperArm, f.forearm)
  const elbow = middleJoint(
    start,
    wrist,
    f.upperArm,
    f.forearm,
    which === 1 ? { x: 1, y: 0.2, z: 0 } : { x: 1, y: -0.1, z: 0.2 },
  )
  return {
    arm: { shoulder: start, elbow, wrist },
    props:
      which === 1
        ? placed(pile, floorAt(hand.x), 0).map((prop) => ({
            ...prop,
            zFrom: prop.zFrom + depth,
            zTo: prop.zTo + depth,
          }))
        : [],
  }
}
