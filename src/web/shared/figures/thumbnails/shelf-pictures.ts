import { sizedKinds } from '#core/props'
import { picturedPose } from '#core/session'
import { propKinds } from '#library/prop-kinds'
import { shippedCatalog } from '#library/shipped'
import type { Drawing } from '../picture.ts'
import { drawThumbnail } from './draw-thumbnail.ts'
import { thumbnailKey } from './thumbnail-key.ts'

/** Every pose of the shelf as it lies there, by the key of its picture: drawn when the pages are built. */
export function drawShelf(): Readonly<Record<string, Drawing>> {
  const kinds = sizedKinds(propKinds, {})
  const entries = [...shippedCatalog.poses.keys()].flatMap((id) => {
    const pictured = picturedPose(shippedCatalog, id)
    const drawing = pictured && drawThumbnail(pictured, kinds)
    return pictured && drawing ? [[thumbnailKey(pictured), drawing] as const] : []
  })
  return Object.fromEntries(entries)
}
