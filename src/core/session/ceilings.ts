import type { Level } from '#model/common'
import type { Family } from '#model/family'
import type { Pose } from '#model/pose'
import type { Seconds } from '#core/units'
import type { Ceilings } from './catalog.ts'

/** Sensation up to which a form counts as fully supported [decisions]. */
const supportedSensation = 2

const column: Readonly<Record<Level, 0 | 1 | 2>> = { new: 0, regular: 1, experienced: 2 }

/** The register's first ceiling of a family for a level, in seconds a side. */
export const familyCeilingS = ({ usual }: Ceilings, family: Family, level: Level): Seconds =>
  usual[family][column[level]] * 60

/** The first ceiling of a pose's hold in seconds a side: the strictest of its families. */
export function firstCeilingS(
  { usual, supported }: Ceilings,
  { families, sensation }: Pick<Pose, 'families' | 'sensation'>,
  level: Level,
): Seconds {
  const isSupported = sensation.to <= supportedSensation && !families.includes('head_low')
  const minutes = families.map((family) => ((isSupported && supported[family]) || usual[family])[column[level]])
  return Math.min(...minutes) * 60
}
