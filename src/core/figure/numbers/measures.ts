import type { Figure, FigureOf } from '#model/figure'
import { isSeat } from '#core/props'
import type { Calculated } from '#core/props'
import type { Elevation } from '../elevation.ts'
import type { SlopeNumbers } from './numbers.ts'
import type { LaidSlope } from '../body/slope.ts'
import { cosOf, degreesOf } from '../geometry/plane.ts'
import type { Point } from '../geometry/plane.ts'
import { pileUnder } from '../body/scene.ts'
import { boundsOf } from '../geometry/shape.ts'
import { headCentre } from '../body/skeleton.ts'

export const measureNames = [
  'headHeight',
  'hipsHeight',
  'kneesHeight',
  'kneeJointsHeight',
  'heelsHeight',
  'seatHeight',
  'bolsterAngle',
  'trunkAngle',
  'backEdge',
  'headAboveHeart',
  'headBelowHeart',
  'kneeBend',
  'hipBend',
  'pelvisSlope',
  'sitBonesToWall',
  'legAngle',
  'floorDepth',
  'torsoAngle',
  'trunkLean',
  'headSupport',
  'headForward',
  'seatWanted',
  'footSupport',
  'seatRaise',
  'kneeSupport',
] as const
export type MeasureName = (typeof measureNames)[number]

/** Where a measure stands in the picture, in its cm; what has no mark is told under the picture. */
export type Mark =
  | { readonly kind: 'height'; readonly x: number; readonly from: number; readonly to: number }
  | { readonly kind: 'distance'; readonly y: number; readonly from: number; readonly to: number }
  | { readonly kind: 'angle'; readonly at: Point; readonly from: number; readonly to: number }
  | { readonly kind: 'point'; readonly at: Point }

/** A number of the formula book, or of the figure as it is drawn, with where it stands. */
export interface Measure {
  readonly what: MeasureName
  readonly unit: 'cm' | 'deg'
  readonly value: number
  /** What it should not pass, where there is such a thing. */
  readonly limit?: number
  readonly mark?: Mark
  /** Whether what is drawn differs from the book's number by more than 2 cm. */
  readonly about?: boolean
}

/** Past this the drawing and the number are said to differ, cm [decided]. */
const mostApart = 2

const cm = (what: MeasureName, value: number, mark?: Mark, more: Partial<Measure> = {}): Measure => ({
  what,
  unit: 'cm',
  value,
  ...(mark ? { mark } : {}),
  ...more,
})
const deg = (what: MeasureName, value: number, mark?: Mark): Measure => ({
  what,
  unit: 'deg',
  value,
  ...(mark ? { mark } : {}),
})
const valueOf = <T>(calculated: Calculated<T> | undefined): T | undefined =>
  calculated?.ok ? calculated.value : undefined

/** What is measured in a figure: those with a mark stand in the picture, the others under it. */
export function measuresOf(figure: Figure, elevation: Elevation): readonly Measure[] {
  switch (figure.kind) {
    case 'lying':
      return lyingMeasures(figure, elevation)
    case 'childFold':
      return [...headMeasure(elevation, 1), ...torso(elevation)]
    case 'seated':
      return figure.trunk === 'upright' || figure.trunk === 'sideways'
        ? sitting(elevation)
        : [...headMeasure(elevation, 1), ...folding(elevation)]
    case 'chair':
      return [...seatMeasure(elevation), ...(figure.trunk === 'fold' ? headMeasure(elevation, 1) : [])]
    case 'prone':
    case 'side':
      return headMeasure(elevation, figure.kind === 'side' ? -1 : 1)
    case 'kneeling':
      return [hips(elevation)]
    case 'allFours':
      return [hips(elevation), ...headMeasure(elevation, 1)]
    case 'standing':
      return figure.trunk === 'fold' ? headMeasure(elevation, 1) : [hips(elevation)]
  }
}

/** What may lie under a head, and how far past it a line still goes round it, cm. */
const carrying: ReadonlySet<string> = new Set(['head', 'chest', 'belly', 'upperBack', 'arms'])
const farPast = 32
/** As near as this two heights are one, cm [formula book 6: under 1 is the same]. */
const told = 1

/** The height of whatever carries the head, beside it: at the left of a head that lies left (−1), else at its right. */
function headMeasure(elevation: Elevation, side: 1 | -1): readonly Measure[] {
  const { skeleton, frame } = elevation
  const { x, y } = headCentre(skeleton, frame)
  const under = y - frame.headR
  // Where the head lies on its own pile on the floor the pile's height says it.
  const own = elevation.props.filter(({ part }) => part === 'head')
  const stands = own.some((prop) => isSeat(prop.piece) || boundsOf(prop).low < told)
  const top = Math.max(0, ...own.map((prop) => boundsOf(prop).high))
  if (under < told || (stands && Math.abs(under - top) < told)) return []
  // Beyond whatever lies under it, unless that goes on far past the head.
  const pads = elevation.props.filter(({ part }) => carrying.has(part)).map(boundsOf)
  const ends = (side === -1 ? pads.map(({ left }) => -left) : pads.map(({ right }) => right)).filter(
    (end) => end < side * x + frame.headR + farPast,
  )
  const end = side * Math.max(side * x + frame.headR, ...ends)
  return [cm('headHeight', under, { kind: 'height', x: end + side * 8, from: 0, to: under })]
}

/** The height of the hip joints, which the knees are held against. */
function hips({ skeleton, frame, props }: Elevation): Measure {
  const under = skeleton.hip.y
  const left = Math.min(
    skeleton.hip.x - frame.hipR,
    skeleton.waist.x - frame.hipR,
    ...props.filter(({ part }) => part === 'pelvis').map((prop) => boundsOf(prop).left),
  )
  return cm('hipsHeight', under, { kind: 'height', x: left - 8, from: 0, to: under })
}

/** A bend between two parts of the body: 0 is straight. */
const bend = (first: number, second: number): number => {
  const turned = Math.abs(first - second) % 360
  return Math.min(turned, 360 - turned)
}
const direction = (a: Point, b: Point): number => degreesOf(b.y - a.y, b.x - a.x)

function lyingMeasures(figure: FigureOf<'lying'>, elevation: Elevation): readonly Measure[] {
  const { numbers, skeleton, piles, slope } = elevation
  const incline = valueOf(numbers.incline)
  const raised = valueOf(numbers.raised)
  const { right } = skeleton
  const thigh = direction(right.hip, right.knee)
  const trunk = direction(skeleton.shoulder, skeleton.hip)
  const knees = valueOf(numbers.knees)
  const shins = pileUnder({ piles }, 'shins')
  const shinsAt = elevation.props.filter(({ part }) => part === 'shins').map(boundsOf)
  return [
    ...(incline && slope ? sloping(elevation, incline, slope) : []),
    ...(raised
      ? [
          deg('pelvisSlope', raised.slope),
          ...(raised.headBelowHeart > 0 ? [cm('headBelowHeart', raised.headBelowHeart)] : []),
        ]
      : []),
    ...(knees
      ? [
          cm(
            'kneesHeight',
            knees.supportH,
            { kind: 'height', x: Math.max(right.ankle.x, right.toe.x) + 6, from: 0, to: knees.supportH },
            { about: Math.abs(right.knee.y - elevation.frame.kneeR - knees.supportH) > mostApart },
          ),
          deg('kneeBend', knees.kneeFlex),
        ]
      : []),
    ...(incline ? [deg('hipBend', bend(trunk, thigh))] : []),
    ...bound(elevation),
    ...(figure.legs === 'wall' ? atWall(figure, elevation) : []),
    ...(figure.legs === 'figureFour' && elevation.wallX !== undefined
      ? [
          cm('sitBonesToWall', elevation.wallX - skeleton.hip.x - elevation.frame.sitBone, {
            kind: 'distance',
            y: -5,
            from: skeleton.hip.x + elevation.frame.sitBone,
            to: elevation.wallX,
          }),
        ]
      : []),
    ...(shins
      ? [
          cm('seatHeight', shins.height, {
            kind: 'height',
            x: Math.max(right.ankle.x, right.toe.x, ...shinsAt.map(({ right: end }) => end)) + 8,
            from: 0,
            to: shins.height,
          }),
        ]
      : []),
  ]
}

function sloping(elevation: Elevation, incline: SlopeNumbers, { foot, corner }: LaidSlope): readonly Measure[] {
  const theta = incline.bolsterAngle
  return [
    ...headMeasure(elevation, -1),
    ...(theta >= 1 ? [deg('bolsterAngle', theta, { kind: 'angle', at: foot, from: 180 - theta, to: 180 })] : []),
    cm('backEdge', incline.edge, { kind: 'point', at: corner }, { limit: incline.edgeLimit }),
    deg('trunkAngle', incline.trunkAngle),
    cm('headAboveHeart', incline.headAboveHeart),
  ]
}

function bound({ numbers, skeleton, frame }: Elevation): readonly Measure[] {
  const wanted = valueOf(numbers.bound)
  if (!wanted) return []
  const { knee } = skeleton.right
  const under = knee.y - frame.kneeR
  return [
    cm('kneesHeight', under, {
      kind: 'height',
      x: Math.max(skeleton.right.toe.x, skeleton.right.ankle.x) + 8,
      from: 0,
      to: under,
    }),
    cm('kneeSupport', wanted.supportH),
  ]
}

/** From so wide apart on the heels are told as they are drawn: the book's legs go straight up, degrees. */
const apartLegs = 10

function atWall(
  { spreadDeg = 0 }: FigureOf<'lying'>,
  { numbers, skeleton, frame, wallX }: Elevation,
): readonly Measure[] {
  const wall = valueOf(numbers.wall)
  if (!wall || wallX === undefined) return []
  const { right, hip, crown } = skeleton
  // The back of the heel: as far past the ankle as the book's leg is longer than thigh and shank.
  const drawn =
    right.hip.y +
    ((right.ankle.y - right.hip.y) * frame.legToHeel) / (frame.thigh + frame.shank) -
    frame.heelR * cosOf(wall.legAngle)
  const heels = spreadDeg > apartLegs ? drawn : wall.heelHeight
  return [
    cm('sitBonesToWall', wall.sitBoneToWall, { kind: 'distance', y: -5, from: wallX - wall.sitBoneToWall, to: wallX }),
    deg('legAngle', wall.legAngle, { kind: 'angle', at: { x: hip.x, y: hip.y }, from: 0, to: wall.legAngle }),
    cm(
      'heelsHeight',
      heels,
      { kind: 'height', x: wallX + 7, from: 0, to: heels },
      { about: Math.abs(heels - drawn) > mostApart },
    ),
    cm('floorDepth', wall.floorDepth, {
      kind: 'distance',
      y: -13,
      from: Math.min(crown.x, wallX - wall.floorDepth),
      to: wallX,
    }),
  ]
}

function torso({ numbers }: Elevation): readonly Measure[] {
  const child = valueOf(numbers.child)
  return child ? [deg('torsoAngle', child.torsoAngle)] : []
}

function sitting(elevation: Elevation): readonly Measure[] {
  const { numbers, skeleton } = elevation
  const seat = valueOf(numbers.seat)
  const knee = Math.max(skeleton.right.knee.y, skeleton.left.knee.y)
  const furthest = Math.max(
    ...[skeleton.right, skeleton.left].flatMap(({ knee: k, ankle, toe }) => [k.x, ankle.x, toe.x]),
  )
  return [
    hips(elevation),
    cm('kneeJointsHeight', knee, { kind: 'height', x: furthest + 12, from: 0, to: knee }),
    ...(seat ? [cm('seatWanted', seat.seatH)] : []),
  ]
}

function folding({ numbers }: Elevation): readonly Measure[] {
  const fold = valueOf(numbers.fold)
  return fold
    ? [deg('trunkLean', fold.trunkLean), cm('headSupport', fold.headSupportH), cm('headForward', fold.headX)]
    : []
}

function seatMeasure(elevation: Elevation): readonly Measure[] {
  const feet = valueOf(elevation.numbers.feet)
  return [
    ...(feet && feet.footSupport >= 1 ? [cm('footSupport', feet.footSupport)] : []),
    ...(feet && feet.seatRaise >= 1 ? [cm('seatRaise', feet.seatRaise)] : []),
  ]
}
