import type { LedClass } from '#model/classes'
import type { Pose } from '#model/pose'
import type { Session } from '#model/session'
import type { Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { leadPlan } from './lead-plan.ts'

export interface RecordDetails {
  readonly id: string
  readonly people: number
  readonly startedAtMs: number
  readonly promisedEndMs: number
}

/**
 * The record of a class about to be led: its own full copy of the session, what it resolved to, the plan.
 * `firstCeilingS` gives the first ceiling of a pose's hold in seconds.
 */
export function ledRecord(
  session: Session,
  timeline: Timeline,
  firstCeilingS: (pose: Pose) => number,
  { id, people, startedAtMs, promisedEndMs }: RecordDetails,
): LedClass {
  const ceilingMs: Record<string, number> = {}
  for (const { block } of timeline.blocks) {
    if (block.kind === 'hold') ceilingMs[block.block.id] = firstCeilingS(block.pose) * 1000
  }
  return {
    id,
    sessionId: session.id,
    startedAt: new Date(startedAtMs).toISOString(),
    promisedEnd: new Date(promisedEndMs).toISOString(),
    people,
    document: session,
    resolved: Object.fromEntries(timeline.blocks.map(({ block }) => [block.block.id, ledBlock(block)])),
    // Plain data, so that the record holds what it was led from, whatever the program does later.
    plan: JSON.parse(JSON.stringify(leadPlan(timeline, ceilingMs))) as LedClass['plan'],
    log: [],
  }
}

function ledBlock(block: Resolved): LedClass['resolved'][string] {
  switch (block.kind) {
    case 'hold':
      return named(block.pose.names.english, block.pose.sides)
    case 'movement':
      return named(block.movement.names.english, block.movement.sides)
    case 'breath':
      return named(block.technique.names.english)
    case 'talk':
      return named(block.block.title)
    case 'rest':
      return named('Rest')
    case 'closing':
      return named('Closing')
  }
}

const named = (name: string, sides?: { left: string; right: string }): LedClass['resolved'][string] =>
  sides ? { name, sides } : { name }
