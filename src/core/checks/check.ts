import type { Finding } from '#model/finding'
import type { Timeline } from '#core/timeline'
import { findAll, worstFirst } from '#core/finding'
import type { Grade } from '#core/finding'
import type { FindingCode, SessionFacts } from './facts.ts'
import { lookAt } from './look.ts'
import { rules } from './registry.ts'
import type { Look, Mend, Where } from './rule.ts'

export type CheckInput = Omit<Look, 'blocks' | 'holds'>

interface NoticedAs<Code extends FindingCode> {
  readonly code: Code
  readonly grade: Grade
  readonly place: Pick<Where, 'blockId' | 'atMs'>
  readonly facts: SessionFacts[Code]
  readonly mend: Mend | undefined
}

/** A finding of a session with what would mend it, where something would. */
export type Noticed = { [Code in FindingCode]: NoticedAs<Code> }[FindingCode]

/** Everything in a session that needs a look: worst first, then by its time in the session, then by code. */
export function checkSession(input: CheckInput): Noticed[] {
  const look = lookAt(input)
  const atOf = startsOf(input.timeline)
  return findAll(rules, look)
    .map(({ blockId, atMs, mend, ...finding }): Noticed => ({ ...finding, place: placeAt(blockId, atMs), mend }))
    .sort(worstFirst((a, b) => atOf(a) - atOf(b) || (a.code < b.code ? -1 : 1)))
}

/** Where in a session a finding stands, ms; what is about the whole stands before everything. */
export function startsOf({ blocks }: Timeline): (finding: Pick<Finding, 'place'>) => number {
  const startOf = new Map(blocks.map(({ block, startMs }) => [block.block.id, startMs]))
  return ({ place }) => place.atMs ?? (place.blockId === undefined ? -1 : (startOf.get(place.blockId) ?? 0))
}

const placeAt = (blockId: Where['blockId'], atMs: Where['atMs']): Noticed['place'] => ({
  ...(blockId === undefined ? {} : { blockId }),
  ...(atMs === undefined ? {} : { atMs }),
})
