import type { FigureView } from '#model/figure'
import type { Elevation } from '#core/figure'
import { numberRadii, numbersOf } from './numbers.ts'
import type { Drawing, Plot } from './picture.ts'
import { sceneOf } from './scene.ts'
import type { Reach } from './scene.ts'

interface Fitted {
  readonly elevation: Elevation
  readonly view: FigureView
  readonly width: number
  readonly height: number
  /** Air round it, px. */
  readonly air: number
  /** What is small is not drawn larger than this, px a cm. */
  readonly mostScale: number
  /** The ids of the items in the order in which they are laid; without it nothing is numbered. */
  readonly order?: readonly string[]
}

/** A body on its set-up as large as its room lets it, with nothing written: to be known, not measured. */
export function drawFitted({ elevation, view, order = [], ...room }: Fitted): Drawing {
  const scene = sceneOf(elevation, view)
  const plot = plotOf(scene.all, room)
  return {
    ...{ width: room.width, height: room.height, grid: [], measures: [], labels: [], left: [] },
    numbers: numbersOf(elevation, order, view, plot, numberRadii.far),
    ...(view === 'above' ? {} : { floorY: plot.at({ x: 0, y: 0 }).y }),
    shapes: scene.paint(plot).shapes,
  }
}

/** All of it in the middle, on the floor at the lower edge. */
function plotOf(
  { left, right, low, high }: Reach,
  { width, height, air, mostScale }: Omit<Fitted, 'elevation' | 'view' | 'order'>,
): Plot {
  const scale = Math.min(mostScale, (width - 2 * air) / (right - left), (height - 2 * air) / (high - low))
  const middle = width / 2 - ((left + right) / 2) * scale
  return { scale, at: ({ x, y }) => ({ x: middle + x * scale, y: height - air - (y - low) * scale }) }
}
