import type { PropSpec } from '#model/prop'
import { bonesOf, boundsOf, headCentre } from '#core/figure'
import type { Bone, Elevation, PlacedProp } from '#core/figure'
import {
  bodySolids,
  headShape,
  heapName,
  labelledHeaps,
  isArm,
  linePath,
  markLabel,
  measureLines,
  narrowBelow,
  nearestLast,
  roomIn,
  sized,
  toHead,
} from './drawing.ts'
import type { DrawnLimb, Drawing, DrawingInput, Plot, Tone } from './drawing.ts'
import { heapNumber } from './heap-number.ts'
import type { Solid } from './occupied.ts'
import { limbPath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import { placeLabels } from './place-labels.ts'
import type { Wanted } from './place-labels.ts'

/** Half breadths of the trunk seen from above, as shares of the stature; on the side it shows its depth [estimates]. */
const breadths = { hip: 0.085, waist: 0.07, shoulder: 0.1 } as const
const depths = { hip: 0.055, waist: 0.045, shoulder: 0.06 } as const
const air = 14
/** Where distances to a wall are drawn: beyond the mat, cm from its middle. */
const beyondMat = 12

interface Flat {
  readonly x: number
  readonly z: number
}

type Mat = Pick<PropSpec, 'lengthCm' | 'widthCm'>

/** A figure and its props seen from above: the mat, the wall, the outlines; the right side of the body is below. */
export function drawAbove(input: DrawingInput & { readonly mat: Mat; readonly onSide: boolean }): Drawing {
  const { elevation, measures, width, height, unit, mat, onSide } = input
  const { skeleton, frame, props, wallX } = elevation
  const flesh = fleshOf(elevation, onSide)
  const bones = bonesOf(skeleton, frame).map((bone) => broadened(bone, flesh))
  const distances = measures.filter(({ mark }) => mark?.kind === 'distance')
  const { at, scale, matMiddle, near, far } = layoutOf(input, bones, distances.length)
  // Marks lie in the picture's own plane: their heights stand for depths here.
  const plot: Plot = { scale, at: ({ x, y }) => at({ x, z: y }) }
  const moved = distances.map((measure, index) =>
    measure.mark?.kind === 'distance'
      ? { ...measure, mark: { ...measure.mark, y: near + beyondMat + index * 9 } }
      : measure,
  )
  const rects = props.map((prop) => ({ prop, core: cornersOf(prop).map(at) }))
  const marks = measureLines(moved, plot)
  const wall = wallX === undefined ? [] : [[at({ x: wallX, z: -near }), at({ x: wallX, z: far })]]
  const isShort = width < narrowBelow
  const { placed, left } = placeLabels({
    labels: [
      ...moved.flatMap((measure) => markLabel(measure, plot, unit, isShort)),
      ...heapLabels(elevation, at, unit, isShort),
    ],
    solids: [
      ...bodySolids(elevation, bones, at, scale),
      ...rects.map(({ core }): Solid => ({ core, radius: 0 })),
      ...wall.map((line): Solid => ({ core: line, radius: 3 })),
      ...marks.map(({ points }): Solid => ({ core: points, radius: 2 })),
    ],
    room: roomIn(width, height),
  })
  const head = headCentre(skeleton, frame)
  return {
    width,
    height,
    mat: roundedPath(matCorners(mat, matMiddle).map(at), 4),
    grid: [],
    props: rects.map(({ prop: { piece, part }, core }, index) => ({
      key: `${part} ${String(index)}`,
      kind: piece.kind,
      path: roundedPath(core, 2),
    })),
    limbs: [
      ...bones.map((bone) => limbAbove(toHead(bone, head), at, scale)),
      headShape(elevation, at, scale, 'near'),
    ].sort((a, b) => nearestLast[a.tone] - nearestLast[b.tone]),
    lines: [
      ...wall.map((line) => ({ key: 'wall', is: 'wall' as const, path: linePath(line) })),
      ...marks.map(({ key, is, points }) => ({ key, is, path: linePath(points) })),
    ],
    labels: placed,
    left: left.map(({ text }) => text),
  }
}

/** Half breadths of the trunk, cm; on the side it shows its depth. */
function fleshOf({ frame }: Elevation, onSide: boolean) {
  const broad = onSide ? depths : breadths
  return {
    hip: broad.hip * frame.stature,
    waist: broad.waist * frame.stature,
    shoulder: broad.shoulder * frame.stature,
  }
}

/** Where cm come to lie in px, the mat's middle, and how far all reaches to both sides of the body's line, cm. */
function layoutOf(
  { elevation, width, height, mat }: DrawingInput & { mat: Mat },
  bones: readonly Bone[],
  many: number,
) {
  const { skeleton, wallX } = elevation
  const reach = reachOf(elevation, bones, mat.widthCm)
  // Under the body, and at a wall up to it.
  const matMiddle =
    wallX === undefined
      ? (reach.bodyLeft + reach.bodyRight) / 2
      : wallX - (Math.sign(wallX - skeleton.hip.x) * mat.lengthCm) / 2
  const left = Math.min(reach.left, matMiddle - mat.lengthCm / 2)
  const right = Math.max(reach.right, matMiddle + mat.lengthCm / 2)
  const near = reach.far
  const far = near + (many > 0 ? beyondMat + many * 9 : 0)
  const scale = Math.min((width - 2 * air) / (right - left), (height - 2 * air - 26) / (far + near))
  const middleY = (height - (far - near) * scale) / 2
  const offset = width / 2 - ((left + right) / 2) * scale
  const at = ({ x, z }: Flat): Px => ({ x: offset + x * scale, y: middleY + z * scale })
  return { at, scale, matMiddle, near, far }
}

const matCorners = ({ lengthCm, widthCm }: Mat, middle: number): Flat[] => [
  { x: middle - lengthCm / 2, z: widthCm / 2 },
  { x: middle + lengthCm / 2, z: widthCm / 2 },
  { x: middle + lengthCm / 2, z: -widthCm / 2 },
  { x: middle - lengthCm / 2, z: -widthCm / 2 },
]

function broadened(
  bone: Bone,
  flesh: { readonly hip: number; readonly waist: number; readonly shoulder: number },
): Bone {
  if (bone.name === 'lowTrunk') return { ...bone, ra: flesh.hip, rb: flesh.waist }
  return bone.name === 'ribCage' ? { ...bone, ra: flesh.waist, rb: flesh.shoulder } : bone
}

function limbAbove(bone: Bone, at: (point: Flat) => Px, scale: number): DrawnLimb {
  const tone: Tone = isArm(bone) ? 'far' : bone.side === undefined ? 'near' : 'body'
  return {
    key: `${bone.side ?? ''} ${bone.name}`,
    tone,
    path: limbPath(at(bone.a), at(bone.b), bone.ra * scale, bone.rb * scale),
  }
}

/** The rectangle of a prop, its corners in the order outlines want them. */
function cornersOf(prop: PlacedProp): readonly Flat[] {
  const { left, right } = boundsOf(prop)
  return [
    { x: left, z: prop.zTo },
    { x: right, z: prop.zTo },
    { x: right, z: prop.zFrom },
    { x: left, z: prop.zFrom },
  ]
}

function reachOf({ frame, props, skeleton, wallX }: Elevation, bones: readonly Bone[], matWidth: number) {
  const head = headCentre(skeleton, frame)
  const bodyXs = [
    ...bones.flatMap(({ a, b, ra, rb }) => [a.x - ra, a.x + ra, b.x - rb, b.x + rb]),
    head.x - frame.headR,
    head.x + frame.headR,
  ]
  const xs = [
    ...bodyXs,
    ...props.flatMap((prop) => [boundsOf(prop).left, boundsOf(prop).right]),
    ...(wallX === undefined ? [] : [wallX]),
  ]
  const zs = [
    ...bones.flatMap(({ a, b, ra, rb }) => [Math.abs(a.z) + ra, Math.abs(b.z) + rb]),
    ...props.flatMap(({ zFrom, zTo }) => [Math.abs(zFrom), Math.abs(zTo)]),
    matWidth / 2,
  ]
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    bodyLeft: Math.min(...bodyXs),
    bodyRight: Math.max(...bodyXs),
    far: Math.max(...zs) + 2,
  }
}

function heapLabels(
  elevation: Elevation,
  at: (point: Flat) => Px,
  unit: DrawingInput['unit'],
  isShort: boolean,
): readonly Wanted[] {
  return labelledHeaps(elevation).map((heap) => {
    const { part, props } = heap
    const widest = props.reduce((most, prop) => (prop.zTo - prop.zFrom > most.zTo - most.zFrom ? prop : most))
    const { left, right } = boundsOf(widest)
    // At the edge nearer to the outside: the body covers the middle.
    const isBelow = widest.zFrom + widest.zTo >= -1
    return {
      key: `pile ${part} ${String(left)}`,
      ...sized(`${isShort ? '' : `${heapName(props)} `}${heapNumber(heap, elevation, unit)} ${unit}`),
      anchor: at({ x: (left + right) / 2, z: isBelow ? widest.zTo - 2 : widest.zFrom + 2 }),
      rather: isBelow ? 90 : -90,
    }
  })
}
