import type { FigureOf } from '#model/figure'
import { boundAngle, kneeBolster, legsUpWall } from '#core/props'
import type { Calculated } from '#core/props'
import { armAlong, armTo, armsOverhead } from '../body/arms.ts'
import type { Arms } from '../body/arms.ts'
import { flatBed, onTheBack, raisedBed, slopeBed } from '../body/bed.ts'
import type { Bed } from '../body/bed.ts'
import {
  bentLeg,
  bothAlike,
  boundLeg,
  calvesUp,
  crossedAnkle,
  drawnUp,
  edgesGive,
  foldedLeg,
  kneesAcross,
  longLeg,
  raisedLeg,
  solesUp,
  wallLeg,
} from '../body/legs.ts'
import type { Leg, Legs } from '../body/legs.ts'
import { cosOf, from, middleJoint, plus, sinOf } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, pileUnder, placed, stacked } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { floorAt, surfaceAt } from '../geometry/shape.ts'
import type { BookNumbers } from '../numbers/numbers.ts'
import { slopeOf } from '../body/slope.ts'
import { archedTrunk, headBall, layHead, layTrunk } from '../body/trunk.ts'
import { usualOf } from '../body/usual.ts'

type Lying = FigureOf<'lying'>

/** On the back: flat, inclined, over rolls or with the pelvis raised, with the legs of the pose. */
export function lying(figure: Lying, scene: Scene): Calculated<Drawn> {
  const slope = slopeOf(scene)
  const seat = pileUnder(scene, 'pelvis')
  const bed = slope
    ? slopeBed(scene, slope)
    : seat
      ? raisedBed(scene, seat, figure.legs === 'wall' ? wallEdge(scene) : undefined)
      : { ok: true as const, value: flatBed(scene), warnings: [] }
  if (!bed.ok) return bed
  const legs = legsOf(figure, scene, bed.value)
  if (!legs.ok) return legs
  const { f } = scene
  const { hip, props, least, numbers } = legs.value.bed
  const trunk = isArched(scene, slope !== undefined)
    ? archedTrunk(f, onTheBack, hip, props)
    : seat && !slope
      ? overTheEdge(scene, hip, props, least)
      : layTrunk(f, onTheBack, hip, props, { least })
  const headPads = (shoulder: Point3, crown: Point3) =>
    headSupport(scene, legs.value.bed, headBall(f, shoulder, crown).a)
  const head = laidHead(scene, trunk.shoulder, trunk.ribs, props, headPads)
  const arms = armsOf(figure, scene, trunk.shoulder, legs.value.right)
  const { right, left } = legs.value
  return {
    ok: true,
    warnings: [...bed.warnings, ...legs.warnings],
    value: {
      skeleton: {
        hip,
        waist: trunk.waist,
        shoulder: trunk.shoulder,
        crown: head.crown,
        right: { ...right, ...arms.right },
        left: { ...left, ...arms.left },
      },
      props: [...props, ...head.pads, ...legs.value.props, ...arms.props],
      ...(legs.value.wallX === undefined ? {} : { wallX: legs.value.wallX }),
      numbers: { ...numbers, ...legs.value.numbers },
      ...(bed.value.slope ? { slope: bed.value.slope } : {}),
      ...(legs.value.lift ? { lift: legs.value.lift } : {}),
    },
  }
}

/**
 * A trunk that comes down from a raised pelvis: where the support is wide for a short back its edge gives until the
 * shoulders lie down.
 */
function overTheEdge({ f }: Scene, hip: Point3, props: readonly PlacedProp[], least: number) {
  const laid = edgesGive.map((sinks) =>
    layTrunk(
      f,
      onTheBack,
      hip,
      props.map((prop) => ({ ...prop, radius: Math.max(0, prop.radius - sinks) })),
      { least },
    ),
  )
  const lies = laid.find(({ shoulder }) => shoulder.y - f.chestR < shouldersDown)
  return lies ?? laid.at(-1) ?? layTrunk(f, onTheBack, hip, props, { least })
}

/** The shoulders lie on the floor or on a pad at most this high, cm. */
const shouldersDown = 6

/** Whether something lies across under the back: the trunk arches over it. */
const isArched = (scene: Scene, onSlope: boolean): boolean =>
  !onSlope &&
  !pileUnder(scene, 'pelvis') &&
  (['upperBack', 'lowBack', 'chest'] as const).some((part) => heightUnder(scene, part) > 1)

/** The pile under the head, on the slope's top where that is under it, else on the floor. */
function headSupport(scene: Scene, { top }: Bed, centre: Point3): readonly PlacedProp[] {
  const pile = pileUnder(scene, 'head')
  if (!pile) return []
  // A pad longer than the head ends at the shoulders and goes on past the crown.
  const past = Math.max(0, alongOf(pile) / 2 - 0.085 * scene.f.stature)
  if (!top) return placed(pile, floorAt(centre.x - past))
  const along = -((centre.x - top.x) * cosOf(top.degrees) + (centre.y - top.y) * sinOf(top.degrees))
  if (along > top.length + 4) return placed(pile, floorAt(centre.x - past))
  // What is softer than the slope hangs down over its end: only what lies on it is drawn.
  const nearEnd = along + past - alongOf(pile) / 2
  const room = Math.max(12, top.length + 3 - nearEnd)
  const pieces = pile.pieces.map((piece) =>
    piece.rank === 2 && piece.along > room ? { ...piece, along: room } : piece,
  )
  return stacked(pieces, 'head', surfaceAt(top, -nearEnd - Math.max(...pieces.map((piece) => piece.along)) / 2, 0))
}

/** The head laid on its pile, which lies wherever the head comes to lie; a roll fills the neck. */
function laidHead(
  scene: Scene,
  shoulder: Point3,
  ribs: number,
  props: readonly PlacedProp[],
  padsFor: (shoulder: Point3, crown: Point3) => readonly PlacedProp[],
) {
  const { f } = scene
  let pads: readonly PlacedProp[] = []
  let head = layHead(f, onTheBack, shoulder, ribs, props)
  // Where the pile lies depends on where the head comes to lie: three rounds settle it to a millimetre.
  for (let round = 0; round < 3; round += 1) {
    pads = padsFor(shoulder, head.crown)
    head = layHead(f, onTheBack, shoulder, ribs, [...props, ...pads])
  }
  const neck = pileUnder(scene, 'neck')
  const under = plus(shoulder, { x: (head.crown.x - shoulder.x) * 0.26, y: 0, z: 0 })
  return { ...head, pads: [...pads, ...placed(neck, floorAt(under.x))] }
}

const alike = ({ leg, props }: { readonly leg: Leg; readonly props: readonly PlacedProp[] }): Legs =>
  bothAlike(leg, props)

interface LegsOnBed extends Legs {
  readonly bed: Bed
  /** How far the legs lift the hips off the bed. */
  readonly lift?: number
}

const fine = <T>(value: T, warnings: readonly string[] = []): Calculated<T> => ({ ok: true, value, warnings })

/** The linkage of knees over a roll [formula book 5g]; undefined without one. */
function kneeNumbers(scene: Scene): BookNumbers['knees'] {
  const { f } = scene
  const roll = pileUnder(scene, 'knees') ?? pileUnder(scene, 'thighs')
  if (!roll) return undefined
  const supportH = roll.height
  const knees = kneeBolster({ stature: f.stature, measured: f, supportH, heelLift: heightUnder(scene, 'ankles') })
  return knees.ok ? { ...knees, value: { ...knees.value, supportH } } : knees
}

/** The legs of the pose, and the bed where they lift the hips or bring them to a wall. */
function legsOf(figure: Lying, scene: Scene, bed: Bed): Calculated<LegsOnBed> {
  const { f } = scene
  const { hip } = bed
  const with_ = (legs: Legs): Calculated<LegsOnBed> => fine({ ...legs, bed })
  switch (figure.legs) {
    case 'long': {
      // Knees so high that no heel comes down are refused, as the formula book has it.
      const knees = kneeNumbers(scene)
      if (knees && !knees.ok) return knees
      return with_({ ...alike(longLeg(scene, hip, figure.spreadDeg ?? 6)), ...(knees ? { numbers: { knees } } : {}) })
    }
    case 'bent':
      return with_(alike(bentLeg(scene, hip)))
    case 'bound':
      return with_(boundLegs(figure, scene, hip))
    case 'toChest':
      return with_(bothAlike(drawnUp(f, hip)))
    case 'soles':
      return with_(bothAlike(solesUp(f, hip)))
    case 'across':
      return with_(kneesAcross(scene, hip))
    case 'folded':
      return with_(alike(foldedLeg(scene, hip)))
    case 'oneFolded': {
      const [folded, long] = [foldedLeg(scene, hip), longLeg({ ...scene, piles: [] }, hip, 4)]
      return with_({ right: folded.leg, left: bothAlike(long.leg).left, props: folded.props })
    }
    case 'oneUp': {
      const long = longLeg(scene, hip, 4)
      return with_({
        right: raisedLeg(f, hip, usualOf(figure).legRaiseDeg),
        left: bothAlike(long.leg).left,
        props: long.props,
      })
    }
    case 'figureFour':
      return with_(figureFour(scene, hip))
    case 'chair':
      return onSeat(scene, bed)
    case 'wall':
      return atWall(figure, scene, bed)
  }
}

function boundLegs(figure: Lying, scene: Scene, hip: Point3): Legs {
  const { abductionDeg, heelGapCm: heelGap } = usualOf(figure)
  const { f } = scene
  const bound = boundAngle({ stature: f.stature, measured: f, abductionDeg, heelGap })
  return { ...alike(boundLeg(scene, hip, abductionDeg, heelGap)), numbers: { bound } }
}

function figureFour(scene: Scene, hip: Point3): Legs {
  const { f } = scene
  const wall = scene.wall
  const standing = wall ? footOnWall(scene, hip) : bentLeg(scene, hip, 0.32)
  const under = bothAlike(standing.leg).left
  const props = wall
    ? []
    : placed(pileUnder(scene, 'feet'), floorAt(under.ankle.x + 4)).map((prop) => ({
        ...prop,
        zFrom: -prop.zTo,
        zTo: -prop.zFrom,
      }))
  const wallX = wall ? { wallX: under.ankle.x + f.heelR } : {}
  return { right: crossedAnkle(f, hip, under), left: under, props, ...wallX }
}

/** Thigh upright, shin level, the sole on the wall. */
function footOnWall({ f }: Scene, hip: Point3): { readonly leg: Leg } {
  const start = { ...hip, z: f.hipHalf }
  const knee = from(start, 78, f.thigh)
  const ankle = from(knee, 0, f.shank)
  return { leg: { hip: start, knee, ankle, toe: from(ankle, 90, f.footLength) } }
}

/** Calves on a seat; where it is higher than the thighs are long, the hips are lifted by the difference. */
function onSeat(scene: Scene, bed: Bed): Calculated<LegsOnBed> {
  const pile = pileUnder(scene, 'shins')
  if (!pile) return fine({ ...alike(bentLeg(scene, bed.hip)), bed })
  const { leg, props, lift } = calvesUp(scene, bed.hip, pile)
  return fine({ ...bothAlike(leg, props), bed: { ...bed, hip: { ...bed.hip, y: bed.hip.y + lift } }, lift }, [])
}

function atWall(figure: Lying, scene: Scene, bed: Bed): Calculated<LegsOnBed> {
  const { f } = scene
  const supportH = heightUnder(scene, 'pelvis')
  const wall = legsUpWall({ stature: f.stature, measured: f, slrDeg: usualOf(figure).legRaiseDeg, supportH })
  if (!wall.ok) return wall
  const spread = figure.spreadDeg ?? 4
  return fine(
    {
      ...bothAlike(wallLeg(f, bed.hip, wall.value.legAngle, spread)),
      bed,
      wallX: bed.hip.x + wall.value.hipToWall,
      numbers: { wall },
    },
    wall.warnings,
  )
}

/** How far from the hip joints the support's wall-side edge lies: the sit bones stand over it by 3 cm [formula book 5a]. */
const wallEdge = ({ f }: Scene): number => f.sitBone - 3

function armsOf(figure: Lying, scene: Scene, shoulder: Point3, leg: Leg): Arms {
  const { f } = scene
  if (figure.arms === 'overhead') return armsOverhead(scene, shoulder, 180)
  if (figure.arms === 'onLegs')
    return armTo(f, shoulder, plus(leg.knee, { x: 4, y: f.kneeR, z: 3 }), { x: 0, y: -0.3, z: 1 })
  if (figure.arms === 'forward') return armTo(f, shoulder, leg.ankle, { x: 0, y: -0.3, z: 1 })
  if (figure.arms === 'crossed') {
    const hand = plus(shoulder, { x: 0.16 * f.stature, y: f.chestFront + f.armR, z: f.hipHalf })
    const start = { ...shoulder, z: f.shoulderHalf }
    const elbow = middleJoint(start, hand, f.upperArm, f.forearm, { x: 0.4, y: -0.2, z: 1 })
    return armTo(f, shoulder, hand, { x: elbow.x - start.x, y: -0.1, z: 1 })
  }
  return armAlong(scene, shoulder, 0, figure.arms === 'wide' ? 62 : 22)
}
