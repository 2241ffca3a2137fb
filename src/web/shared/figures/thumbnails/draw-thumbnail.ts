import { boundsOf, elevation, mirrored } from '#core/figure'
import type { Elevation } from '#core/figure'
import type { PropSpecs } from '#core/props'
import type { Pictured } from '#core/session'
import { bodyOf } from '../body/body.ts'
import { bodyLayers, cellAt, reachOfBody } from '../body-shapes.ts'
import { linePath } from '../outlines.ts'
import type { Px } from '../outlines.ts'
import { painted } from '../picture.ts'
import type { Drawing, DrawnShape, Plot } from '../picture.ts'
import { propsAbove } from '../draw-from-above.ts'
import { propLayers } from '../prop-shapes.ts'
import { skinOf } from '../skin/skin.ts'
import { fromAbove, fromTheRight } from '../skin/view.ts'

/** A thumbnail as it is drawn, px; it is shown smaller. */
const size = { width: 128, height: 96 } as const
const air = 5
/** What is small is not drawn larger than this, px a cm. */
const mostScale = 1.05
/** For whom the pictures are drawn where people choose. */
const statureCm = 170
/** What is too fine for a thumbnail. */
const tooFine: ReadonlySet<DrawnShape['is']> = new Set(['seam', 'mark', 'through'])

/** Turned so that the wanted side of a pose is the one it shows. */
export const turnedTo = ({ figure, side }: Pictured, laid: Elevation): Elevation =>
  side !== undefined && side !== (figure.side ?? 'right') ? mirrored(laid) : laid

/** A small picture of a body on its set-up, from where it says most; undefined for what cannot be laid. */
export function drawThumbnail(pictured: Pictured, kinds: PropSpecs): Drawing | undefined {
  const { figure, items } = pictured
  const laid = elevation({ figure, items, kinds, who: { statureCm } })
  if (!laid.ok) return undefined
  const turned = turnedTo(pictured, laid.value)
  const drawing = figure.view === 'above' ? above(turned) : side(turned)
  return { ...drawing, shapes: drawing.shapes.filter(({ is }) => !tooFine.has(is)) }
}

const bare = { ...size, grid: [], measures: [], labels: [], left: [] }

function side(laid: Elevation): Drawing {
  const body = bodyOf(laid)
  const { left, right, high } = reachOfBody(body, fromTheRight)
  const bounds = laid.props.map(boundsOf)
  const plot = plotOf({
    left: Math.min(left, ...bounds.map((one) => one.left), laid.wallX ?? Infinity),
    right: Math.max(right, ...bounds.map((one) => one.right), laid.wallX ?? -Infinity),
    low: 0,
    high: Math.max(high, ...bounds.map((one) => one.high)),
  })
  const at = ({ u, v }: { readonly u: number; readonly v: number }): Px => plot.at({ x: u, y: v })
  const skin = skinOf(body, laid, fromTheRight, cellAt(plot.scale))
  const { wallX } = laid
  const wall: DrawnShape[] =
    wallX === undefined
      ? []
      : [
          {
            key: 'wall',
            is: 'wall',
            path: linePath([plot.at({ x: wallX, y: 0 }), { ...plot.at({ x: wallX, y: 0 }), y: 0 }]),
          },
        ]
  return {
    ...bare,
    floorY: plot.at({ x: 0, y: 0 }).y,
    shapes: [...wall, ...painted(propLayers(laid, plot), bodyLayers(skin, at))],
  }
}

function above(laid: Elevation): Drawing {
  const body = bodyOf(laid)
  const { left, right, low, high } = reachOfBody(body, fromAbove)
  const bounds = laid.props.map((prop) => ({ ...boundsOf(prop), low: -prop.zTo, high: -prop.zFrom }))
  const plot = plotOf({
    left: Math.min(left, ...bounds.map((one) => one.left)),
    right: Math.max(right, ...bounds.map((one) => one.right)),
    low: Math.min(low, ...bounds.map((one) => one.low)),
    high: Math.max(high, ...bounds.map((one) => one.high)),
  })
  const at = ({ u, v }: { readonly u: number; readonly v: number }): Px => plot.at({ x: u, y: v })
  const skin = skinOf(body, laid, fromAbove, cellAt(plot.scale))
  const props = propsAbove(laid.props, ({ x, z }) => plot.at({ x, y: -z }))
  return { ...bare, shapes: painted(props, bodyLayers(skin, at)) }
}

/** All of it in the middle, on the floor at the lower edge. */
function plotOf({ left, right, low, high }: Record<'left' | 'right' | 'low' | 'high', number>): Plot {
  const { width, height } = size
  const scale = Math.min(mostScale, (width - 2 * air) / (right - left), (height - 2 * air) / (high - low))
  const middle = width / 2 - ((left + right) / 2) * scale
  return { scale, at: ({ x, y }) => ({ x: middle + x * scale, y: height - air - (y - low) * scale }) }
}
