import type { Block } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Figure } from '#model/figure'
import type { Session } from '#model/session'
import type { SetUp } from '#model/set-up'
import { finalRestPose, poseIn, setUpOf, setUpsFor } from '#core/session'
import type { Catalog } from '#core/session'

/** One set-up of the session: where it is used, and the ways it can be done. */
export interface Used {
  /** The session's id and the block's: ids of blocks come again in other sessions. */
  readonly key: string
  readonly blockId: string
  readonly poseId: string
  readonly name: string
  readonly figure: Figure | undefined
  readonly withoutProps: string
  readonly base: BasePosition
  readonly choices: readonly SetUp[]
  /** The one the session names, else that of its extent. */
  readonly wanted: string | undefined
}

/** Everything in a session that is set up, in its order. */
export const usedIn = (session: Session, catalog: Catalog): readonly Used[] =>
  session.blocks.flatMap((block) => usedBy(block, session, catalog) ?? [])

function usedBy(block: Block, session: Session, catalog: Catalog): Used | undefined {
  if (block.kind !== 'hold' && block.kind !== 'closing') return undefined
  const poseId = block.kind === 'hold' ? block.poseId : finalRestPose
  const pose = poseIn(catalog, poseId)
  if (!pose) return undefined
  const form = block.kind === 'hold' ? pose.variants.find(({ id }) => id === block.variantId) : undefined
  const ownItems = block.kind === 'hold' ? block.setUpItems : undefined
  const mine: SetUp[] = ownItems
    ? [{ id: `${block.id} own`, poseId, name: 'As in this session', extent: 'full', items: ownItems }]
    : []
  const choices = setUpsFor(catalog, poseId, form?.id)
  const used = setUpOf(block, catalog, session)
  return {
    key: `${session.id} ${block.id}`,
    blockId: block.id,
    poseId,
    name: block.kind === 'closing' ? 'Final rest' : [pose.names.english, form?.name].filter(Boolean).join(' · '),
    figure: form?.figure ?? pose.figure,
    withoutProps: pose.withoutProps,
    base: (form?.base ?? pose.base).enter,
    choices: [...mine, ...choices],
    wanted: ownItems ? undefined : choices.find((setUp) => setUp === used?.value)?.id,
  }
}
