import type { ClosingBlock, HoldBlock } from '#model/block'
import type { SetUp } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import type { SetUpInUse, Sourced } from './resolved.ts'

/** The closing's rest lies as this pose does. */
export const finalRestPose = 'final-rest-lying'

/** The set-ups made for a pose; one the teacher copied is set up as the pose it was copied from. */
export function setUpsFor(
  { setUps, ownPoses }: Pick<Catalog, 'setUps' | 'ownPoses'>,
  poseId: string,
): readonly SetUp[] {
  const origin = ownPoses.get(poseId)?.copiedFrom
  return setUps.get(poseId) ?? (origin === undefined ? undefined : setUps.get(origin)) ?? []
}

/** A block's set-up, first found wins: its own items, the one it names, the full one of the pose; undefined without any. */
export function setUpOf(
  block: HoldBlock | ClosingBlock,
  catalog: Pick<Catalog, 'setUps' | 'ownPoses'>,
): Sourced<SetUpInUse> | undefined {
  const [poseId, named] = block.kind === 'hold' ? [block.poseId, block.setUpId] : [finalRestPose, undefined]
  if (block.kind === 'hold' && block.setUpItems) return { value: { items: block.setUpItems }, from: 'block' }
  const all = setUpsFor(catalog, poseId)
  const asked = named === undefined ? undefined : all.find(({ id }) => id === named)
  if (asked) return { value: asked, from: 'block' }
  const full = all.find(({ extent }) => extent === 'full') ?? all[0]
  return full && { value: full, from: 'shipped' }
}
