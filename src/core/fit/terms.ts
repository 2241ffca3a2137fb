import type { Session } from '#model/session'
import { finalRestFloorS, leastHoldOf, usualHold } from '#core/session'
import type { HoldSide, Resolved, ResolvedHold } from '#core/session'
import { stepDown, stepUp } from '#core/units'
import type { Seconds } from '#core/units'

/** Between which times one side of a hold may go. */
export interface SideTerms {
  readonly side: HoldSide
  readonly plannedS: Seconds
  readonly floorS: Seconds
  readonly topS: Seconds
}

/** What a fit may do with a hold. */
export interface HoldTerms {
  readonly resolved: ResolvedHold
  /** Where a new hold of the pose would start. */
  readonly usualS: Seconds
  readonly sides: readonly SideTerms[]
}

/** Share of the planned time below which a fit does not go, 0 to 1; 0 leaves only the floors. */
export type LeastShare = number

/**
 * Floor: the bottom of the usual range for practice and level, or the planned time if less, or what the
 * phases need if more. Top: that of the usual range, at most the first ceiling, or the planned time if more
 * [decisions, fits].
 */
export function holdTerms(resolved: ResolvedHold, session: Session, leastShare: LeastShare = 0): HoldTerms {
  const range = usualHold(resolved.pose, session.practice, session.level)
  const phasesS = leastHoldOf(resolved.block.phases ?? [])
  const usualTopS = Math.min(range.toS, resolved.ceilingS)
  return {
    resolved,
    usualS: range.usualS,
    sides: resolved.sides.map(({ side, holdS }) => ({
      side,
      plannedS: holdS,
      floorS: Math.max(Math.min(range.fromS, holdS), phasesS, Math.ceil(leastShare * holdS)),
      topS: Math.max(usualTopS, holdS),
    })),
  }
}

/** A step of a hold, all its sides at once: the seconds of each after it, and how many it changes in all. */
export interface Step {
  readonly secondsOn: readonly Seconds[]
  readonly byS: Seconds
}

/** The steps of a hold from its planned time towards its floor or its top, in times one can say. */
export function stepsOf({ sides }: HoldTerms, towards: 'floor' | 'top'): Step[] {
  const next = (nowS: Seconds, { floorS, topS }: SideTerms): Seconds => {
    const thenS = towards === 'floor' ? stepDown(nowS) : stepUp(nowS)
    return thenS < floorS || thenS > topS ? nowS : thenS
  }
  const steps: Step[] = []
  let now = sides.map(({ plannedS }) => plannedS)
  for (;;) {
    const then = now.map((seconds, at) => (sides[at] ? next(seconds, sides[at]) : seconds))
    const byS = Math.abs(sumOf(then) - sumOf(now))
    if (byS === 0) return steps
    steps.push({ secondsOn: then, byS })
    now = then
  }
}

export const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, number) => sum + number, 0)

/** The final rest: planned, and between which times it may go. */
export interface FinalRestTerms {
  readonly id: string
  readonly plannedS: Seconds
  readonly floorS: Seconds
  /** Its usual top is the register's first ceiling of the final rest for the level. */
  readonly topS: Seconds
  /** Seconds kept free for it, so that a longer session never has shorter holds: see `dueSoonS`. */
  readonly dueS: Seconds
}

export function finalRestTerms(
  resolved: readonly Resolved[],
  session: Session,
  leastShare: LeastShare = 0,
): FinalRestTerms | undefined {
  const closing = resolved.at(-1)
  if (closing?.kind !== 'closing') return undefined
  const { ceilingS } = closing
  const plannedS = closing.finalRestS.value
  const floorS = Math.min(
    plannedS,
    Math.max(finalRestFloorS(session.lengthS, ceilingS), Math.ceil(leastShare * plannedS)),
  )
  const dueS = closing.block.finalRestS === undefined ? dueSoonS(session, ceilingS) : 0
  return { id: closing.block.id, plannedS, floorS, topS: Math.max(plannedS, ceilingS), dueS }
}

/** The final rest that nobody set grows by a step with every five minutes of length. */
const growsEveryS = 300

/**
 * A few seconds before the length at which the final rest grows, its step is longer than those seconds: a
 * session a little longer would have less for its holds. What would be missing then is kept free before.
 */
function dueSoonS({ lengthS }: Session, ceilingS: Seconds): Seconds {
  const nextS = (Math.floor(lengthS / growsEveryS) + 1) * growsEveryS
  const stepS = finalRestFloorS(nextS, ceilingS) - finalRestFloorS(lengthS, ceilingS)
  return Math.max(0, stepS - (nextS - lengthS))
}
