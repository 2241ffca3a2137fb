import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import { bonesOf, boundsOf, headCentre } from '#core/figure'
import type { Bone, Elevation, Heap, Measure, PlacedProp } from '#core/figure'
import { countedOrOne } from '#words/props'
import { heapNumber } from './heap-number.ts'
import type { LengthUnit } from '#words/lengths'
import { markWords } from '#words/measures'
import { frameLines } from './chair-lines.ts'
import type { Box, Solid } from './occupied.ts'
import { limbPath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import { placeLabels } from './place-labels.ts'
import type { Placed, Wanted } from './place-labels.ts'

/** Which limbs stand behind, and what of the body comes nearest to whoever looks. */
export type Tone = 'far' | 'body' | 'near'
export interface DrawnLimb {
  readonly key: string
  readonly path: string
  readonly tone: Tone
}
interface DrawnProp {
  readonly key: string
  readonly path: string
  readonly kind: PropKind
}
/** A line of a measure, a chair or the wall. */
interface DrawnLine {
  readonly key: string
  readonly path: string
  readonly is: 'measure' | 'frame' | 'wall'
}

/** A picture as shapes in px: everything a component needs to show it, and the labels that found no room. */
export interface Drawing {
  readonly width: number
  readonly height: number
  /** Where the floor lies, seen from the side. */
  readonly floorY?: number
  /** The mat, seen from above. */
  readonly mat?: string
  readonly grid: readonly { readonly y: number; readonly text: string }[]
  readonly props: readonly DrawnProp[]
  readonly limbs: readonly DrawnLimb[]
  readonly lines: readonly DrawnLine[]
  readonly labels: readonly Placed[]
  readonly left: readonly string[]
}

export interface DrawingInput {
  readonly elevation: Elevation
  readonly measures: readonly Measure[]
  readonly width: number
  readonly height: number
  readonly unit: LengthUnit
}

/** Under this width labels are numbers alone, px. */
export const narrowBelow = 480
/** Room for the numbers of the heights at the left, and air elsewhere, px. */
const gutter = { left: 44, right: 14, top: 14, bottom: 46 } as const
/** The picture is this many cm wide unless more is needed: people of all heights are drawn to one scale. */
const usualWidthCm = 205
/** How much of the room a low figure leaves is under it. */
const restLifted = 0.3
/** From 13 px and half an em a sign. */
const letterPx = 7.4
const linePx = 17

/** Where cm come to lie in px: x to the right, y upwards in the room and downwards on the screen. */
export interface Plot {
  readonly scale: number
  readonly at: (point: { readonly x: number; readonly y: number }) => Px
}

/** The elevation of a figure on its props, seen from the right, with its measures and the heights of what lies under it. */
export function drawElevation(input: DrawingInput): Drawing {
  const { elevation, measures, width, height, unit } = input
  const { skeleton, frame, props } = elevation
  const bones = bonesOf(skeleton, frame)
  const reach = reachOf(elevation, bones, measures)
  const plot = plotOf(input, reach)
  const lines = linesOf(elevation, reach.high, measures, plot)
  const floorY = plot.at({ x: 0, y: 0 }).y
  const grid = gridOf(reach.high, plot, height, unit)
  const isShort = width < narrowBelow
  const { placed, left } = placeLabels({
    labels: [
      ...measures.flatMap((measure) => markLabel(measure, plot, unit, isShort)),
      ...pileLabels(elevation, measures, plot, unit, isShort),
    ],
    solids: [
      ...bodySolids(elevation, bones, plot.at, plot.scale),
      ...props.map(({ core, radius }): Solid => ({ core: core.map(plot.at), radius: radius * plot.scale })),
      ...lines.map(({ points }): Solid => ({ core: points, radius: 2 })),
      ...backgroundSolids(grid, floorY, width),
    ],
    room: roomIn(width, height),
  })
  const head = headCentre(skeleton, frame)
  return {
    width,
    height,
    floorY,
    grid,
    props: props.map(({ core, radius, piece, part }, index) => ({
      key: `${part} ${String(index)}`,
      kind: piece.kind,
      path: roundedPath(core.map(plot.at), radius * plot.scale),
    })),
    limbs: [
      ...bones.map((bone) => drawnLimb(toHead(bone, head), plot)),
      headShape(elevation, plot.at, plot.scale, 'body'),
    ].sort((a, b) => nearestLast[a.tone] - nearestLast[b.tone]),
    lines: lines.map(({ key, is, points }) => ({ key, is, path: linePath(points) })),
    labels: placed,
    left: left.map(({ text }) => text),
  }
}

type Reach = ReturnType<typeof reachOf>

/** All people to one scale unless more room is needed; what is low does not sit at the very bottom of a tall picture. */
function plotOf({ width, height }: DrawingInput, reach: Reach): Plot {
  const tall = height - gutter.top - gutter.bottom
  const scale = Math.min(
    (width - gutter.left - gutter.right) / Math.max(usualWidthCm, reach.right - reach.left),
    tall / (reach.high - reach.low),
  )
  const lift = (tall - (reach.high - reach.low) * scale) * restLifted
  const floorY = height - gutter.bottom + Math.min(0, reach.low) * scale - lift
  const middle = (gutter.left + width - gutter.right) / 2 - ((reach.left + reach.right) / 2) * scale
  return { scale, at: ({ x, y }) => ({ x: middle + x * scale, y: floorY - y * scale }) }
}

/** A line as points in px, before it is a path: labels keep off it. */
interface PlottedLine extends Omit<DrawnLine, 'path'> {
  readonly points: readonly Px[]
}

/** Chairs, the wall and the measures, in this order. */
function linesOf(elevation: Elevation, highCm: number, measures: readonly Measure[], plot: Plot): PlottedLine[] {
  const { props, wallX } = elevation
  const frames = props.flatMap((prop) => frameLines(prop, elevation))
  const wall = [
    { x: wallX ?? 0, y: 0 },
    { x: wallX ?? 0, y: highCm },
  ]
  return [
    ...frames.map((line, index) => ({
      key: `chair ${String(index)}`,
      is: 'frame' as const,
      points: line.map(plot.at),
    })),
    ...(wallX === undefined ? [] : [{ key: 'wall', is: 'wall' as const, points: wall.map(plot.at) }]),
    ...measureLines(measures, plot),
  ]
}

export const measureLines = (measures: readonly Measure[], plot: Plot): PlottedLine[] =>
  measures
    .flatMap((measure) => markLines(measure, plot).map((points) => ({ what: measure.what, points })))
    .map(({ what, points }, index) => ({ key: `${what} ${String(index)}`, is: 'measure' as const, points }))

/** The body as labels must keep off it. */
export const bodySolids = (
  { skeleton, frame }: Elevation,
  bones: readonly Bone[],
  at: (point: Bone['b']) => Px,
  scale: number,
): Solid[] => [
  ...bones.map(({ a, b, ra, rb }): Solid => ({ core: [at(a), at(b)], radius: Math.max(ra, rb) * scale })),
  { core: [at(headCentre(skeleton, frame))], radius: frame.headR * scale },
]

/** The floor, and the numbers of the heights at the left. */
const backgroundSolids = (grid: Drawing['grid'], floorY: number, width: number): Solid[] => [
  {
    core: [
      { x: 0, y: floorY },
      { x: width, y: floorY },
    ],
    radius: 1.5,
  },
  ...grid.map(({ y, text }): Solid => ({
    core: [
      { x: 6, y: y - 5 },
      { x: 6 + text.length * letterPx, y: y - 5 },
    ],
    radius: 9,
  })),
]

/** Where labels may stand. */
export const roomIn = (width: number, height: number): Box => ({
  left: 4,
  top: 4,
  right: width - 4,
  bottom: height - 4,
})

export const nearestLast: Readonly<Record<Tone, number>> = { far: 0, body: 1, near: 2 }

export const linePath = (points: readonly Px[]): string =>
  points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')

export const isArm = ({ name }: Bone): boolean => name === 'upperArm' || name === 'forearm'

/** The neck is drawn up to the head, though its bone counts to the crown. */
export const toHead = (bone: Bone, head: Bone['b']): Bone => (bone.name === 'neck' ? { ...bone, b: head } : bone)

/** The head: round, and drawn out a little to the crown. */
export function headShape(
  { skeleton, frame }: Elevation,
  at: (point: Bone['b']) => Px,
  scale: number,
  tone: Tone,
): DrawnLimb {
  const head = headCentre(skeleton, frame)
  const { crown } = skeleton
  const towards = {
    x: head.x + (crown.x - head.x) * 0.3,
    y: head.y + (crown.y - head.y) * 0.3,
    z: head.z + (crown.z - head.z) * 0.3,
  }
  return { key: 'head', tone, path: limbPath(at(head), at(towards), frame.headR * scale, frame.headR * 0.84 * scale) }
}

function drawnLimb(bone: Bone, { at, scale }: Plot): DrawnLimb {
  const tone: Tone = bone.side === 'left' ? 'far' : bone.side === 'right' && isArm(bone) ? 'near' : 'body'
  return {
    key: `${bone.side ?? ''} ${bone.name}`,
    tone,
    path: limbPath(at(bone.a), at(bone.b), bone.ra * scale, bone.rb * scale),
  }
}

/** How far the figure, its props and the lines of its measures reach, cm. */
function reachOf({ frame, props, skeleton, wallX }: Elevation, bones: readonly Bone[], measures: readonly Measure[]) {
  const head = headCentre(skeleton, frame)
  const xs = [
    ...bones.flatMap(({ a, b, ra, rb }) => [a.x - ra, a.x + ra, b.x - rb, b.x + rb]),
    head.x - frame.headR,
    head.x + frame.headR,
    ...props.flatMap((prop) => [boundsOf(prop).left, boundsOf(prop).right]),
    ...(wallX === undefined ? [] : [wallX]),
    ...measures.flatMap(({ mark }) =>
      mark?.kind === 'height' ? [mark.x] : mark?.kind === 'distance' ? [mark.from, mark.to] : [],
    ),
  ]
  const ys = [
    ...bones.flatMap(({ a, b, ra, rb }) => [a.y + ra, b.y + rb]),
    head.y + frame.headR,
    ...props.map((prop) => boundsOf(prop).high),
  ]
  const lows = measures.flatMap(({ mark }) => (mark?.kind === 'distance' ? [mark.y] : []))
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    high: Math.max(...ys) + (wallX === undefined ? 6 : 12),
    low: Math.min(0, ...lows),
  }
}

/** Lines across at heights one can count: closer together for what lies, further apart for what stands. */
function gridOf(highCm: number, { at, scale }: Plot, height: number, unit: LengthUnit) {
  const perUnit = unit === 'in' ? 2.54 : 1
  const most = highCm / perUnit
  const step = [5, 10, 20, 50].find((each) => most / each <= 6.5 && each * perUnit * scale >= linePx) ?? 50
  const lines = Array.from({ length: Math.floor(most / step) }, (_, index) => (index + 1) * step)
  return lines
    .map((line, index) => ({
      y: at({ x: 0, y: line * perUnit }).y,
      text: index === lines.length - 1 ? `${String(line)} ${unit}` : String(line),
    }))
    .filter(({ y }) => y > 8 && y < height)
}

const tick = 5

/** The lines of a measure's mark. */
export function markLines({ mark }: Measure, { at, scale }: Plot): readonly (readonly Px[])[] {
  if (!mark) return []
  if (mark.kind === 'height') {
    const [low, high] = [at({ x: mark.x, y: mark.from }), at({ x: mark.x, y: mark.to })]
    return [
      [low, high],
      ...[low, high].map(({ x, y }) => [
        { x: x - tick, y },
        { x: x + tick, y },
      ]),
    ]
  }
  if (mark.kind === 'distance') {
    const [near, far] = [at({ x: mark.from, y: mark.y }), at({ x: mark.to, y: mark.y })]
    return [
      [near, far],
      ...[near, far].map(({ x, y }) => [
        { x, y: y - tick },
        { x, y: y + tick },
      ]),
    ]
  }
  if (mark.kind === 'point') return []
  const radius = Math.max(26, 12 * scale)
  const centre = at(mark.at)
  const on = (degrees: number): Px => ({
    x: centre.x + radius * Math.cos((degrees * Math.PI) / 180),
    y: centre.y - radius * Math.sin((degrees * Math.PI) / 180),
  })
  return [Array.from({ length: 9 }, (_, index) => on(mark.from + ((mark.to - mark.from) * index) / 8))]
}

export const sized = (text: string) => ({ text, width: text.length * letterPx + 4, height: linePx })

export function markLabel(measure: Measure, plot: Plot, unit: LengthUnit, isShort: boolean): readonly Wanted[] {
  const { mark, what } = measure
  if (!mark) return []
  const label = { key: what, ...sized(markWords(measure, unit, isShort)) }
  if (mark.kind === 'height') return [{ ...label, anchor: plot.at({ x: mark.x, y: mark.to }), rather: -90 }]
  if (mark.kind === 'distance')
    return [{ ...label, anchor: plot.at({ x: (mark.from + mark.to) / 2, y: mark.y }), rather: 90 }]
  if (mark.kind === 'point') return [{ ...label, anchor: plot.at(mark.at), rather: -45 }]
  const radius = Math.max(26, 12 * plot.scale)
  const middle = (mark.from + mark.to) / 2
  const centre = plot.at(mark.at)
  return [
    {
      ...label,
      anchor: {
        x: centre.x + radius * Math.cos((middle * Math.PI) / 180),
        y: centre.y - radius * Math.sin((middle * Math.PI) / 180),
      },
      rather: -middle,
    },
  ]
}

/** The measure that already tells the height of a pile under a part. */
const toldBy: Readonly<Partial<Record<BodyPart, readonly Measure['what'][]>>> = {
  knees: ['kneesHeight', 'kneeJointsHeight'],
  shins: ['seatHeight'],
  thighs: ['kneesHeight', 'kneeJointsHeight'],
}

/** The heaps that are named in a picture: of two equal piles the second is the first once more. */
export const labelledHeaps = ({ heaps }: Elevation): readonly Heap[] =>
  heaps.filter(
    (heap) =>
      heap.twin !== 'right' ||
      !heaps.some(({ part, role, twin }) => twin === 'left' && part === heap.part && role === heap.role),
  )

function pileLabels(
  elevation: Elevation,
  measures: readonly Measure[],
  { at }: Plot,
  unit: LengthUnit,
  isShort: boolean,
): readonly Wanted[] {
  const isTold = (part: BodyPart): boolean =>
    measures.some(({ what, mark }) => mark !== undefined && (toldBy[part] ?? []).includes(what)) &&
    !elevation.numbers.bound
  return labelledHeaps(elevation)
    .filter(({ part }) => !isTold(part))
    .map((heap) => {
      const { part, props } = heap
      const bounds = props.map(boundsOf)
      const [low, high] = [Math.min(...bounds.map((one) => one.low)), Math.max(...bounds.map((one) => one.high))]
      const middle = (Math.min(...bounds.map(({ left }) => left)) + Math.max(...bounds.map(({ right }) => right))) / 2
      const onFloor = low < 1
      return {
        key: `pile ${part} ${String(low)}`,
        ...sized(`${isShort ? '' : `${heapName(props)} `}${heapNumber(heap, elevation, unit)} ${unit}`),
        anchor: at({ x: middle, y: onFloor ? low + (high - low) * 0.35 : (low + high) / 2 }),
        rather: onFloor ? 90 : -90,
      }
    })
}

export function heapName(props: readonly PlacedProp[]): string {
  const kinds = [...new Set(props.map(({ piece }) => piece.kind))]
  if (kinds.length > 2) return `${String(props.length)} props`
  return kinds
    .map((kind) => {
      const count = props.filter(({ piece }) => piece.kind === kind).length
      return countedOrOne(kind, count)
    })
    .join(' + ')
}
