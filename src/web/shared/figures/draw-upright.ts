import { boundsOf } from '#core/figure'
import type { Elevation, Measure } from '#core/figure'
import type { LengthUnit } from '#words/lengths'
import { markWords } from '#words/measures'
import { frameLines } from './chair-lines.ts'
import {
  heapText,
  labelledHeaps,
  letterPx,
  linePx,
  markLabel,
  measureLines,
  narrowBelow,
  pileLabels,
  roomIn,
  sized,
} from './labels.ts'
import { numberSolids, numbersOf } from './numbers.ts'
import type { Solid } from './occupied.ts'
import { linePath } from './outlines.ts'
import type { Drawing, DrawingInput, Plot } from './picture.ts'
import { placeLabels } from './place-labels.ts'
import type { Wanted } from './place-labels.ts'
import { endFrames, endRect } from './props-from-the-end.ts'
import { sceneOf } from './scene.ts'
import type { Reach } from './scene.ts'

/** Room for the numbers of the heights at the left, and air elsewhere, px. */
const gutter = { left: 44, right: 14, top: 14, bottom: 46 } as const
/** The picture is this many cm wide unless more is needed: people of all heights are drawn to one scale. */
const usualWidthCm = 205
/** How much of the room a low figure leaves is under it. */
const restLifted = 0.3

/** The elevation of a figure on its props, seen from the right, with its measures and the heights of what lies under it. */
export function drawFromTheSide(input: DrawingInput): Drawing {
  const { elevation, measures, width, height, unit } = input
  const scene = sceneOf(elevation, 'side')
  const reach = withMeasures(scene.all, measures)
  const plot = upright(input, reach)
  const { solids, shapes } = scene.paint(plot)
  const numbers = numbersOf(elevation, input.order ?? [], 'side', plot)
  const marks = measureLines(measures, plot)
  const floorY = plot.at({ x: 0, y: 0 }).y
  const grid = gridOf(reach.high, plot, height, unit)
  const isShort = width < narrowBelow
  const { wallX } = elevation
  const wall = wallX === undefined ? [] : [plot.at({ x: wallX, y: 0 }), plot.at({ x: wallX, y: reach.high })]
  const { placed, left } = placeLabels({
    labels: [
      ...measures.flatMap((measure) => markLabel(measure, plot, unit, isShort)),
      ...pileLabels(elevation, measures, plot, unit, isShort),
    ],
    solids: [
      ...solids,
      ...elevation.props.map(({ core, radius }): Solid => ({ core: core.map(plot.at), radius: radius * plot.scale })),
      ...elevation.props.flatMap((prop) =>
        frameLines(prop, elevation).map((line): Solid => ({ core: line.map(plot.at), radius: 2 })),
      ),
      ...(wall.length > 0 ? [{ core: wall, radius: 2 }] : []),
      ...marks.map(({ points }): Solid => ({ core: points, radius: 2 })),
      ...backgroundSolids(grid, floorY, width),
      ...numberSolids(numbers),
    ],
    room: roomIn(width, height),
  })
  return {
    ...{ width, height, floorY, grid, shapes, numbers },
    measures: marks.map(({ key, points }) => ({ key, path: linePath(points) })),
    labels: placed,
    left: left.map(({ text }) => text),
  }
}

/** A figure on its props from an end, over the numbers of the heights; only what lies there is told. */
export function drawFromTheEnd(input: DrawingInput, view: 'rightEnd' | 'leftEnd'): Drawing {
  const { elevation, measures, width, height, unit } = input
  const scene = sceneOf(elevation, view)
  const reach = withMeasures(scene.all, [])
  const plot = upright(input, reach)
  const { solids, shapes } = scene.paint(plot)
  const numbers = numbersOf(elevation, input.order ?? [], view, plot)
  const floorY = plot.at({ x: 0, y: 0 }).y
  const grid = gridOf(reach.high, plot, height, unit)
  const { placed, left } = placeLabels({
    labels: heapLabels(elevation, view === 'leftEnd' ? 1 : -1, plot, unit, width < narrowBelow),
    solids: [
      ...solids,
      ...endSolids(elevation, view === 'leftEnd' ? 1 : -1, plot),
      ...backgroundSolids(grid, floorY, width),
      ...numberSolids(numbers),
    ],
    room: roomIn(width, height),
  })
  // What is measured lies in the picture from the side: here it is told beside the picture.
  const told = measures.filter(({ mark }) => mark !== undefined).map((measure) => markWords(measure, unit, false))
  return {
    ...{ width, height, floorY, grid, shapes, numbers, measures: [] },
    labels: placed,
    left: [...told, ...left.map(({ text }) => text)],
  }
}

/** What lies there by its height, at the edge nearer to the outside: the body covers the middle. */
function heapLabels(
  elevation: Elevation,
  turn: 1 | -1,
  { at }: Plot,
  unit: LengthUnit,
  isShort: boolean,
): readonly Wanted[] {
  return labelledHeaps(elevation).map((heap) => {
    const { part, props } = heap
    const widest = props.reduce((most, prop) => (prop.zTo - prop.zFrom > most.zTo - most.zFrom ? prop : most))
    const { low, high } = boundsOf(widest)
    const isRight = turn * (widest.zFrom + widest.zTo) >= -1
    const x = isRight === (turn === 1) ? turn * widest.zTo - turn * 2 : turn * widest.zFrom + turn * 2
    return {
      key: `pile ${part} ${String(low)}`,
      ...sized(heapText(heap, elevation, unit, isShort)),
      anchor: at({ x, y: (low + high) / 2 }),
      rather: isRight ? 0 : 180,
    }
  })
}

/** All people to one scale unless more room is needed; what is low does not sit at the very bottom of a tall picture. */
function upright({ width, height }: DrawingInput, reach: Reach): Plot {
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

const endSolids = ({ props }: Elevation, turn: 1 | -1, plot: Plot): readonly Solid[] =>
  props.flatMap((prop) => [
    { core: endRect(prop, plot, turn), radius: 1 },
    ...endFrames(prop, plot, turn)
      .flat()
      .map((core) => ({ core, radius: 2 })),
  ])

/** Room over the highest of it, cm. */
const overHead = 6

/** How far a picture reaches with the lines of its measures, cm. */
function withMeasures({ left, right, high }: Reach, measures: readonly Measure[]): Reach {
  const xs = measures.flatMap(({ mark }) =>
    mark?.kind === 'height' ? [mark.x] : mark?.kind === 'distance' ? [mark.from, mark.to] : [],
  )
  const lows = measures.flatMap(({ mark }) => (mark?.kind === 'distance' ? [mark.y] : []))
  return {
    left: Math.min(left, ...xs),
    right: Math.max(right, ...xs),
    high: high + overHead,
    low: Math.min(0, ...lows),
  }
}

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
