import type { Level } from '#model/common'
import type { Seconds } from '#core/units'
import type { Flag } from './flags.ts'
import type { Verdict } from './judge.ts'

/** Under 12 years: one minute [reference 2.2, every family]. */
const youngestS = 60

/**
 * The longest first hold for somebody, in seconds a side [reference 4.3]: the ceiling of their own level
 * with no flag, the beginner figure with `care`; with `modify`, as it stands, half of it in their first two classes and
 * the whole afterwards, or less where the row has a cap of its own; half of theirs the first time in a pose. `ceilingS`
 * gives the register's figure by level.
 */
export function holdCapS(
  ceilingS: (level: Level) => Seconds,
  level: Level,
  { grade, reasons }: Pick<Verdict, 'grade' | 'reasons'>,
  flags: readonly Flag[],
  firstTime = false,
  firstClasses = true,
): Seconds {
  if (grade === 'avoid') return 0
  const own = ceilingS(level)
  const beginner = ceilingS('new')
  const named = reasons.filter((reason) => reason.grade === 'modify').flatMap(({ rule }) => rule.capS ?? [])
  const caps = [
    firstTime ? own / 2 : own,
    ...(grade === 'care' ? [beginner] : []),
    ...(grade === 'modify' ? [firstClasses ? beginner / 2 : beginner, ...named] : []),
    ...(flags.some(({ id, severe }) => id === 'minor' && severe) ? [youngestS] : []),
  ]
  return Math.floor(Math.min(...caps))
}
