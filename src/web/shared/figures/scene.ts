import type { FigureView } from '#model/figure'
import { boundsOf } from '#core/figure'
import type { Elevation } from '#core/figure'
import { bodyOf } from './body/body.ts'
import { bodyLayers, bodySolids, cellAt, reachOfBody } from './body-shapes.ts'
import { looseLayers, looseReach } from './loose-shapes.ts'
import type { Solid } from './occupied.ts'
import { linePath } from './outlines.ts'
import type { Px } from './outlines.ts'
import { painted } from './picture.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'
import { propLayers } from './prop-shapes.ts'
import { propsFromAbove, throughBody } from './props-from-above.ts'
import { propsFromTheEnd } from './props-from-the-end.ts'
import { skinOf } from './skin/skin.ts'
import type { Flat } from './skin/outline.ts'

/** How far something reaches in a picture, cm: across and up. */
export type Reach = Readonly<Record<'left' | 'right' | 'low' | 'high', number>>

/** A body on its props as they are seen from somewhere. */
export interface Scene {
  /** The body alone. */
  readonly body: Reach
  /** Body, props and wall. */
  readonly all: Reach
  readonly paint: (plot: Plot) => Painted
}

/** The shapes of a scene in their order, and what of it labels keep off: the skin, and what is laid over it or round it. */
export interface Painted {
  readonly shapes: readonly DrawnShape[]
  readonly solids: readonly Solid[]
}

/** What is seen of an elevation from somewhere: how far it reaches, and its shapes once it is known where cm come to lie. */
export function sceneOf(elevation: Elevation, view: FigureView): Scene {
  const flesh = bodyOf(elevation)
  const body = reachOfBody(flesh, view)
  const all = reachOf(elevation, view, body)
  return {
    body,
    all,
    paint: (plot) => {
      const skin = skinOf(flesh, elevation, view, cellAt(plot.scale))
      const loose = looseLayers({ elevation, body: flesh, view, plot })
      const at = ({ u, v }: Flat): Px => plot.at({ x: u, y: v })
      const layers = bodyLayers(skin, at)
      return {
        solids: [
          ...bodySolids(skin, at),
          ...loose.flatMap(({ lines }) => lines.map((core): Solid => ({ core, radius: 2 }))),
        ],
        shapes: [
          ...wallShapes(elevation, view, all, plot),
          ...painted([...propsSeen[view](elevation, plot), ...loose], layers),
          ...(view === 'above' ? throughBody(elevation, plot) : []),
        ],
      }
    },
  }
}

const isEnd = (view: FigureView): boolean => view === 'rightEnd' || view === 'leftEnd'

const propsSeen: Readonly<Record<FigureView, (elevation: Elevation, plot: Plot) => readonly Layer[]>> = {
  side: propLayers,
  above: propsFromAbove,
  rightEnd: (elevation, plot) => propsFromTheEnd(elevation, plot, -1),
  leftEnd: (elevation, plot) => propsFromTheEnd(elevation, plot, 1),
}

function reachOf(elevation: Elevation, view: FigureView, body: Reach): Reach {
  const { props, wallX } = elevation
  const beside = [
    ...(wallX === undefined || isEnd(view) ? [] : [wallX]),
    ...(view === 'side' ? looseReach(elevation) : []),
  ]
  const each = props.map((prop): Reach => {
    const { left, right, low, high } = boundsOf(prop)
    if (view === 'side') return { left, right, low, high }
    if (view === 'above') return { left, right, low: -prop.zTo, high: -prop.zFrom }
    return view === 'rightEnd'
      ? { left: -prop.zTo, right: -prop.zFrom, low, high }
      : { left: prop.zFrom, right: prop.zTo, low, high }
  })
  return {
    left: Math.min(body.left, ...each.map(({ left }) => left), ...beside),
    right: Math.max(body.right, ...each.map(({ right }) => right), ...beside),
    low: view === 'above' ? Math.min(body.low, ...each.map(({ low }) => low)) : 0,
    high: Math.max(body.high, ...each.map(({ high }) => high)),
  }
}

/** The wall as a line where it is seen along itself. */
function wallShapes({ wallX }: Elevation, view: FigureView, { low, high }: Reach, plot: Plot): readonly DrawnShape[] {
  if (wallX === undefined || isEnd(view)) return []
  const ends = [plot.at({ x: wallX, y: low }), plot.at({ x: wallX, y: high + (view === 'side' ? 6 : 0) })]
  return [{ key: 'wall', is: 'wall', path: linePath(ends) }]
}
