import type { PropSpec } from '#model/prop'
import { boundsOf } from '#core/figure'
import type { Elevation } from '#core/figure'
import { heapText, labelledHeaps, markLabel, measureLines, narrowBelow, roomIn, sized } from './labels.ts'
import { numberSolids, numbersOf } from './numbers.ts'
import type { Solid } from './occupied.ts'
import { linePath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { Drawing, DrawingInput, Plot } from './picture.ts'
import { placeLabels } from './place-labels.ts'
import type { Wanted } from './place-labels.ts'
import { cornersAbove } from './props-from-above.ts'
import { sceneOf } from './scene.ts'
import type { Scene } from './scene.ts'

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
  const scene = sceneOf(elevation, 'above')
  const distances = measures.filter(({ mark }) => mark?.kind === 'distance')
  const { at, scale, matMiddle, near, far } = layoutOf(input, scene, distances.length)
  const plot: Plot = { scale, at: ({ x, y }) => at({ x, z: -y }) }
  const { solids, shapes } = scene.paint(plot)
  const numbers = numbersOf(elevation, input.order ?? [], 'above', plot)
  // Marks lie in the picture's own plane: their heights stand for depths here.
  const plane: Plot = { scale, at: ({ x, y }) => at({ x, z: y }) }
  const moved = distances.map((measure, index) =>
    measure.mark?.kind === 'distance'
      ? { ...measure, mark: { ...measure.mark, y: near + beyondMat + index * 9 } }
      : measure,
  )
  const marks = measureLines(moved, plane)
  const wall = wallX === undefined ? [] : [at({ x: wallX, z: -near }), at({ x: wallX, z: far })]
  const isShort = width < narrowBelow
  const { placed, left } = placeLabels({
    labels: [
      ...moved.flatMap((measure) => markLabel(measure, plane, unit, isShort)),
      ...heapLabels(elevation, at, unit, isShort),
    ],
    solids: [
      ...solids,
      ...props.map((prop): Solid => ({ core: cornersAbove(prop, plot), radius: 0 })),
      ...(wall.length > 0 ? [{ core: wall, radius: 3 }] : []),
      ...marks.map(({ points }): Solid => ({ core: points, radius: 2 })),
      ...numberSolids(numbers),
    ],
    room: roomIn(width, height),
  })
  return {
    ...{ width, height, grid: [], shapes, numbers },
    mat: roundedPath(matCorners(mat, matMiddle).map(at), 4),
    measures: marks.map(({ key, points }) => ({ key, path: linePath(points) })),
    labels: placed,
    left: left.map(({ text }) => text),
  }
}

/** Where cm come to lie in px, the mat's middle, and how far all reaches to both sides of the body's line, cm. */
function layoutOf({ elevation, width, height, mat }: DrawingInput & { mat: Mat }, { body, all }: Scene, many: number) {
  const { skeleton, wallX } = elevation
  // Under the body, and at a wall up to it.
  const matMiddle =
    wallX === undefined ? (body.left + body.right) / 2 : wallX - (Math.sign(wallX - skeleton.hip.x) * mat.lengthCm) / 2
  const left = Math.min(all.left, matMiddle - mat.lengthCm / 2)
  const right = Math.max(all.right, matMiddle + mat.lengthCm / 2)
  const near = Math.max(-all.low, all.high, mat.widthCm / 2) + 2
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
      ...sized(heapText(heap, elevation, unit, isShort)),
      anchor: at({ x: (left + right) / 2, z: isBelow ? widest.zTo - 2 : widest.zFrom + 2 }),
      rather: isBelow ? 90 : -90,
    }
  })
}
