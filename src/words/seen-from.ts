import type { Figure, FigureView } from '#model/figure'
import { capital } from './text.ts'

/** What lies at the right end and the left end of the picture from the side, by how the body is. */
const ends: Readonly<Record<Figure['kind'], readonly [right: string, left: string]>> = {
  lying: ['feet', 'head'],
  side: ['feet', 'head'],
  prone: ['head', 'feet'],
  childFold: ['head', 'feet'],
  allFours: ['head', 'feet'],
  kneeling: ['front', 'back'],
  seated: ['front', 'back'],
  chair: ['front', 'back'],
  standing: ['front', 'back'],
}

/** From where a figure is seen, as it is said after “seen from”; somebody who lies on the side is seen from the front. */
export function seenFromWords(view: FigureView, { kind }: Figure): string {
  const [right, left] = ends[kind]
  if (view === 'above') return 'above'
  if (view === 'side') return kind === 'side' ? 'the front' : 'the right'
  return `the ${view === 'rightEnd' ? right : left}`
}

/** A view as a choice: the picture from the side first. */
export function viewWords(view: FigureView, { kind }: Figure): string {
  const [right, left] = ends[kind]
  if (view === 'side') return kind === 'side' ? 'From the front' : 'From the side'
  return capital(view === 'above' ? view : view === 'rightEnd' ? right : left)
}
