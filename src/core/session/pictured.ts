import type { Side } from '#model/common'
import type { Figure } from '#model/figure'
import type { SetUp, SetUpItem } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import { poseIn } from './own.ts'
import type { Resolved } from './resolved.ts'
import { figureIn, setUpsFor, usualSetUp } from './set-up-of.ts'

/** What a picture is drawn from: how the body lies, on what, and which side of the pose is meant. */
export interface Pictured {
  readonly figure: Figure
  readonly items: readonly SetUpItem[]
  /** Absent where the pose has no sides, or none is meant: as it is drawn. */
  readonly side?: Side
}

type Shelf = Pick<Catalog, 'poses' | 'ownPoses' | 'setUps'>

/** A pose, or a form of it, in its usual set-up for an extent; undefined where it is not drawn. */
export function picturedPose(
  catalog: Shelf,
  poseId: string,
  variantId?: string,
  extent: SetUp['extent'] = 'full',
): Pictured | undefined {
  return picturedSetUp(catalog, poseId, usualSetUp(setUpsFor(catalog, poseId, variantId), extent), variantId)
}

/** A pose in a set-up of it; without one, on the bare mat. */
export function picturedSetUp(
  catalog: Shelf,
  poseId: string,
  setUp: Pick<SetUp, 'figure' | 'items'> | undefined,
  variantId?: string,
): Pictured | undefined {
  const pose = poseIn(catalog, poseId)
  const form = pose?.variants.find(({ id }) => id === variantId)
  const figure = setUp?.figure ?? form?.figure ?? pose?.figure
  return figure && { figure, items: setUp?.items ?? [] }
}

/** A block of a session in the set-up it has there; undefined where it is not drawn. */
export function picturedBlock(
  block: Resolved,
  catalog: Pick<Catalog, 'poses' | 'ownPoses'>,
  side?: Side,
): Pictured | undefined {
  const figure = figureIn(block, catalog)
  const items = 'setUp' in block ? (block.setUp?.value.items ?? []) : []
  return figure && { figure, items, ...(side ? { side } : {}) }
}
