import type { LedForm, LedStart } from '#model/led-class'
import { textLimits } from '#model/limits'
import type { Session } from '#model/session'
import type { ResolvedSection } from '#core/breath'
import type { Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import { leadPlan } from './lead-plan.ts'

export interface StartDetails {
  readonly id: string
  readonly people: number
  /** When everybody was said to have been asked, where that was wanted. */
  readonly askedAtMs?: Milliseconds | undefined
  readonly startedAtMs: Milliseconds
  /** When it was to start, and when the room has to be left. */
  readonly startsAtMs?: Milliseconds | undefined
  readonly freeUntilMs?: Milliseconds | undefined
  /** What the place says of an emergency. */
  readonly emergency?: readonly string[] | undefined
  readonly promisedEndMs: Milliseconds
  /** In a class of a series: what comes in the next one. */
  readonly next?: string | undefined
  /** What some take otherwise, where a class is planned. */
  readonly forms?: readonly LedForm[] | undefined
  /** What a block is called on the day. */
  readonly nameOf: (block: Resolved) => string
  /** What a section of breath work is called. */
  readonly sectionNameOf: (section: ResolvedSection) => string
}

/** The record of a class about to be led: its own full copy of the session, what it is called, and the plan. */
export function ledStart(session: Session, timeline: Timeline, details: StartDetails): LedStart {
  const { id, people, forms = [], askedAtMs, startedAtMs, promisedEndMs, nameOf, sectionNameOf } = details
  const { startsAtMs, freeUntilMs, emergency = [], next } = details
  const ceilingMs: Record<string, Milliseconds> = {}
  for (const { block } of timeline.blocks) {
    if (block.kind === 'hold') ceilingMs[block.block.id] = block.ceilingS * 1000
  }
  return {
    id,
    sessionId: session.id,
    startedAt: isoOf(startedAtMs),
    ...(startsAtMs === undefined ? {} : { startsAt: isoOf(startsAtMs) }),
    ...(freeUntilMs === undefined ? {} : { freeUntil: isoOf(freeUntilMs) }),
    promisedEnd: isoOf(promisedEndMs),
    people,
    ...(askedAtMs === undefined ? {} : { askedAt: isoOf(askedAtMs) }),
    ...(next === undefined ? {} : { next: next.slice(0, textLimits.line) }),
    ...(emergency.length === 0 ? {} : { emergency: [...emergency] }),
    document: session,
    blocks: Object.fromEntries(
      timeline.blocks.map(({ block }) => {
        const sides = sidesOf(block)
        const sections = block.kind === 'breath' ? block.sections.map(sectionNameOf) : undefined
        return [block.block.id, { name: nameOf(block), ...(sides ? { sides } : {}), ...(sections ? { sections } : {}) }]
      }),
    ),
    ...(forms.length > 0 ? { forms: [...forms] } : {}),
    plan: leadPlan(timeline, ceilingMs),
  }
}

const isoOf = (ms: Milliseconds): string => new Date(ms).toISOString()

function sidesOf(block: Resolved): { left: string; right: string } | undefined {
  if (block.kind === 'hold') return block.pose.sides
  return block.kind === 'movement' ? block.movement.sides : undefined
}
