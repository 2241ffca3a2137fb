import { propKinds } from '#library/prop-kinds'
import { sizedKinds } from '#core/props'
import type { Pictured } from '#core/session'
import { drawThumbnail } from './draw-thumbnail.ts'

const kinds = sizedKinds(propKinds, {})

// A whole shelf takes some tenths of a second: the page stays free to be scrolled.
addEventListener('message', ({ data }: MessageEvent<{ readonly key: string; readonly pictured: Pictured }>) => {
  postMessage({ key: data.key, drawing: drawThumbnail(data.pictured, kinds) })
})
