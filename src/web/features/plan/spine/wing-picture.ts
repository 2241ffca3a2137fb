import { picturedBlock } from '#core/session'
import type { Catalog, Pictured, Resolved } from '#core/session'
import type { Wing } from './layout.ts'

/** A wing lower than this has no room for a picture. */
const leastPicturePx = 60

/** What a wing shows of its pose, on its own side; undefined where it is too low, or nothing is drawn. */
export function wingPicture(
  { bank, heightPx }: Pick<Wing, 'bank' | 'heightPx'>,
  resolved: Resolved | undefined,
  catalog: Pick<Catalog, 'poses' | 'ownPoses'>,
  leastPx = leastPicturePx,
): Pictured | undefined {
  if (heightPx < leastPx || !resolved) return undefined
  return picturedBlock(resolved, catalog, bank === 'pair' ? undefined : bank)
}
