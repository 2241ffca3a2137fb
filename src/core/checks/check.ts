import type { Finding } from '#model/finding'
import { lookAt } from './look.ts'
import { rules } from './registry.ts'
import type { Found, Look, Mend, Rule } from './rule.ts'

export type CheckInput = Omit<Look, 'blocks' | 'holds'>

/** A finding with what would mend it, where something would. */
export interface Noticed extends Finding {
  readonly mend: Mend | undefined
}

const gradeOrder = ['must', 'look', 'tip'] as const

/** Everything in a session that needs a look: worst first, then by its time in the session, then by code. */
export function checkSession(input: CheckInput): Noticed[] {
  const look = lookAt(input)
  const startOf = new Map(input.timeline.blocks.map(({ block, startMs }) => [block.block.id, startMs]))
  const atOf = ({ place }: Finding): number =>
    place.atMs ?? (place.blockId === undefined ? -1 : (startOf.get(place.blockId) ?? 0))
  return rules
    .flatMap((rule) => rule.find(look).map((found) => noticed(rule, found)))
    .sort(
      (a, b) =>
        gradeOrder.indexOf(a.grade) - gradeOrder.indexOf(b.grade) || atOf(a) - atOf(b) || (a.code < b.code ? -1 : 1),
    )
}

const noticed = ({ code, grade }: Rule, found: Found): Noticed => ({
  code,
  grade: found.grade ?? grade,
  place: {
    ...(found.blockId === undefined ? {} : { blockId: found.blockId }),
    ...(found.atMs === undefined ? {} : { atMs: found.atMs }),
  },
  facts: found.facts,
  mend: found.mend,
})
