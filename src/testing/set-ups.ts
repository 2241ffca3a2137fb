import type { Figure } from '#model/figure'
import type { SetUp } from '#model/set-up'
import { poses } from '#library/poses'

/** What a shipped set-up is drawn with: its own figure, its form's, its pose's. */
export function figureOf(setUp: SetUp): Figure {
  const pose = poses.find(({ id }) => id === setUp.poseId)
  const form = pose?.variants.find(({ id }) => id === setUp.variantId)
  const figure = setUp.figure ?? form?.figure ?? pose?.figure
  if (!figure) throw new Error(`no figure for ${setUp.id}`)
  return figure
}
