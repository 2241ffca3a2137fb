import type { Block, BreathBlock, ClosingBlock, HoldBlock, TalkBlock } from '#model/block'
import type { FormerBreathBlock } from '#model/former-block'
import { liftBlock } from '#model/lift'
import type { Session } from '#model/session'
import { sessionSchemaVersion } from '#model/session'

/** A valid session of an hour, to be given the blocks a test is about. */
export function aSession(blocks: Block[] = [], details: Partial<Session> = {}): Session {
  return {
    schema: sessionSchemaVersion,
    id: 'session-1',
    name: 'A session',
    practice: 'yin',
    level: 'regular',
    lengthS: 3600,
    schoolId: 'mixed',
    blocks,
    ...details,
  }
}

export const aTalk = (id = 'talk', s = 60): TalkBlock => ({ kind: 'talk', id, title: 'Arrive', s })

export const aHold = (poseId: string, details: Partial<HoldBlock> = {}): HoldBlock => ({
  kind: 'hold',
  id: details.id ?? poseId,
  poseId,
  ...details,
})

export const aClosing = (details: Partial<ClosingBlock> = {}): ClosingBlock => ({
  kind: 'closing',
  id: 'closing',
  ...details,
})

/** Breath work of one technique as schema 1 said it, in the sections it meant: with no time for leading in or out. */
export function aBreath(techniqueId: string, details: Partial<FormerBreathBlock> = {}): BreathBlock {
  const block = liftBlock({ kind: 'breath', id: 'breath', techniqueId, ...details })
  if (block.kind !== 'breath') throw new Error('a breath block is lifted to a breath block')
  return block
}
