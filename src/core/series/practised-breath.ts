import type { Pattern } from '#model/breath'
import type { Session } from '#model/session'
import { slopedPatterns } from '#core/breath'
import type { ResolvedRounds } from '#core/breath'
import { resolveSession } from '#core/session'
import type { Catalog } from '#core/session'

/** How a technique is counted in a session, at its furthest. */
export interface PractisedRounds {
  readonly techniqueId: string
  readonly blockId: string
  /** The longest of each part that any of its sets has, in half-counts. */
  readonly pattern: Pattern
  readonly rounds: number
}

const parts = ['in', 'full', 'out', 'empty'] as const

function furthest({ pattern, section, sets }: ResolvedRounds): Pattern {
  const all = section.slope ? slopedPatterns(pattern, section.slope, sets.length) : [pattern]
  const most = (part: (typeof parts)[number]) => Math.max(...all.map((one) => one[part]))
  return { in: most('in'), full: most('full'), out: most('out'), empty: most('empty') }
}

/** Every technique that is counted in a session, by its longest rounds; nothing of a session that does not resolve. */
export function practisedRounds(session: Session, catalog: Catalog): readonly PractisedRounds[] {
  const resolved = resolveSession(session, catalog)
  if (!resolved.ok) return []
  return resolved.value.flatMap((block) =>
    block.kind === 'breath'
      ? block.sections.flatMap((section) =>
          section.kind === 'rounds'
            ? {
                ...{ techniqueId: section.technique.id, blockId: block.block.id, pattern: furthest(section) },
                rounds: section.sets.reduce((sum, { rounds }) => sum + rounds, 0),
              }
            : [],
        )
      : [],
  )
}

/** What of a technique goes further than it did. */
export type Further = 'counts' | 'ratio' | 'full' | 'empty' | 'rounds'

/**
 * Which things go further from one practice of a technique to the next: both breaths longer in one ratio are one thing;
 * the same time at longer counts is no more rounds.
 */
export function furtherIn(before: PractisedRounds, now: PractisedRounds): readonly Further[] {
  const [a, b] = [before.pattern, now.pattern]
  const isSameRatio = a.in * b.out === b.in * a.out
  const all: readonly [Further, boolean][] = [
    ['counts', b.in > a.in],
    ['ratio', !isSameRatio && b.out * a.in > a.out * b.in],
    ['full', b.full > a.full],
    ['empty', b.empty > a.empty],
    ['rounds', now.rounds > before.rounds],
  ]
  return all.flatMap(([what, is]) => (is ? [what] : []))
}

/** Whether any part of a round is longer than in another. */
export const isPast = (a: Pattern, b: Pattern): boolean => parts.some((part) => a[part] > b[part])
