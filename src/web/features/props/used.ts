import type { Block, BreathBlock, ClosingBlock, HoldBlock, RestBlock } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Figure } from '#model/figure'
import type { Session } from '#model/session'
import type { SetUp, SetUpItem } from '#model/set-up'
import { finalRestPose, namedSetUp, poseIn, setUpOf, setUpsFor } from '#core/session'
import type { Catalog } from '#core/session'
import { blockNameIn } from '#words/blocks'

/** A block that can have a set-up. */
export type SetUpBlock = HoldBlock | ClosingBlock | BreathBlock | RestBlock

/** One set-up of the session: where it is used, how it stands now, and the ways it can be done. */
export interface Used {
  /** The session's id and the block's: ids of blocks come again in other sessions. */
  readonly key: string
  readonly block: SetUpBlock
  /** Absent for breath work and rests, which have no set-ups made for them. */
  readonly poseId?: string
  /** The form of the pose, where that has set-ups of its own. */
  readonly variantId?: string
  readonly name: string
  readonly figure: Figure | undefined
  readonly withoutProps: string
  readonly base: BasePosition | undefined
  /** The pose has a left and a right. */
  readonly hasSides: boolean
  readonly choices: readonly SetUp[]
  /** The choice in use; absent with items of the block's own, and where there is none. */
  readonly setUpId: string | undefined
  /** The items as they lie. */
  readonly items: readonly SetUpItem[]
  /** The block has items of its own. */
  readonly isOwn: boolean
  /** It lies as it is kept for the one who comes. */
  readonly isTheirs: boolean
}

/**
 * Everything in a session that is set up, in its order. Breath work and rests are set up only where they name something,
 * or where one is `wanted`: about to be.
 */
export const usedIn = (session: Session, catalog: Catalog, wanted?: string): readonly Used[] =>
  session.blocks.flatMap((block) => usedBy(block, session, catalog, wanted) ?? [])

export const keyOf = (session: Pick<Session, 'id'>, block: Pick<Block, 'id'>): string => `${session.id} ${block.id}`

function usedBy(block: Block, session: Session, catalog: Catalog, wanted: string | undefined): Used | undefined {
  const key = keyOf(session, block)
  if (block.kind === 'breath' || block.kind === 'rest') {
    const used = namedSetUp(block, catalog)
    if (!used && key !== wanted) return undefined
    const base = block.kind === 'breath' ? block.basePosition : undefined
    const parts = { figure: undefined, withoutProps: '', base, hasSides: false, choices: [], setUpId: undefined }
    const items = used?.value.items ?? []
    return {
      key,
      block,
      name: blockNameIn(block, catalog),
      ...parts,
      items,
      isOwn: block.setUpItems !== undefined,
      isTheirs: false,
    }
  }
  if (block.kind !== 'hold' && block.kind !== 'closing') return undefined
  return usedByPose(block, session, catalog)
}

function usedByPose(block: HoldBlock | ClosingBlock, session: Session, catalog: Catalog): Used | undefined {
  const poseId = block.kind === 'hold' ? block.poseId : finalRestPose
  const pose = poseIn(catalog, poseId)
  if (!pose) return undefined
  const form = block.kind === 'hold' ? pose.variants.find(({ id }) => id === block.variantId) : undefined
  const choices = setUpsFor(catalog, poseId, form?.id)
  const used = setUpOf(block, catalog, session)
  return {
    key: keyOf(session, block),
    block,
    poseId,
    ...(form?.base ? { variantId: form.id } : {}),
    name: block.kind === 'closing' ? 'Final rest' : [pose.names.english, form?.name].filter(Boolean).join(' · '),
    figure: used?.value.figure ?? form?.figure ?? pose.figure,
    withoutProps: pose.withoutProps,
    base: (form?.base ?? pose.base).enter,
    hasSides: pose.sides !== undefined,
    choices,
    setUpId: block.setUpItems ? undefined : used?.value.id,
    items: used?.value.items ?? [],
    isOwn: block.setUpItems !== undefined,
    isTheirs: used?.from === 'person',
  }
}
