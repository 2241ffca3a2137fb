import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp, Point } from '#core/figure'
import { frameLines } from './chair-lines.ts'
import { linePath, roundedPath } from './outlines.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'

/** Layers nearer to each other than this are drawn as every second, fourth … of them, px. */
const leastApartPx = 2.4
/** How far a seam or a layer ends before the end of what it is on, cm. */
const inset = 1.2

/** The props from the side, each with what tells it for what it is: seams, layers, edges, a chair's legs and back. */
export const propLayers = (elevation: Elevation, plot: Plot): readonly Layer[] =>
  elevation.props.map((prop, index) => {
    const key = `${prop.part} ${String(index)}`
    const { core, radius, piece } = prop
    const seams = seamsOf(prop, plot.scale)
    return {
      near: (prop.zFrom + prop.zTo) / 2 - 0.5,
      shapes: [
        ...frameLines(prop, elevation).map((line, at): DrawnShape => ({
          ...{ key: `${key} frame ${String(at)}`, is: 'frame' },
          path: linePath(line.map(plot.at)),
        })),
        { key, is: 'prop', kind: piece.kind, path: roundedPath(core.map(plot.at), radius * plot.scale) },
        ...seams.map((line, at): DrawnShape => ({
          ...{ key: `${key} seam ${String(at)}`, is: 'seam', kind: piece.kind },
          path: linePath(line.map(plot.at)),
        })),
      ],
    }
  })

type Line = readonly Point[]

/** The lines on a prop: layers of what is folded, the turns of what is rolled, the seam of a bolster, the edge of a block. */
function seamsOf(prop: PlacedProp, scale: number): readonly Line[] {
  const { piece } = prop
  if (piece.leanDeg !== undefined || piece.kind === 'chair' || piece.kind === 'sofa') return []
  if (piece.roundSeen) return piece.rank === 2 ? [turnsOf(prop, scale)] : ringsOf(prop)
  if (piece.kind === 'foamBlock' || piece.kind === 'corkBlock') return [across(prop, 0.82, 0)]
  if (piece.kind === 'book') return layersAt(prop, [0.2, 0.8])
  if (piece.rank === 1 || piece.kind === 'longPillow') return layersAt(prop, [0.5])
  const many = Math.max(1, Math.round(piece.layer.n))
  let every = 1
  while ((piece.loaded / many) * every * scale < leastApartPx && every < many) every *= 2
  const shares = Array.from({ length: Math.ceil(many / every) - 1 }, (_, at) => ((at + 1) * every) / many)
  return layersAt(prop, shares)
}

/** Where something on a prop lies: `along` from −1 to 1 of its length, `up` from 0 to 1 of its height. */
function placeOn({ core, radius }: PlacedProp): (along: number, up: number) => Point {
  const [a = { x: 0, y: 0 }, b = a] = core
  const flat = { x: b.x - a.x, y: b.y - a.y }
  const length = Math.hypot(flat.x, flat.y) || 1
  const ahead = { x: flat.x / length, y: flat.y / length }
  const top = core.length > 2 ? core.at(-1) : undefined
  const high = (top ? Math.hypot(top.x - a.x, top.y - a.y) : 0) + 2 * radius
  const half = length / 2 + radius
  const foot = { x: (a.x + b.x) / 2 + ahead.y * radius, y: (a.y + b.y) / 2 - ahead.x * radius }
  return (along, up) => ({
    x: foot.x + ahead.x * along * half - ahead.y * up * high,
    y: foot.y + ahead.y * along * half + ahead.x * up * high,
  })
}

const layersAt = (prop: PlacedProp, shares: readonly number[]): Line[] => {
  const at = placeOn(prop)
  const { left, right } = boundsOf(prop)
  const end = Math.max(0.5, 1 - (2 * inset) / Math.max(1, right - left))
  return shares.map((share) => [at(-end, share), at(end, share)])
}

/** An edge across a block, `along` from its middle. */
const across = (prop: PlacedProp, along: number, from: number): Line => {
  const at = placeOn(prop)
  return [at(along, from), at(along, 1 - from)]
}

/** The round end of a bolster: its piping. */
function ringsOf(prop: PlacedProp): readonly Line[] {
  const { left, right, low, high } = boundsOf(prop)
  const middle = { x: (left + right) / 2, y: (low + high) / 2 }
  const radius = Math.min(right - left, high - low) / 2
  return [circle(middle, radius * 0.78)]
}

const circle = ({ x, y }: Point, radius: number): Line =>
  Array.from({ length: 25 }, (_, at) => ({
    x: x + radius * Math.cos((at * Math.PI) / 12),
    y: y + radius * Math.sin((at * Math.PI) / 12),
  }))

/** The turns of a rolled blanket from its outside in, as many as have room. */
function turnsOf(prop: PlacedProp, scale: number): Line {
  const { left, right, low, high } = boundsOf(prop)
  const middle = { x: (left + right) / 2, y: (low + high) / 2 }
  const outer = Math.min(right - left, high - low) / 2
  const turns = Math.max(1, Math.min(4, Math.floor((outer * scale) / 5)))
  const many = turns * 18
  return Array.from({ length: many + 1 }, (_, at) => {
    const radius = outer * (1 - 0.85 * (at / many))
    const angle = -Math.PI / 2 + (at * Math.PI) / 9
    return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) }
  })
}
