import type { Pictured } from '#core/session'

/** By what a thumbnail is found again: all that is seen of it. The ids and notes of what lies there are not. */
export function thumbnailKey({ figure, items, side }: Pictured): string {
  const laid = items.map((item, index) => ({ ...item, id: String(index), note: undefined }))
  return JSON.stringify({ figure, items: laid, side })
}
