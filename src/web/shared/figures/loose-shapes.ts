import type { FigureView } from '#model/figure'
import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import { between } from '#core/figure'
import type { Elevation, LooseItem, Point3 } from '#core/figure'
import type { Body } from './body/body.ts'
import type { Bead } from './body/part.ts'
import { linePath, roundedPath, smoothPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'
import { cut, fieldOf } from './skin/field.ts'
import type { Disc } from './skin/field.ts'
import { outlinesOf } from './skin/outline.ts'
import type { Flat } from './skin/outline.ts'
import { seenFrom, views } from './skin/view.ts'

const bands: ReadonlySet<PropKind> = new Set(['strap', 'belt', 'scarf'])
/** How thick what is laid over lies, cm, and how much of the body a weight covers along it, cm [estimates]. */
const thickness = { cloth: 2.2, weight: 4.5 } as const
const weightLong = 26
const cell = 1.2

interface Seeing {
  readonly elevation: Elevation
  readonly body: Body
  readonly view: FigureView
  readonly plot: Plot
}

/** A layer with the lines that labels keep off. */
export interface LooseLayer extends Layer {
  readonly lines: readonly (readonly Px[])[]
}

/** What carries nothing, as it is seen: straps under tension, a pillow on the eyes, cloths and weights laid over. */
export const looseLayers = (seeing: Seeing): readonly LooseLayer[] =>
  seeing.elevation.loose.flatMap((item): LooseLayer[] => {
    if (bands.has(item.kind)) return bandLayers(item, seeing)
    if (item.part === 'eyes') return [onTheEyes(item, seeing)]
    if (isAtHands(item)) return chairAtHands(item, seeing)
    return item.lies === 'over' ? laidOver(item, seeing) : []
  })

const shapeOf = (item: LooseItem, is: DrawnShape['is'], path: string, at = 0): DrawnShape => ({
  ...{ key: `${item.id} ${String(at)}`, is, path },
  ...(is === 'prop' ? { kind: item.kind } : {}),
})

/** A strap as straight lines from where it is held to where it pulls, or across the limbs it goes round. */
function bandLayers(item: LooseItem, { elevation, view, plot }: Seeing): LooseLayer[] {
  return bandLines(item.part, elevation).map((line, at) => {
    const seen = line.map((point) => seenFrom(views[view], point))
    const points = seen.map(({ u, v }) => plot.at({ x: u, y: v }))
    return {
      near: Math.max(...seen.map(({ near }) => near)) + 2,
      shapes: [shapeOf(item, 'strap', linePath(points), at)],
      lines: [points],
    }
  })
}

/** From this difference in height on, cm, both hands hold the foot that is raised. */
const raised = 15

function bandLines(part: BodyPart, { skeleton, frame }: Elevation): readonly (readonly Point3[])[] {
  const { left, right, hip } = skeleton
  const both = [right, left]
  if (part === 'feet') {
    const apart = right.ankle.y - left.ankle.y
    const one = Math.abs(apart) < raised ? undefined : apart > 0 ? right : left
    return both.map((side) => [side.wrist, (one ?? side).toe])
  }
  if (part === 'hands') return [[right.wrist, left.wrist]]
  if (part === 'pelvis') return both.map(({ ankle, hip: joint }) => [{ ...hip, z: joint.z }, ankle])
  const [from, to, share] = limbs[part] ?? []
  if (!from || !to || share === undefined) return []
  return both.map((side) => roundLimb(side[from], side[to], share, frame.kneeR))
}

type Joint = 'hip' | 'knee' | 'ankle' | 'shoulder' | 'elbow'
const limbs: Readonly<Partial<Record<BodyPart, readonly [Joint, Joint, number]>>> = {
  thighs: ['hip', 'knee', 0.6],
  knees: ['hip', 'knee', 0.9],
  shins: ['knee', 'ankle', 0.4],
  ankles: ['knee', 'ankle', 0.92],
  arms: ['shoulder', 'elbow', 0.6],
}

/** Across a limb, square to it as it is seen from the side. */
function roundLimb(a: Point3, b: Point3, share: number, r: number): readonly Point3[] {
  const middle = between(a, b, share)
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const off = { x: (-(b.y - a.y) / length) * r, y: ((b.x - a.x) / length) * r }
  return [
    { x: middle.x - off.x, y: middle.y - off.y, z: middle.z },
    { x: middle.x + off.x, y: middle.y + off.y, z: middle.z },
  ]
}

function onTheEyes(item: LooseItem, { elevation, body, view, plot }: Seeing): LooseLayer {
  const r = 0.012 * elevation.frame.stature
  const discs = body.head.eyes.map((at): Disc => ({ ...seenFrom(views[view], at), r }))
  const lines = plotted(outlinesOf(fieldOf([discs], cell / 2)), plot)
  const near = Math.max(...discs.map((disc) => disc.near)) + r
  return { near, lines, shapes: [shapeOf(item, 'prop', lines.map(smoothPath).join(''))] }
}

/** How high a chair's seat is and how thick, how deep it is, and from which height on hands are on its back, cm [estimates]. */
const chair = { seat: 45, thick: 4, deep: 40, backFrom: 60 } as const

/** Where a chair stands that hands rest on: its back and its front, cm, and how high they rest. */
function chairUnder({ skeleton, frame }: Elevation) {
  const { left, right, hip } = skeleton
  const at = between(right.wrist, left.wrist, 0.5)
  const top = at.y - frame.wristR
  const away = Math.sign(at.x - hip.x) || 1
  const onBack = top > chair.backFrom
  const back = onBack ? at.x + away * 2 : at.x + (away * chair.deep) / 2
  return { top, onBack, back, front: onBack ? back + away * chair.deep : back - away * chair.deep }
}

const isAtHands = ({ kind, part }: LooseItem): boolean => kind === 'chair' && part === 'hands'

/** How far along the picture from the side reaches what carries nothing but stands beside the body, cm. */
export function looseReach(elevation: Elevation): readonly number[] {
  if (!elevation.loose.some(isAtHands)) return []
  const { back, front } = chairUnder(elevation)
  return [back, front]
}

/** A chair that hands rest on: on its back, the seat beyond it, or on its seat where they are low. */
function chairAtHands(item: LooseItem, { elevation, view, plot }: Seeing): LooseLayer[] {
  if (view !== 'side') return []
  const { top, onBack, back, front } = chairUnder(elevation)
  const seat = onBack ? chair.seat : top
  const [low, high] = [Math.min(back, front), Math.max(back, front)]
  const upright = (x: number, y: number): Px[] => [plot.at({ x, y: 0 }), plot.at({ x, y })]
  const posts = [upright(back, onBack ? top : seat + chair.deep), upright(front, seat - chair.thick)]
  const corners = [
    { x: low, y: seat - chair.thick },
    { x: high, y: seat - chair.thick },
    { x: high, y: seat },
    { x: low, y: seat },
  ].map(plot.at)
  return [
    {
      near: -1,
      lines: [...posts, corners],
      shapes: [
        ...posts.map((post, at) => shapeOf(item, 'frame', linePath(post), at + 1)),
        shapeOf(item, 'prop', roundedPath(corners, 0.5)),
      ],
    },
  ]
}

const plotted = (rings: readonly (readonly Flat[])[], plot: Plot): Px[][] =>
  rings.map((ring) => ring.map(({ u, v }) => plot.at({ x: u, y: v })))

/** No part of a body is thicker above its own line, cm; late in pregnancy the belly stands further out. */
const mostThick = { usual: 28, late: 42 } as const
/** Steeper than this nothing lies: rise by run. */
const steep = 1.7

/** Of a line on the body what lies rather than stands: from an upright trunk a cloth is on the lap. */
function whereItLies(line: readonly Point3[]): readonly Point3[] {
  const first = line.findIndex((a, at) => {
    const b = line[at + 1]
    return b !== undefined && Math.abs(b.y - a.y) <= steep * Math.hypot(b.x - a.x, b.z - a.z)
  })
  return first < 0 ? [] : line.slice(first)
}

/** From where to where on the body's own lines something laid over a part lies. */
function lineUnder(part: BodyPart, { skeleton }: Elevation): readonly Point3[] {
  const { hip, waist, shoulder, right, left } = skeleton
  const knees = between(right.knee, left.knee, 0.5)
  const ankles = between(right.ankle, left.ankle, 0.5)
  const on: Readonly<Partial<Record<BodyPart, readonly Point3[]>>> = {
    belly: [between(waist, shoulder, 0.5), waist, hip, between(hip, knees, 0.55)],
    pelvis: [waist, hip, between(hip, knees, 0.3)],
    chest: [between(shoulder, waist, 0.2), waist],
    upperBack: [between(shoulder, waist, 0.1), waist],
    thighs: [hip, knees],
    knees: [between(hip, knees, 0.5), knees, between(knees, ankles, 0.5)],
    shins: [knees, ankles],
    feet: [between(knees, ankles, 0.7), between(right.toe, left.toe, 0.5)],
  }
  return on[part] ?? []
}

/** A cloth or a weight that lies over the upper side of the body, following it; from above its outline. */
function laidOver(item: LooseItem, { elevation, body, view, plot }: Seeing): LooseLayer[] {
  const line = whereItLies(lineUnder(item.part, elevation)).map((point) => seenFrom(views[view], point))
  if (line.length < 2 || view === 'rightEnd' || view === 'leftEnd') return []
  const isWeight = item.kind === 'sandbag'
  const us = line.map(({ u }) => u)
  const middle = (Math.min(...us) + Math.max(...us)) / 2
  const [from, to] = isWeight ? [middle - weightLong / 2, middle + weightLong / 2] : [Math.min(...us), Math.max(...us)]
  if (view === 'above') {
    const wide = 0.16 * elevation.frame.stature
    const corners = [
      [from, -wide],
      [to, -wide],
      [to, wide],
      [from, wide],
    ].map(([x = 0, y = 0]) => plot.at({ x, y }))
    const outline = [...corners, ...corners.slice(0, 1)]
    return [{ near: Infinity, lines: [outline], shapes: [shapeOf(item, 'through', linePath(outline))] }]
  }
  const thick = isWeight ? thickness.weight : thickness.cloth
  const strings = body.parts
    .filter(({ name, side }) => name === 'trunk' || (side === 'right' && (name === 'thigh' || name === 'lowerLeg')))
    .flatMap((part) => part.strings)
  const most = elevation.lateInPregnancy ? mostThick.late : mostThick.usual
  // The flesh grown by how thick the cloth is; what is deeper in than that is the body.
  const over = fieldOf(
    strings.map((string) => string.map(({ at, r }: Bead): Disc => ({ ...seenFrom(views.side, at), r: r + thick }))),
    cell,
  )
  // The ends hang down a little: what is soft has no edge that stands.
  cut(over, (u, v, depth) => {
    const body = heightOf(line, u)
    return Math.min(u - from, to - u, thick - depth, v - body, body + most - v)
  })
  // It lies in one piece: what folded limbs part from it hangs out of sight behind them.
  const [piece] = plotted(outlinesOf(over), plot).sort((a, b) => b.length - a.length)
  if (!piece) return []
  return [
    { near: elevation.skeleton.right.hip.z + 1, lines: [piece], shapes: [shapeOf(item, 'prop', smoothPath(piece))] },
  ]
}

/** How high the body's own line runs at a place along the picture, cm. */
function heightOf(line: readonly Flat[], u: number): number {
  let highest = -Infinity
  for (let at = 1; at < line.length; at += 1) {
    const [a, b] = [line[at - 1], line[at]]
    if (!a || !b || (u - a.u) * (u - b.u) > 0) continue
    const share = a.u === b.u ? 0 : (u - a.u) / (b.u - a.u)
    highest = Math.max(highest, a.v + (b.v - a.v) * share)
  }
  return highest === -Infinity ? Infinity : highest
}
