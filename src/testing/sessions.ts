import type { Block, ClosingBlock, HoldBlock, TalkBlock } from '#model/block'
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
