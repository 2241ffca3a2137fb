import type { ClosingBlock, HoldBlock } from '#model/block'
import type { Pose } from '#model/pose'
import type { PropKind } from '#model/prop'
import type { SetUp, SetUpItem } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import type { SetUpInUse, Sourced } from './resolved.ts'

/** The closing's rest lies as this pose does. */
export const finalRestPose = 'final-rest-lying'

type Shelf = Pick<Catalog, 'poses' | 'ownPoses' | 'setUps'>

/**
 * The set-ups made for a pose in a form of it; one the teacher copied is set up as the pose it was copied from. A form
 * with a base of its own has set-ups of its own, every other uses the pose's [settled A10].
 */
export function setUpsFor({ poses, ownPoses, setUps }: Shelf, poseId: string, variantId?: string): readonly SetUp[] {
  const origin = ownPoses.get(poseId)?.copiedFrom
  const all = setUps.get(poseId) ?? (origin === undefined ? undefined : setUps.get(origin)) ?? []
  const variants = (ownPoses.get(poseId) ?? poses.get(poseId))?.variants ?? []
  const form = variants.find(({ id }) => id === variantId)?.base && variantId
  return all.filter((setUp) => setUp.variantId === form)
}

/** A block's set-up, first found wins: its own items, the one it names, the full one of the pose; undefined without any. */
export function setUpOf(block: HoldBlock | ClosingBlock, catalog: Shelf): Sourced<SetUpInUse> | undefined {
  const { poseId, variantId, setUpId, setUpItems }: Partial<HoldBlock> & Pick<HoldBlock, 'poseId'> =
    block.kind === 'hold' ? block : { poseId: finalRestPose }
  if (setUpItems) return { value: { items: setUpItems }, from: 'block' }
  const all = setUpsFor(catalog, poseId, variantId)
  const asked = setUpId === undefined ? undefined : all.find(({ id }) => id === setUpId)
  if (asked) return { value: asked, from: 'block' }
  const full = all.find(({ extent }) => extent === 'full') ?? all[0]
  return full && { value: full, from: 'shipped' }
}

/** What a set-up takes, by kind in the order it is laid. */
export function propCounts(items: readonly Pick<SetUpItem, 'kind' | 'count'>[]): Pose['props'] {
  const counts = new Map<PropKind, number>()
  for (const { kind, count } of items) counts.set(kind, (counts.get(kind) ?? 0) + count)
  return [...counts].map(([kind, count]) => ({ kind, count }))
}
