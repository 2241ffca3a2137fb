import type { FigureOf } from '#model/figure'
import { forwardFold, isSeat } from '#core/props'
import type { Calculated, ForwardFoldInput, Pile } from '#core/props'
import { armTo } from '../body/arms.ts'
import type { Leg, Legs } from '../body/legs.ts'
import { asinOf, from, turnThrough } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { chestSupport } from './prone.ts'
import {
  alongOf,
  heightUnder,
  isClear,
  isFreeOfPile,
  limbObstacle,
  onSeat,
  pileUnder,
  placed,
  stillOf,
  topOf,
} from '../body/scene.ts'
import type { Drawn, Obstacle, PlacedProp, Scene } from '../body/scene.ts'
import { joined } from '../body/skeleton.ts'
import { floorAt } from '../geometry/shape.ts'
import type { Limb, Surface } from '../geometry/shape.ts'
import { headBall } from '../body/trunk.ts'
import { usualOf } from '../body/usual.ts'

type Seated = FigureOf<'seated'>

/** How far the neck goes on with a fold, degrees [formula book 5e]. */
const neckDeg = 20

/** Whether the head's pile stands on a long leg: a chair stands over it, on the floor. */
const onLegs = ({ legs }: Seated, scene: Scene): boolean =>
  (legs === 'long' || legs === 'one') && !onSeat(pileUnder(scene, 'head'))

/** What the formula book asks of a fold: on crossed or bound legs the slope of the thigh stands for that of the leg. */
function foldInput(figure: Seated, scene: Scene, thighSlopeDeg: number): ForwardFoldInput {
  const { f } = scene
  const { hipFlexDeg, roundDeg } = usualOf(figure)
  const isStraight = figure.legs === 'long' || figure.legs === 'wide' || figure.legs === 'one'
  return {
    stature: f.stature,
    measured: f,
    hipFlexDeg,
    roundDeg,
    neckDeg,
    seatH: heightUnder(scene, 'pelvis'),
    base: onLegs(figure, scene) ? 'legs' : 'floor',
    ...(isStraight ? {} : { legSlopeDeg: Math.max(-30, Math.min(60, thighSlopeDeg)) }),
  }
}

/** How far a thigh slopes down from the hip, degrees. */
const slopeOfThigh = ({ hip, knee }: Pick<Leg, 'hip' | 'knee'>, { thigh }: Scene['f']): number =>
  asinOf((hip.y - knee.y) / thigh)

/** The trunk of a fold: 0 upright, 1 as far as is comfortable, past that with more rounding than that. */
function foldedTrunk(scene: Scene, hip: Point3, lean: number, round: number, share: number) {
  const { f } = scene
  const [comfortable, past] = [Math.min(1, share), Math.max(0, share - 1)]
  const low = 90 - comfortable * (lean + round * 0.25) - past * 24
  const ribs = 90 - comfortable * (lean + round * 0.78) - past * 60
  const neck = ribs - comfortable * (round * 0.22 + neckDeg) - past * 12
  const waist = from(hip, low, f.lowTrunk)
  const shoulder = from(waist, ribs, f.ribCage)
  return { hip, waist, shoulder, crown: from(shoulder, neck, f.headNeck), ribs }
}

type FoldedTrunk = ReturnType<typeof foldedTrunk>

interface FoldOnto {
  readonly scene: Scene
  readonly hip: Point3
  readonly lean: number
  readonly round: number
  /** How far it may go: 1 is as far as is comfortable, 2 with all the rounding there is. */
  readonly most: number
  readonly pile: Pile | undefined
  /** Where the pile stands under a head whose centre is here, moved on by so much where the chest needs the room. */
  readonly baseAt: (ball: Point3, further: number) => Surface
  /** What else is in the way of chest and head. */
  readonly others: readonly Obstacle[]
}

/** How far a head's pile is moved on to make room for the chest, shares of the stature, the least first. */
const further = [0, 0.025, 0.05, 0.075, 0.1] as const

/** The trunk folded forward until the head lies on its pile, the chest before it free. */
export function foldOnto({ scene, hip, lean, round, most, pile, baseAt, others }: FoldOnto): {
  readonly trunk: FoldedTrunk
  readonly pads: readonly PlacedProp[]
} {
  const { f } = scene
  const posed = (at: number, on: number) => {
    const trunk = foldedTrunk(scene, hip, lean, round, at)
    const ball = headBall(f, trunk.shoulder, trunk.crown)
    return { trunk, ball, base: baseAt(ball.a, on * f.stature) }
  }
  const still = stillOf(pile)
  const settled = (at: number, on: number) => {
    const { trunk, base } = posed(at, on)
    return { trunk, pads: placed(pile, base) }
  }
  // The shoulders come over the near edge: the chest counts to just short of them.
  const chestOf = ({ waist, ribs }: FoldedTrunk): Limb => ({
    a: waist,
    b: from(waist, ribs, f.ribCage * 0.8),
    ra: f.hipR,
    rb: f.chestFront * 0.9,
  })
  for (const on of further) {
    const headFree = (at: number): boolean => {
      const { trunk, ball, base } = posed(at, on)
      return isClear([ball, chestOf(trunk)], others) && isFreeOfPile(ball, still, base)
    }
    const share = turnThrough(0, most, headFree)
    if (share === undefined) continue
    const { trunk, base } = posed(share, on)
    if (isFreeOfPile(chestOf(trunk), still, base)) return settled(share, on)
  }
  // No room for it anywhere: as far as is comfortable, and the checks of the set-up say what is wrong.
  return settled(Math.min(1, most), further.at(-1) ?? 0)
}

/** Sitting on the floor or a low seat, folded forward onto what carries the head. */
export function seatedFold(
  figure: Seated,
  scene: Scene,
  hip: Point3,
  legs: Legs,
  seats: readonly PlacedProp[],
): Calculated<Drawn> {
  const { f } = scene
  const numbers = forwardFold(foldInput(figure, scene, slopeOfThigh(legs.right, f)))
  // While the pelvis still tips back the fold starts at once with the rounding: the finding says so.
  if (!numbers.ok && numbers.code !== 'RAISE_SEAT') return numbers
  const lean = numbers.ok ? numbers.value.trunkLean : 0
  const round = usualOf(figure).roundDeg
  const limbs: Obstacle[] = [legs.right, legs.left].flatMap(({ hip: a, knee, ankle }) => [
    limbObstacle({ a, b: knee, ra: f.kneeR, rb: f.kneeR }, 0.5, f.hipHalf * 1.2),
    limbObstacle({ a: knee, b: ankle, ra: f.kneeR, rb: f.heelR }, 0.3, f.hipHalf * 1.2),
  ])
  const low = chestSupport(scene, 0.1 * f.stature)
  const pile = pileUnder(scene, 'head')
  const half = alongOf(pile) / 2
  const nearest = half + roomFor(figure, scene, legs)
  const onLegs = figure.legs === 'long' ? legs.right : figure.legs === 'one' ? legs.left : undefined
  // The near edge comes just under the face, so that the chest has room.
  // On the legs it stays short of the feet.
  const furthest = onLegs && !onSeat(pile) ? Math.max(nearest, onLegs.ankle.x - f.heelR - half) : Infinity
  const baseAt = (ball: Point3, on: number): Surface =>
    supportBase(
      scene,
      Math.min(furthest, Math.max(nearest, ball.x + Math.max(0, half - 0.05 * f.stature) + on)),
      onLegs,
    )
  const { trunk, pads } = foldOnto({ scene, hip, lean, round, most: 2, pile, baseAt, others: [...limbs, ...low] })
  const ball = headBall(f, trunk.shoulder, trunk.crown).a
  const arms = armTo(f, trunk.shoulder, handsOf(figure, f, ball, pads), { x: -0.3, y: -0.4, z: 1 })
  return {
    ok: true,
    warnings: numbers.ok ? numbers.warnings : ['RAISE_SEAT'],
    value: {
      skeleton: joined({ hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: trunk.crown }, legs, arms),
      props: [...seats, ...legs.props, ...low, ...pads, ...arms.props],
      numbers: { ...legs.numbers, fold: numbers },
    },
  }
}

/** Beside the head on its pile where that is wide enough, else on the floor. */
function handsOf(figure: Seated, f: Scene['f'], ball: Point3, pads: readonly PlacedProp[]): Point3 {
  if (figure.arms === 'along') return { x: ball.x * 0.4, y: f.wristR, z: f.shoulderHalf + 6 }
  const top = topOf(pads)
  const isWide = pads.some(({ zTo }) => zTo > f.shoulderHalf * 0.6)
  return { x: ball.x + 0.09 * f.stature, y: (isWide ? top : 0) + f.wristR, z: f.shoulderHalf * 0.9 }
}

/** How far from the hips a pile on the floor begins, so that the legs do not run through it. */
function roomFor(figure: Seated, scene: Scene, { right }: Legs): number {
  const { f } = scene
  if (figure.legs === 'long' || figure.legs === 'one') return 0
  if (figure.legs !== 'wide') return Math.max(right.knee.x, right.ankle.x, right.toe.x) + f.kneeR
  // Between the legs of a straddle: where they stand wide enough apart for it.
  const wide = Math.max(
    0,
    ...(pileUnder(scene, 'head')?.pieces ?? []).filter((piece) => !isSeat(piece)).map(({ across }) => across / 2),
  )
  const [along, out] = [right.ankle.x - right.hip.x, right.ankle.z - right.hip.z]
  return Math.max(0, ((wide + f.kneeR - right.hip.z) * along) / (out || 1))
}

/** Where the head's pile stands: on the long legs where it is over them, else on the floor. A chair always stands on the floor. */
function supportBase(scene: Scene, x: number, leg: Leg | undefined): Surface {
  const pile = pileUnder(scene, 'head')
  if (!leg || onSeat(pile)) return floorAt(x)
  const { knee, ankle, hip } = leg
  const [a, b] = x < knee.x ? [hip, knee] : [knee, ankle]
  const share = (x - a.x) / (b.x - a.x || 1)
  if (share > 1.05) return floorAt(x)
  const { f } = scene
  const width = (pile?.pieces[0]?.along ?? 0) / 2
  // It lies across the higher of what is under its two edges.
  const surface = (at: number): number =>
    (at < knee.x
      ? hip.y + ((knee.y - hip.y) * (at - hip.x)) / (knee.x - hip.x)
      : knee.y + ((ankle.y - knee.y) * Math.min(at - knee.x, ankle.x - knee.x)) / (ankle.x - knee.x)) + f.kneeR
  return { x, y: Math.max(surface(x - width), surface(x), surface(Math.min(ankle.x, x + width))), degrees: 0 }
}
