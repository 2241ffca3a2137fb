import { setUpsFor } from '#core/session'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'

/** The form, or else the set-up, of a block that takes no wall; undefined where there is none. */
export function withoutWall(
  { blocks }: Pick<Timeline, 'blocks'>,
  blockId: string,
  catalog: Pick<Catalog, 'poses' | 'ownPoses' | 'setUps'>,
): string | undefined {
  const block = blocks.find((span) => span.block.block.id === blockId)?.block
  if (block?.kind !== 'hold') return undefined
  const { poseId } = block.block
  const pose = catalog.ownPoses.get(poseId) ?? catalog.poses.get(poseId)
  const takesNone = (variantId?: string): boolean => {
    const [first] = setUpsFor(catalog, poseId, variantId)
    return first?.items.every(({ kind }) => kind !== 'wall' && kind !== 'door') ?? false
  }
  const form = pose?.variants.find(({ id, base }) => base && base.enter !== 'atWall' && takesNone(id))
  if (form) return form.name
  if (pose?.base.enter === 'atWall') return undefined
  return setUpsFor(catalog, poseId, block.block.variantId).find(({ items }) =>
    items.every(({ kind }) => kind !== 'wall' && kind !== 'door'),
  )?.name
}
