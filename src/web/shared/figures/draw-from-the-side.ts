import { boundsOf } from '#core/figure'
import type { Elevation, Measure } from '#core/figure'
import type { LengthUnit } from '#words/lengths'
import { bodyOf } from './body/body.ts'
import type { Body } from './body/body.ts'
import { bodyLayers, bodySolids, cellAt, reachOfBody } from './body-shapes.ts'
import { frameLines } from './chair-lines.ts'
import { letterPx, linePx, markLabel, measureLines, narrowBelow, pileLabels, roomIn } from './labels.ts'
import type { Solid } from './occupied.ts'
import { linePath } from './outlines.ts'
import type { Px } from './outlines.ts'
import { painted } from './picture.ts'
import type { Drawing, DrawingInput, DrawnShape, Plot } from './picture.ts'
import { placeLabels } from './place-labels.ts'
import { propLayers } from './prop-shapes.ts'
import { skinOf } from './skin/skin.ts'
import { fromTheRight } from './skin/view.ts'

/** Room for the numbers of the heights at the left, and air elsewhere, px. */
const gutter = { left: 44, right: 14, top: 14, bottom: 46 } as const
/** The picture is this many cm wide unless more is needed: people of all heights are drawn to one scale. */
const usualWidthCm = 205
/** How much of the room a low figure leaves is under it. */
const restLifted = 0.3

/** The elevation of a figure on its props, seen from the right, with its measures and the heights of what lies under it. */
export function drawFromTheSide(input: DrawingInput): Drawing {
  const { elevation, measures, width, height, unit } = input
  const body = bodyOf(elevation)
  const reach = reachOf(elevation, body, measures)
  const plot = plotOf(input, reach)
  const skin = skinOf(body, elevation, fromTheRight, cellAt(plot.scale))
  const at = ({ u, v }: { readonly u: number; readonly v: number }): Px => plot.at({ x: u, y: v })
  const marks = measureLines(measures, plot)
  const floorY = plot.at({ x: 0, y: 0 }).y
  const grid = gridOf(reach.high, plot, height, unit)
  const wall = wallOf(elevation, reach.high, plot)
  const isShort = width < narrowBelow
  const { placed, left } = placeLabels({
    labels: [
      ...measures.flatMap((measure) => markLabel(measure, plot, unit, isShort)),
      ...pileLabels(elevation, measures, plot, unit, isShort),
    ],
    solids: [
      ...bodySolids(skin, at),
      ...elevation.props.map(({ core, radius }): Solid => ({ core: core.map(plot.at), radius: radius * plot.scale })),
      ...elevation.props.flatMap((prop) =>
        frameLines(prop, elevation).map((line): Solid => ({ core: line.map(plot.at), radius: 2 })),
      ),
      ...[...wall, ...marks].map(({ points }): Solid => ({ core: points, radius: 2 })),
      ...backgroundSolids(grid, floorY, width),
    ],
    room: roomIn(width, height),
  })
  return {
    ...{ width, height, floorY, grid },
    shapes: [
      ...wall.map(({ key, points }): DrawnShape => ({ key, is: 'wall', path: linePath(points) })),
      ...painted(propLayers(elevation, plot), bodyLayers(skin, at)),
    ],
    measures: marks.map(({ key, points }) => ({ key, path: linePath(points) })),
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

function wallOf({ wallX }: Elevation, highCm: number, plot: Plot) {
  if (wallX === undefined) return []
  return [{ key: 'wall', points: [plot.at({ x: wallX, y: 0 }), plot.at({ x: wallX, y: highCm })] }]
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

/** How far the figure, its props and the lines of its measures reach, cm. */
function reachOf({ props, wallX }: Elevation, whole: Body, measures: readonly Measure[]) {
  const body = reachOfBody(whole, fromTheRight)
  const xs = [
    ...props.flatMap((prop) => [boundsOf(prop).left, boundsOf(prop).right]),
    ...(wallX === undefined ? [] : [wallX]),
    ...measures.flatMap(({ mark }) =>
      mark?.kind === 'height' ? [mark.x] : mark?.kind === 'distance' ? [mark.from, mark.to] : [],
    ),
  ]
  const lows = measures.flatMap(({ mark }) => (mark?.kind === 'distance' ? [mark.y] : []))
  return {
    left: Math.min(body.left, ...xs),
    right: Math.max(body.right, ...xs),
    high: Math.max(body.high, ...props.map((prop) => boundsOf(prop).high)) + (wallX === undefined ? 6 : 12),
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
