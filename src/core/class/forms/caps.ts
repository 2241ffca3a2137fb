import type { Pose } from '#model/pose'
import { holdCapS } from '#core/cautions'
import type { Verdict } from '#core/cautions'
import { firstCeilingS } from '#core/session'
import type { Seconds } from '#core/units'
import type { Doing, ForWhom } from './choices.ts'

type Held = Pick<Pose, 'families' | 'sensation'>
/** A closing's rest as it is held. */
export const finalRest: Held = { families: ['final_rest'], sensation: { from: 0, to: 1 } }

/** The longest first hold of a block as it stands, a side; undefined where it is no hold. */
export function plannedCapS(block: Doing, whom: ForWhom, verdict: Verdict, firstTime: boolean): Seconds | undefined {
  const held = block.kind === 'hold' ? block.pose : block.kind === 'closing' ? finalRest : undefined
  return held && capS(held, whom, verdict, firstTime)
}

/** That of another form: the beginner figure of its own families, or less where a row names it [decisions]. */
export function changedCapS(held: Held, whom: ForWhom, verdict: Verdict): Seconds {
  const { ceilings } = whom.books.catalog
  const beginnerS = firstCeilingS(ceilings, held, 'new')
  if (verdict.grade !== 'modify') return Math.min(beginnerS, capS(held, whom, verdict, false))
  // "Half" is of the pose as it stands: what is changed already has its figure whole.
  const named = verdict.reasons.filter(({ grade }) => grade === 'modify').flatMap(({ rule }) => rule.capS ?? [])
  return Math.min(beginnerS, ...named)
}

const capS = (held: Held, { comer, asked, books }: ForWhom, verdict: Verdict, firstTime: boolean): Seconds =>
  holdCapS(
    (level) => firstCeilingS(books.catalog.ceilings, held, level),
    comer.person.level ?? 'new',
    verdict,
    asked.judged.flags,
    firstTime,
    comer.inFirstClasses,
  )
