import type { PropSpec } from '#model/prop'
import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp } from '#core/figure'
import { bodyOf } from './body/body.ts'
import type { Body } from './body/body.ts'
import { bodyLayers, bodySolids, cellAt, reachOfBody } from './body-shapes.ts'
import { heapName, labelledHeaps, markLabel, measureLines, narrowBelow, roomIn, sized } from './labels.ts'
import { heapNumber } from './heap-number.ts'
import type { Solid } from './occupied.ts'
import { linePath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import { painted } from './picture.ts'
import type { Drawing, DrawingInput, DrawnShape, Layer, Plot } from './picture.ts'
import { placeLabels } from './place-labels.ts'
import type { Wanted } from './place-labels.ts'
import { skinOf } from './skin/skin.ts'
import { fromAbove } from './skin/view.ts'

const air = 14
/** Where distances to a wall are drawn: beyond the mat, cm from its middle. */
const beyondMat = 12

interface Flat {
  readonly x: number
  readonly z: number
}

type Mat = Pick<PropSpec, 'lengthCm' | 'widthCm'>

/** A figure and its props seen from above: the mat, the wall, the outlines; the right side of the body is below. */
export function drawFromAbove(input: DrawingInput & { readonly mat: Mat }): Drawing {
  const { elevation, measures, width, height, unit, mat } = input
  const { props, wallX } = elevation
  const body = bodyOf(elevation)
  const distances = measures.filter(({ mark }) => mark?.kind === 'distance')
  const { at, scale, matMiddle, near, far } = layoutOf(input, body, distances.length)
  // Up in the picture is away from the body's right side.
  const place = ({ u, v }: { readonly u: number; readonly v: number }): Px => at({ x: u, z: -v })
  const skin = skinOf(body, elevation, fromAbove, cellAt(scale))
  // Marks lie in the picture's own plane: their heights stand for depths here.
  const plot: Plot = { scale, at: ({ x, y }) => at({ x, z: y }) }
  const moved = distances.map((measure, index) =>
    measure.mark?.kind === 'distance'
      ? { ...measure, mark: { ...measure.mark, y: near + beyondMat + index * 9 } }
      : measure,
  )
  const marks = measureLines(moved, plot)
  const wall = wallX === undefined ? [] : [[at({ x: wallX, z: -near }), at({ x: wallX, z: far })]]
  const isShort = width < narrowBelow
  const { placed, left } = placeLabels({
    labels: [
      ...moved.flatMap((measure) => markLabel(measure, plot, unit, isShort)),
      ...heapLabels(elevation, at, unit, isShort),
    ],
    solids: [
      ...bodySolids(skin, place),
      ...props.map((prop): Solid => ({ core: cornersOf(prop).map(at), radius: 0 })),
      ...wall.map((line): Solid => ({ core: line, radius: 3 })),
      ...marks.map(({ points }): Solid => ({ core: points, radius: 2 })),
    ],
    room: roomIn(width, height),
  })
  return {
    ...{ width, height, grid: [] },
    mat: roundedPath(matCorners(mat, matMiddle).map(at), 4),
    shapes: [
      ...wall.map((line): DrawnShape => ({ key: 'wall', is: 'wall', path: linePath(line) })),
      ...painted(propsAbove(props, at), bodyLayers(skin, place)),
      // What the body covers is seen through it.
      ...props.map((prop, index): DrawnShape => ({
        ...{ key: `${prop.part} ${String(index)} through`, is: 'through' },
        path: roundedPath(cornersOf(prop).map(at), 2),
      })),
    ],
    measures: marks.map(({ key, points }) => ({ key, path: linePath(points) })),
    labels: placed,
    left: left.map(({ text }) => text),
  }
}

/** Props as they are seen from above; what begins above a part of the body lies over it. */
export const propsAbove = (props: readonly PlacedProp[], at: (point: Flat) => Px): readonly Layer[] =>
  props.map((prop, index) => ({
    near: boundsOf(prop).low,
    shapes: [
      {
        ...{ key: `${prop.part} ${String(index)}`, is: 'prop', kind: prop.piece.kind },
        path: roundedPath(cornersOf(prop).map(at), 2),
      },
    ],
  }))

/** Where cm come to lie in px, the mat's middle, and how far all reaches to both sides of the body's line, cm. */
function layoutOf({ elevation, width, height, mat }: DrawingInput & { mat: Mat }, body: Body, many: number) {
  const { skeleton, wallX } = elevation
  const reach = reachOf(elevation, body, mat.widthCm)
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

function reachOf({ props, wallX }: Elevation, whole: Body, matWidth: number) {
  const body = reachOfBody(whole, fromAbove)
  const xs = [
    ...props.flatMap((prop) => [boundsOf(prop).left, boundsOf(prop).right]),
    ...(wallX === undefined ? [] : [wallX]),
  ]
  const zs = props.flatMap(({ zFrom, zTo }) => [Math.abs(zFrom), Math.abs(zTo)])
  return {
    left: Math.min(body.left, ...xs),
    right: Math.max(body.right, ...xs),
    bodyLeft: body.left,
    bodyRight: body.right,
    far: Math.max(-body.low, body.high, ...zs, matWidth / 2) + 2,
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
