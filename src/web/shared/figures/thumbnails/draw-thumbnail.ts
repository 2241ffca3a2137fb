import { elevation, turnedTo } from '#core/figure'
import type { PropSpecs } from '#core/props'
import type { Pictured } from '#core/session'
import type { Drawing, DrawnShape, Plot } from '../picture.ts'
import { sceneOf } from '../scene.ts'
import type { Reach } from '../scene.ts'

/** A thumbnail as it is drawn, px; it is shown smaller. */
const size = { width: 128, height: 96 } as const
const air = 5
/** What is small is not drawn larger than this, px a cm. */
const mostScale = 1.05
/** For whom the pictures are drawn where people choose. */
const statureCm = 170
/** What is too fine for a thumbnail. */
const tooFine: ReadonlySet<DrawnShape['is']> = new Set(['seam', 'mark', 'through'])

/** A small picture of a body on its set-up, from where it says most; undefined for what cannot be laid. */
export function drawThumbnail(pictured: Pictured, kinds: PropSpecs): Drawing | undefined {
  const { figure, items, side } = pictured
  const laid = elevation({ figure, items, kinds, who: { statureCm } })
  if (!laid.ok) return undefined
  const view = figure.view ?? 'side'
  const scene = sceneOf(turnedTo(side, figure, laid.value), view)
  const plot = plotOf(scene.all)
  return {
    ...{ ...size, grid: [], measures: [], labels: [], left: [] },
    ...(view === 'above' ? {} : { floorY: plot.at({ x: 0, y: 0 }).y }),
    shapes: scene.paint(plot).shapes.filter(({ is }) => !tooFine.has(is)),
  }
}

/** All of it in the middle, on the floor at the lower edge. */
function plotOf({ left, right, low, high }: Reach): Plot {
  const { width, height } = size
  const scale = Math.min(mostScale, (width - 2 * air) / (right - left), (height - 2 * air) / (high - low))
  const middle = width / 2 - ((left + right) / 2) * scale
  return { scale, at: ({ x, y }) => ({ x: middle + x * scale, y: height - air - (y - low) * scale }) }
}
