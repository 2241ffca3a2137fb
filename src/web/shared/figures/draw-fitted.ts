import type { FigureView } from '#model/figure'
import type { Elevation } from '#core/figure'
import { numberRadii, numbersOf } from './numbers.ts'
import type { Drawing, Plot } from './picture.ts'
import { sceneOf } from './scene.ts'
import type { Reach, Scene } from './scene.ts'

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
export function drawFitted({ elevation, ...how }: Fitted): Drawing {
  const scene = sceneOf(elevation, how.view)
  return drawIn({ elevation, ...how }, scene, plotOf(scene.all, how, scaleFor(scene.all, how)))
}

/** Several of them to one scale, each in a room of its own of the same size: their heights can be compared. */
export function drawTogether(
  elevations: readonly Elevation[],
  how: Omit<Fitted, 'elevation' | 'order'>,
): readonly Drawing[] {
  const scenes = elevations.map((elevation) => ({ elevation, scene: sceneOf(elevation, how.view) }))
  const scale = Math.min(...scenes.map(({ scene }) => scaleFor(scene.all, how)))
  return scenes.map(({ elevation, scene }) => drawIn({ elevation, ...how }, scene, plotOf(scene.all, how, scale)))
}

function drawIn({ elevation, view, order = [], ...room }: Fitted, scene: Scene, plot: Plot): Drawing {
  return {
    ...{ width: room.width, height: room.height, grid: [], measures: [], labels: [], left: [] },
    numbers: numbersOf(elevation, order, view, plot, numberRadii.far),
    ...(view === 'above' ? {} : { floorY: plot.at({ x: 0, y: 0 }).y }),
    shapes: scene.paint(plot).shapes,
  }
}

type Room = Pick<Fitted, 'width' | 'height' | 'air' | 'mostScale'>

const scaleFor = ({ left, right, low, high }: Reach, { width, height, air, mostScale }: Room): number =>
  Math.min(mostScale, (width - 2 * air) / (right - left), (height - 2 * air) / (high - low))

/** All of it in the middle, on the floor at the lower edge. */
function plotOf({ left, right, low }: Reach, { width, height, air }: Room, scale: number): Plot {
  const middle = width / 2 - ((left + right) / 2) * scale
  return { scale, at: ({ x, y }) => ({ x: middle + x * scale, y: height - air - (y - low) * scale }) }
}
