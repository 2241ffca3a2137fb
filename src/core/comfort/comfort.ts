import type { Finding } from '#model/finding'
import { elevation } from '#core/figure'
import type { Elevation, ElevationInput } from '#core/figure'
import type { Calculated } from '#core/props'
import { headRules } from './rules-head.ts'
import { legRules } from './rules-legs.ts'
import { stackRules } from './rules-stack.ts'
import { trunkRules } from './rules-trunk.ts'
import type { ComfortFinding, Rule } from './rule.ts'

/** Every comfort rule, in the order of the parts from head to feet, then what the piles themselves want. */
export const comfortRules: readonly Rule[] = [...headRules, ...trunkRules, ...legRules, ...stackRules]

const gradeOrder: readonly Finding['grade'][] = ['must', 'look', 'tip']

/** A set-up seen through: the person at rest on it where that can be drawn, and what is not as it should be, worst first. */
export interface Assessed {
  readonly elevation: Calculated<Elevation>
  readonly findings: readonly ComfortFinding[]
}

/** What the comfort rules find in a set-up for a person. What cannot be computed is a finding with its own code. */
export function assess(input: ElevationInput): Assessed {
  const laid = elevation(input)
  if (!laid.ok) return { elevation: laid, findings: [{ code: laid.code, grade: 'must', facts: { field: laid.field } }] }
  const look = { ...input, elevation: laid.value, warnings: laid.warnings }
  const findings = comfortRules.flatMap(({ code, grade, find }): ComfortFinding[] => {
    const found = find(look)
    return found ? [{ code, grade, ...found }] : []
  })
  return {
    elevation: laid,
    findings: findings.sort((a, b) => gradeOrder.indexOf(a.grade) - gradeOrder.indexOf(b.grade)),
  }
}
