import { elevation, turnedTo } from '#core/figure'
import type { PropSpecs } from '#core/props'
import type { Pictured } from '#core/session'
import { drawFitted } from '../draw-fitted.ts'
import type { Drawing, DrawnShape } from '../picture.ts'

/** A thumbnail as it is drawn, px; it is shown smaller. */
const size = { width: 128, height: 96, air: 5, mostScale: 1.05 } as const
/** For whom the pictures are drawn where people choose. */
const statureCm = 170
/** What is too fine for a thumbnail. */
const tooFine: ReadonlySet<DrawnShape['is']> = new Set(['seam', 'mark', 'through'])

/** A small picture of a body on its set-up, from where it says most; undefined for what cannot be laid. */
export function drawThumbnail({ figure, items, side }: Pictured, kinds: PropSpecs): Drawing | undefined {
  const laid = elevation({ figure, items, kinds, who: { statureCm } })
  if (!laid.ok) return undefined
  const drawing = drawFitted({
    ...{ elevation: turnedTo(side, figure, laid.value), view: figure.view ?? 'side' },
    ...size,
  })
  return { ...drawing, shapes: drawing.shapes.filter(({ is }) => !tooFine.has(is)) }
}
