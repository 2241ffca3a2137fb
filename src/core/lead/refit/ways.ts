import type { Refit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import type { LeadPlan, LeadSegment } from '../lead-plan.ts'
import type { LeadState } from '../lead-state.ts'
import { aheadIn, endWith, restAsLed } from './ahead.ts'
import type { Rest } from './ahead.ts'
import type { RefitBook } from './book.ts'
import { finalRestBy, holdsBy } from './holds.ts'
import { fewestOut } from './leave-out.ts'
import { fewerRounds } from './rounds.ts'

/** What becomes shorter or longer in a block; of a hold, a side. */
export interface Changed {
  readonly blockId: string
  readonly of: 'talk' | 'afterRest' | 'hold' | 'rounds' | 'finalRest'
  readonly fromMs: Milliseconds
  readonly toMs: Milliseconds
  /** Of breath work: how many rounds a section had, and has. */
  readonly rounds?: { readonly from: number; readonly to: number }
}

/** Lengths that are tried out, with what is left out for them and what they change. */
export interface Tried {
  readonly lengths: readonly Milliseconds[]
  readonly leaves: readonly string[]
  readonly changed: readonly Changed[]
}

/** A way to come to an end, worked out for what has not begun: to the second, and ready to be taken. */
export interface Way {
  readonly way: Refit['way']
  /** When the class ends with it. */
  readonly endsMs: Milliseconds
  /** Whether that is no later than it was to be. */
  readonly fits: boolean
  readonly changed: readonly Changed[]
  /** Blocks that are left out with it and were not before. */
  readonly out: readonly string[]
  readonly lengths: Refit['lengths']
  readonly leaves: Refit['leaves']
  /** Only where the order changes. */
  readonly order?: NonNullable<Refit['order']>
  /** Only where a later end is said. */
  readonly saidEndMs?: Milliseconds
}

export interface Wanted {
  readonly plan: LeadPlan
  readonly state: LeadState
  readonly book: RefitBook
  /** When the class is to end, in class time. */
  readonly endMs: Milliseconds
  /** When the room has to be left, where that is known: no later end is offered. */
  readonly freeUntilMs?: Milliseconds | undefined
}

/** Talks and after-rests keep at least so much [decisions, Leading]. */
export const leastBetweenMs = 20_000

/**
 * The ways to make up time, or to give what is over, as they come out to the second: nothing that has begun changes, both
 * sides of a hold go together, floors and first ceilings hold, no retention and none of the closing's steps is cut. A way
 * that would change nothing is none.
 */
export function waysOf({ plan, state, book, endMs, freeUntilMs = Infinity }: Wanted): readonly Way[] {
  const rest = restAsLed(plan, state, book)
  const lateMs = rest.endsMs - endMs
  const asItIs: Tried = { lengths: state.lengths, leaves: state.leaves, changed: [] }
  const tried: readonly (readonly [Way['way'], Tried | undefined])[] =
    lateMs > 0
      ? [
          ['lessBetween', lessBetween(rest, asItIs, lateMs)],
          ['leaveOut', fewestOut(rest, asItIs, endMs)],
          ['endLater', rest.endsMs <= freeUntilMs ? asItIs : undefined],
          ['shorter', holdsBy(rest, asItIs, -lateMs)],
          ['fewerRounds', fewerRounds(rest, asItIs, lateMs)],
          ['finalRest', finalRestBy(rest, asItIs, -lateMs)],
        ]
      : [['longer', lateMs < 0 ? holdsBy(rest, asItIs, -lateMs) : undefined]]
  return tried.flatMap(([way, found]) => {
    if (!found) return []
    const made = wayOf(rest, way, found, endMs)
    const isNone = made.lengths.length === 0 && made.out.length === 0 && way !== 'endLater'
    return isNone ? [] : [made]
  })
}

export function wayOf(rest: Rest, way: Way['way'], { lengths, leaves, changed }: Tried, endMs: Milliseconds): Way {
  const { state } = rest
  const endsMs = endWith(rest, lengths)
  return {
    ...{ way, endsMs, fits: endsMs <= endMs, changed, leaves: [...leaves] },
    out: leaves.filter((id) => !state.leaves.includes(id)),
    lengths: lengths.flatMap((ms, segment) => (ms === state.lengths[segment] ? [] : [{ segment, ms }])),
    ...(way === 'endLater' ? { saidEndMs: endsMs } : {}),
  }
}

const between = { talk: 'talk', afterRest: 'afterRest' } as const

/** Talks and after-rests shorter, each by the same share of what it has to give. */
function lessBetween(rest: Rest, from: Tried, byMs: Milliseconds): Tried {
  const there = aheadIn(rest, new Set(from.leaves)).flatMap(({ segments }) =>
    segments.filter(({ doing }) => doing.kind in between),
  )
  const has = ({ index }: LeadSegment): Milliseconds => Math.max(0, (from.lengths[index] ?? 0) - leastBetweenMs)
  const allMs = there.reduce((sum, segment) => sum + has(segment), 0)
  const wantedMs = Math.min(byMs, allMs)
  if (wantedMs <= 0) return from
  const lengths = [...from.lengths]
  const changed: Changed[] = []
  let [leftMs, hadMs] = [wantedMs, allMs]
  for (const segment of there) {
    const cutMs = Math.min(has(segment), Math.ceil((leftMs * has(segment)) / Math.max(1, hadMs)))
    hadMs -= has(segment)
    leftMs -= cutMs
    const fromMs = lengths[segment.index] ?? 0
    lengths[segment.index] = fromMs - cutMs
    const { kind } = segment.doing
    if (cutMs > 0 && (kind === 'talk' || kind === 'afterRest'))
      changed.push({ blockId: segment.blockId, of: between[kind], fromMs, toMs: fromMs - cutMs })
  }
  return { ...from, lengths, changed }
}
