import type { Block, HoldBlock } from '#model/block'
import { betweenLimits, blockLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { Session } from '#model/session'
import { firstCeilingS, poseIn } from '#core/session'
import type { Catalog, Edit } from '#core/session'
import { sayableSeconds } from '#core/units'
import type { Seconds } from '#core/units'
import type { BlockDrift } from './what-drifts.ts'

/** The edit by which a part of a block is planned as it was led, and with how much that is. */
export interface Mend {
  readonly edit: Edit
  readonly plannedS: Seconds
  /** What the session plans now, where it says so itself. */
  readonly nowS: Seconds | undefined
}

/**
 * What plans a part of a block with the time it takes: talk, rests and changes in steps of 5 s, holds in steps one can
 * say. Undefined where the session no longer has the block or plans it so already, where its sides were set apart by
 * hand or its phases would not fit, and where the hold would go past its first ceiling: nobody is pushed to hold longer.
 */
export function mendOf(
  session: Session,
  { blockId, part, tookS }: Pick<BlockDrift, 'blockId' | 'part' | 'tookS'>,
  catalog: Catalog,
): Mend | undefined {
  const block = session.blocks.find(({ id }) => id === blockId)
  if (!block) return undefined
  const mended =
    part === 'hold'
      ? heldAs(session, block, tookS, catalog)
      : part === 'change'
        ? comingAs(block, tookS)
        : lastingAs(block, part, tookS)
  if (!mended || JSON.stringify(mended.block) === JSON.stringify(block)) return undefined
  const { plannedS, nowS } = mended
  return { edit: { type: 'replace', block: mended.block }, plannedS, nowS }
}

interface Mended extends Omit<Mend, 'edit'> {
  readonly block: Block
}

function heldAs({ level }: Session, block: Block, tookS: Seconds, catalog: Catalog): Mended | undefined {
  if (block.kind !== 'hold' || (block.hold && 'leftS' in block.hold)) return undefined
  const pose = poseIn(catalog, block.poseId)
  const holdS = sayableSeconds(tookS)
  const isShorter = block.hold !== undefined && holdS < block.hold.holdS
  if (!pose || (block.phases && isShorter) || (!isShorter && holdS > firstCeilingS(catalog.ceilings, pose, level)))
    return undefined
  const mended: HoldBlock = { ...block, hold: { holdS } }
  return { block: mended, plannedS: holdS, nowS: block.hold?.holdS }
}

function comingAs(block: Block, tookS: Seconds): Mended | undefined {
  if (block.kind === 'talk') return undefined
  const changeS = inSteps(tookS, betweenLimits)
  return { block: { ...block, times: { ...block.times, changeS } }, plannedS: changeS, nowS: block.times?.changeS }
}

function lastingAs(block: Block, part: BlockDrift['part'], tookS: Seconds): Mended | undefined {
  if ((block.kind !== 'talk' && block.kind !== 'rest') || block.kind !== part) return undefined
  const s = inSteps(tookS, blockLimits)
  return { block: { ...block, s }, plannedS: s, nowS: block.s }
}

const inSteps = (s: Seconds, { leastS, mostS }: SecondsRange): Seconds =>
  Math.min(mostS, Math.max(leastS, Math.round(s / 5) * 5))
