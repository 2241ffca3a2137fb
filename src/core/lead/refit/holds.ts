import { holdSteps } from '#core/fit'
import type { HoldTerms } from '#core/fit'
import type { Milliseconds, Seconds } from '#core/units'
import { aheadIn } from './ahead.ts'
import type { BlockAhead, Rest } from './ahead.ts'
import type { Changed, Tried } from './ways.ts'

/**
 * Shorter or longer by so much. Shorter: holds by steps one can say, the least change in proportion first, both sides at
 * once, down to their floors; what a step takes too much goes to the final rest, and what is still lacking is taken from
 * it last. Longer: the final rest to its usual top, then holds to theirs.
 */
export function holdsBy(rest: Rest, from: Tried, byMs: Milliseconds): Tried {
  const first = byMs > 0 ? finalRestBy(rest, from, byMs) : from
  const leftMs = Math.abs(byMs) - Math.abs(gained(from, first))
  const holds = stepped(rest, first, leftMs, byMs > 0 ? 'top' : 'floor')
  if (byMs > 0) return holds
  return finalRestBy(rest, holds, byMs - gained(from, holds))
}

/** By how much all lengths together are longer in one than in another. */
const gained = (from: Tried, to: Tried): Milliseconds =>
  to.lengths.reduce((sum, ms, index) => sum + ms - (from.lengths[index] ?? 0), 0)

/** The final rest longer or shorter by so much, within its floor and its usual top; the same where it cannot be. */
export function finalRestBy(rest: Rest, from: Tried, byMs: Milliseconds): Tried {
  const terms = rest.book.finalRest
  const segment = aheadIn(rest, new Set(from.leaves))
    .find(({ id }) => id === terms?.id)
    ?.segments.find(({ doing }) => doing.kind === 'closing' && doing.step === 'finalRest')
  if (!terms || !segment) return from
  const fromMs = from.lengths[segment.index] ?? 0
  const [least, most] = [Math.min(fromMs, terms.floorS * 1000), Math.max(fromMs, terms.topS * 1000)]
  const toMs = Math.min(most, Math.max(least, fromMs + byMs))
  if (toMs === fromMs) return from
  const before = from.changed.filter(({ of }) => of !== 'finalRest')
  const wasMs = from.changed.find(({ of }) => of === 'finalRest')?.fromMs ?? fromMs
  return {
    ...from,
    lengths: from.lengths.with(segment.index, toMs),
    changed: toMs === wasMs ? before : [...before, { blockId: terms.id, of: 'finalRest', fromMs: wasMs, toMs }],
  }
}

interface HoldAhead {
  readonly block: BlockAhead
  readonly terms: HoldTerms
  readonly restPhase: number
}

function stepped(rest: Rest, from: Tried, byMs: Milliseconds, towards: 'floor' | 'top'): Tried {
  const holds = aheadIn(rest, new Set(from.leaves)).flatMap((block): HoldAhead[] => {
    const known = rest.book.holds.get(block.id)
    if (!known) return []
    const sides = known.terms.sides.map((side) => ({ ...side, plannedS: heldS(block, side.side, from) }))
    return [{ block, restPhase: known.restPhase, terms: { ...known.terms, sides } }]
  })
  const taken = new Map<number, readonly Seconds[]>()
  let leftMs = byMs
  for (const { of, byS, value } of holdSteps(
    holds.map(({ terms }) => terms),
    towards,
  )) {
    // Shorter goes on until it fits, longer only as far as there is room for a whole step.
    if (leftMs <= 0 || (towards === 'top' && byS * 1000 > leftMs)) break
    taken.set(of, value)
    leftMs -= byS * 1000
  }
  const lengths = [...from.lengths]
  const changed: Changed[] = [...from.changed]
  for (const [of, secondsOn] of taken) {
    const hold = holds[of]
    if (!hold) continue
    for (const [at, { side, plannedS }] of hold.terms.sides.entries()) {
      const segment = restOfHold(hold, side)
      if (segment === undefined) continue
      lengths[segment] = (lengths[segment] ?? 0) + ((secondsOn[at] ?? plannedS) - plannedS) * 1000
    }
    const [{ plannedS = 0 } = {}] = hold.terms.sides
    const toMs = (secondsOn[0] ?? plannedS) * 1000
    changed.push({ blockId: hold.block.id, of: 'hold', fromMs: plannedS * 1000, toMs })
  }
  return { ...from, lengths, changed }
}

const heldS = ({ segments }: BlockAhead, side: string, { lengths }: Tried): Seconds =>
  Math.round(
    segments.reduce(
      (sum, { index, doing, side: of }) => (doing.kind === 'hold' && of === side ? sum + (lengths[index] ?? 0) : sum),
      0,
    ) / 1000,
  )

/** The segment of a side's phase that is the rest of it: what a hold is longer or shorter by. */
const restOfHold = ({ block, restPhase }: HoldAhead, side: string): number | undefined =>
  block.segments.find(({ doing, side: of }) => doing.kind === 'hold' && of === side && doing.phase.index === restPhase)
    ?.index
