import type { HoldBlock, HoldTime } from '#model/block'
import type { Session } from '#model/session'
import type { Growth } from '#model/series'
import { holdSecondsOf, resolveSession, usualHold } from '#core/session'
import type { Catalog, ResolvedHold } from '#core/session'
import { stepUp } from '#core/units'
import type { Seconds } from '#core/units'
import type { News } from './news.ts'

/** A block after one step of a rule, and what is new in it. */
export interface Grown {
  readonly block: HoldBlock
  readonly news: News
}

type OfHold = Extract<Growth, { kind: 'longer' | 'quieter' | 'form' | 'instead' }>

/** A hold as it is understood now; undefined where its pose or form is gone. */
function resolvedHold(session: Session, block: HoldBlock, catalog: Catalog): ResolvedHold | undefined {
  const resolved = resolveSession({ ...session, blocks: [block] }, catalog)
  const [hold] = resolved.ok ? resolved.value : []
  return hold?.kind === 'hold' ? hold : undefined
}

/** A hold block after one step of a rule; undefined where there is none to take: it is at its top, as quiet as it is to be, or has it so. */
export function growHold(session: Session, block: HoldBlock, rule: OfHold, catalog: Catalog): Grown | undefined {
  switch (rule.kind) {
    case 'longer':
      return longer(session, block, rule, catalog)
    case 'quieter':
      return quieter(session, block, rule.least, catalog)
    case 'form': {
      const variantId = rule.variantId ?? undefined
      if (block.variantId === variantId) return undefined
      const { variantId: _, ...rest } = block
      const formed = variantId === undefined ? rest : { ...rest, variantId }
      const fitting = noLonger(session, formed, catalog)
      // A form the pose no longer has is none.
      return fitting && { block: fitting, news: { blockId: block.id, is: 'form', variantId: rule.variantId } }
    }
    case 'instead': {
      const [before, { poseId }] = [block.poseId, rule]
      const fitting = before === poseId ? undefined : noLonger(session, asPose(block, poseId), catalog)
      return fitting && { block: fitting, news: { blockId: block.id, is: 'instead', poseId, before } }
    }
  }
}

/** Another pose in the place of a block: what was said and laid was of the one before. */
const asPose = ({ id, kind, hold, priority, note }: HoldBlock, poseId: string): HoldBlock => ({
  ...{ id, kind, poseId },
  ...(hold ? { hold } : {}),
  ...(priority ? { priority } : {}),
  ...(note === undefined ? {} : { note }),
})

/** The longest a hold may grow to: the usual top of its pose, never past the first ceiling. */
const topOf = ({ practice, level }: Session, { pose, ceilingS }: Pick<ResolvedHold, 'pose' | 'ceilingS'>): Seconds =>
  Math.min(usualHold(pose, practice, level).toS, ceilingS)

/** How long a hold is in its block, the longer side counting, and the longest it may grow to; undefined where its pose is gone. */
export function growthTop(
  session: Session,
  block: HoldBlock,
  catalog: Catalog,
): { readonly holdS: Seconds; readonly topS: Seconds } | undefined {
  const resolved = resolvedHold(session, block, catalog)
  return (
    resolved && {
      holdS: Math.max(...resolved.sides.map(({ holdS }) => holdS)),
      topS: topOf(session, resolved),
    }
  )
}

/** Another pose or form is held no longer than is usual for it; undefined where it is not on the shelf. */
function noLonger(session: Session, block: HoldBlock, catalog: Catalog): HoldBlock | undefined {
  const resolved = resolvedHold(session, block, catalog)
  if (!resolved || !block.hold) return resolved && block
  const topS = topOf(session, resolved)
  const isLonger = resolved.sides.some(({ holdS }) => holdS > topS)
  return isLonger ? { ...block, hold: { holdS: topS } } : block
}

function longer(
  session: Session,
  block: HoldBlock,
  rule: Extract<Growth, { kind: 'longer' }>,
  catalog: Catalog,
): Grown | undefined {
  const resolved = resolvedHold(session, block, catalog)
  if (!resolved) return undefined
  const topS = Math.min(rule.mostS ?? Infinity, topOf(session, resolved))
  const [first, second = first] = resolved.sides
  if (!first || !second) return undefined
  const stepped = (s: Seconds): Seconds => Math.max(s, Math.min(topS, stepUp(s)))
  const fromS = Math.max(first.holdS, second.holdS)
  const hold: HoldTime =
    block.hold && 'leftS' in block.hold
      ? { ...block.hold, leftS: stepped(block.hold.leftS), rightS: stepped(block.hold.rightS) }
      : { holdS: stepped(first.holdS) }
  const toS = holdSecondsOf(hold, 'both')
  return toS > fromS ? { block: { ...block, hold }, news: { blockId: block.id, is: 'longer', fromS, toS } } : undefined
}

/** One thing less is said, from the middle of the list: the first and the last help most. Sounds stay. */
function quieter(session: Session, block: HoldBlock, least: number, catalog: Catalog): Grown | undefined {
  const cues = block.cues ?? resolvedHold(session, block, catalog)?.cues ?? []
  const said = cues.filter(({ text }) => text !== undefined)
  if (said.length <= least) return undefined
  const gone = said[Math.floor(said.length / 2)]
  const kept = cues.flatMap((cue) => {
    if (cue !== gone) return [cue]
    const { text: _, ...silent } = cue
    return silent.sound === undefined ? [] : [silent]
  })
  return {
    block: { ...block, cues: kept },
    news: { blockId: block.id, is: 'quieter', from: said.length, to: said.length - 1 },
  }
}
