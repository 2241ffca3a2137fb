import type { Level } from '#model/common'
import type { Seconds } from '#core/units'
import type { Flag } from './flags.ts'
import type { Verdict } from './judge.ts'
import { remembered } from './remembered.ts'

/** Under 12 years: one minute [reference 2.2, every family]. */
const youngestS = 60

/**
 * The longest first hold for somebody, in seconds a side [reference 4.3]: the ceiling of their own level
 * with no flag, the beginner figure with `care`, half of it with `modify` or less where the row itself
 * names a time; half of theirs the first time in a pose. `ceilingS` gives the register's figure by level.
 */
export function holdCapS(
  ceilingS: (level: Level) => Seconds,
  level: Level,
  { grade, reasons }: Pick<Verdict, 'grade' | 'reasons'>,
  flags: readonly Flag[],
  firstTime = false,
): Seconds {
  if (grade === 'avoid') return 0
  const own = ceilingS(level)
  const beginner = ceilingS('new')
  const named = reasons.filter((reason) => reason.grade === 'modify').flatMap(({ rule }) => secondsIn(rule.instead))
  const caps = [
    firstTime ? own / 2 : own,
    ...(grade === 'care' ? [beginner] : []),
    ...(grade === 'modify' ? [beginner / 2, ...named] : []),
    ...(flags.some(({ id, severe }) => id === 'minor' && severe) ? [youngestS] : []),
  ]
  return Math.floor(Math.min(...caps))
}

/** Times named in a form, as in "calves on a low chair, 5 min". */
const secondsIn = remembered((text): readonly Seconds[] =>
  [...text.matchAll(/\b(\d+) (min|s)\b/g)].map(([, amount, unit]) => Number(amount) * (unit === 'min' ? 60 : 1)),
)
