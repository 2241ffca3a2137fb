import type { HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import { mapResult } from '#core/result'
import type { Result } from '#core/result'
import type { Catalog, Edit, Resolved, ResolvedHold } from '#core/session'
import { compileToFit } from '#core/timeline'
import { stepUp } from '#core/units'
import type { Seconds } from '#core/units'
import { fitOf, replacing, spareSeconds, withHold } from '../fit.ts'
import type { AtFloor, Fit } from '../fit.ts'
import { finalRestTerms, holdTerms, stepsOf, sumOf } from '../terms.ts'
import type { FinalRestTerms, HoldTerms, LeastShare } from '../terms.ts'

/** Without a final rest to take what is left over, less than this counts as fitting: one step of both sides. */
const leastSpareS = 60
/** After-rests go up to this, and to half the pose's usual hold [handbook: 30–120 s, or a fifth to a half]. */
const longestAfterRestS = 120

/**
 * The session brought to its length by its holds alone, as decided: shorter by steps one can say, each hold
 * in proportion, the remainder to the final rest; longer by the final rest, then the after-rests, then the
 * holds. A session that already comes to its length is returned as it is. A longer length never shortens a
 * hold. With `leastShare` no hold goes below that share of its planned time.
 * Refuses what `compileToFit` refuses.
 */
export function stretchToLength(session: Session, catalog: Catalog, leastShare: LeastShare = 0): Result<Fit> {
  return mapResult(compileToFit(session, catalog), (timeline) => {
    const resolved = timeline.blocks.map(({ block }) => block)
    const holds = resolved.filter((block): block is ResolvedHold => block.kind === 'hold')
    const terms = holds.map((hold) => holdTerms(hold, session, leastShare))
    const finalRest = finalRestTerms(resolved, session, leastShare)
    const spareS = spareSeconds(timeline, session)
    if (spareS >= 0 && spareS < (finalRest ? 1 : leastSpareS)) return fitOf(session, [], catalog)
    const freeS = spareS - (finalRest?.dueS ?? 0)
    const plan = freeS < 0 ? shorter(terms, finalRest, -freeS) : longer(terms, finalRest, freeS)
    return fitOf(session, editsOf(plan, resolved, terms), catalog, { inTheWay: plan.inTheWay })
  })
}

interface Plan {
  /** Seconds on the sides of each hold; undefined where it keeps its planned time. */
  readonly holds: readonly (readonly Seconds[] | undefined)[]
  readonly afterRests: readonly (Seconds | undefined)[]
  readonly finalRestS: Seconds | undefined
  readonly inTheWay: readonly AtFloor[]
}

/** A step of one thing among many: what it changes in all, and its share of what was planned. */
interface OrderedStep<T> {
  readonly of: number
  readonly byS: Seconds
  readonly afterS: Seconds
  readonly plannedS: Seconds
  readonly value: T
}

/** The least change in proportion first, then the earlier; shares are compared as fractions, exactly. */
const inOrder = <T>(steps: readonly OrderedStep<T>[], towards: 'floor' | 'top'): OrderedStep<T>[] =>
  [...steps].sort((a, b) => {
    const difference = a.afterS * b.plannedS - b.afterS * a.plannedS
    return (towards === 'top' ? difference : -difference) || a.of - b.of
  })

/** The steps of some holds in the order in which they are taken: the least change in proportion first, then the earlier. */
export const holdSteps = (terms: readonly HoldTerms[], towards: 'floor' | 'top') =>
  inOrder(
    terms.flatMap((hold, of) => {
      const plannedS = sumOf(hold.sides.map((side) => side.plannedS))
      return stepsOf(hold, towards).map(({ secondsOn, byS }) => ({
        of,
        byS,
        afterS: sumOf(secondsOn),
        plannedS,
        value: secondsOn,
      }))
    }),
    towards,
  )

function shorter(terms: readonly HoldTerms[], finalRest: FinalRestTerms | undefined, overS: Seconds): Plan {
  const holds = new Array<readonly Seconds[] | undefined>(terms.length)
  let leftS = overS
  for (const step of holdSteps(terms, 'floor')) {
    if (leftS <= 0) break
    holds[step.of] = step.value
    leftS -= step.byS
  }
  // What was shortened too much goes to the final rest; what is still too long is taken from it.
  const finalRestS = finalRest && Math.max(finalRest.floorS, finalRest.plannedS + finalRest.dueS - leftS)
  const atFloor = terms.map(({ resolved, sides }, at): AtFloor => {
    const leastS = Math.max(...(holds[at] ?? sides.map(({ plannedS }) => plannedS)))
    return { blockId: resolved.block.id, of: 'side', leastS }
  })
  const lastAtFloor = finalRest ? [{ blockId: finalRest.id, of: 'final rest', leastS: finalRest.floorS } as const] : []
  return { holds, afterRests: [], finalRestS, inTheWay: [...atFloor, ...lastAtFloor] }
}

function longer(terms: readonly HoldTerms[], finalRest: FinalRestTerms | undefined, spareS: Seconds): Plan {
  const holds = new Array<readonly Seconds[] | undefined>(terms.length)
  const afterRests = new Array<Seconds | undefined>(terms.length)
  const toFinalRestS = finalRest ? Math.min(spareS, finalRest.topS - finalRest.plannedS) : 0
  let leftS = spareS - toFinalRestS
  /** Takes steps in their order until the next is too long; whether all were taken. */
  const takeAll = <T>(steps: readonly OrderedStep<T>[], into: (T | undefined)[]): boolean =>
    steps.every(({ of, byS, value }) => {
      if (byS > leftS) return false
      leftS -= byS
      into[of] = value
      return true
    })
  const isFilled =
    !takeAll(inOrder(terms.flatMap(afterRestSteps), 'top'), afterRests) || !takeAll(holdSteps(terms, 'top'), holds)
  // The remainder is less than a step one can say: the final rest takes it, past its usual top if need be.
  const remainderS = isFilled ? leftS : 0
  return {
    holds,
    afterRests,
    finalRestS: finalRest && finalRest.plannedS + finalRest.dueS + toFinalRestS + remainderS,
    inTheWay: [],
  }
}

/** The steps of the after-rest of a hold; none where there is no after-rest at all. */
function afterRestSteps({ resolved, usualS }: HoldTerms, of: number): OrderedStep<Seconds>[] {
  const plannedS = resolved.times.afterRestS.value
  const topS = Math.min(longestAfterRestS, Math.floor(usualS / 2))
  const steps: OrderedStep<Seconds>[] = []
  for (let nowS = plannedS, thenS = stepUp(nowS); plannedS > 0 && thenS <= topS; nowS = thenS, thenS = stepUp(nowS)) {
    steps.push({ of, byS: thenS - nowS, afterS: thenS, plannedS, value: thenS })
  }
  return steps
}

function editsOf(
  { holds, afterRests, finalRestS }: Plan,
  resolved: readonly Resolved[],
  terms: readonly HoldTerms[],
): Edit[] {
  const edits = terms.flatMap(({ resolved: hold }, at): Edit[] => {
    const secondsOn = holds[at]
    const afterRestS = afterRests[at]
    if (!secondsOn && afterRestS === undefined) return []
    const held: HoldBlock = secondsOn ? withHold(hold, secondsOn) : hold.block
    return [replacing(afterRestS === undefined ? held : { ...held, times: { ...held.times, afterRestS } })]
  })
  const closing = resolved.at(-1)
  if (closing?.kind !== 'closing' || finalRestS === undefined || finalRestS === closing.finalRestS.value) return edits
  return [...edits, replacing({ ...closing.block, finalRestS })]
}
