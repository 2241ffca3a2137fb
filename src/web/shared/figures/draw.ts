import type { FigureView } from '#model/figure'
import type { PropSpec } from '#model/prop'
import { drawFromAbove } from './draw-from-above.ts'
import { drawFromTheEnd, drawFromTheSide } from './draw-upright.ts'
import type { Drawing, DrawingInput } from './picture.ts'

/** A figure on its set-up from any side. */
export function drawFrom(
  view: FigureView,
  input: DrawingInput & { readonly mat: Pick<PropSpec, 'lengthCm' | 'widthCm'> },
): Drawing {
  if (view === 'side') return drawFromTheSide(input)
  return view === 'above' ? drawFromAbove(input) : drawFromTheEnd(input, view)
}
