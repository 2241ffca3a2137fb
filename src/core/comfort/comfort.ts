import { elevation } from '#core/figure'
import type { Elevation, ElevationInput } from '#core/figure'
import { findAll, worstFirst } from '#core/finding'
import { carries, isPlaced } from '#core/props'
import type { Calculated, CalculationCode } from '#core/props'
import type { Refused } from '#core/result'
import { bellyRules } from './rules-belly.ts'
import { headRules } from './rules-head.ts'
import { legRules } from './rules-legs.ts'
import { stackRules } from './rules-stack.ts'
import { trunkRules } from './rules-trunk.ts'
import type { ComfortFinding, Rule } from './rule.ts'

/** Every comfort rule, in the order of the parts from head to feet, then what the piles themselves want. */
export const comfortRules: readonly Rule[] = [...headRules, ...trunkRules, ...bellyRules, ...legRules, ...stackRules]

/** A set-up seen through: the person at rest on it where that can be drawn, and what is not as it should be, worst first. */
export interface Assessed {
  readonly elevation: Calculated<Elevation>
  readonly findings: readonly ComfortFinding[]
}

/** What the comfort rules find in a set-up for a person. What cannot be computed is a finding with its own code. */
export function assess(input: ElevationInput): Assessed {
  const laid = elevation(input)
  if (!laid.ok) return { elevation: laid, findings: [notComputed(laid)] }
  const look = { ...input, elevation: laid.value, warnings: laid.warnings }
  // What was only listed is not under anybody yet: what is wanting there cannot be said.
  const isLaidOut = input.items.every((item) => isPlaced(item) || !carries(input.kinds[item.kind]))
  return { elevation: laid, findings: isLaidOut ? findAll(comfortRules, look).sort(worstFirst()) : [] }
}

const notComputed = ({ code, field }: Refused<CalculationCode>): ComfortFinding =>
  code === 'RAISE_SEAT' ? { code, grade: 'must', facts: {} } : { code, grade: 'must', facts: { field } }
