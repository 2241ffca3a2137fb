import type { PropSpecs } from '#core/props'
import { picturedBlock } from '#core/session'
import type { Catalog, Pictured, Resolved } from '#core/session'
import { drawingSvg } from '#web/shared/figures/drawing-svg.ts'
import { drawThumbnail } from '#web/shared/figures/thumbnails/draw-thumbnail.ts'

/** Font of text in a picture, as the sheets call theirs. */
export const font = 'Latin'

/** A block's figure on its first side; nothing for what is not drawn. */
export function picturesOf(resolved: Resolved, catalog: Catalog, kinds: PropSpecs): readonly string[] {
  const pictured = firstPictured(resolved, catalog)
  const drawing = pictured && drawThumbnail(pictured, kinds)
  return drawing ? [drawingSvg(drawing, font)] : []
}

export function firstPictured(resolved: Resolved, catalog: Catalog): Pictured | undefined {
  const side = resolved.kind === 'hold' ? resolved.sides[0]?.side : undefined
  return picturedBlock(resolved, catalog, side === 'both' ? undefined : side)
}
