import { mostStepS, stepInHold } from '#core/handling'
import type { SessionFacts } from '../facts.ts'
import type { Held, Rule } from '../rule.ts'
import { stepsOf } from '../steps-of.ts'
import type { StepOf } from '../steps-of.ts'
import { msFromS } from '#core/units'

/** Nobody is touched in the first minute of a hold, and a shorter one has no room for a step [decisions], s. */
const firstS = 60
const leastHoldS = 180

/** A step of the set-up that a hold has no room for, that takes too long, or that no hand reaches. */
export const stepInHoldRule: Rule<'STEP_IN_HOLD'> = {
  code: 'STEP_IN_HOLD',
  grade: 'look',
  find: ({ holds, session }) =>
    holds.flatMap((held) => {
      const [side] = held.sides
      if (!side) return []
      const shortestS = Math.min(...held.sides.map(({ holdS }) => holdS))
      return stepsOf(held.hold, side.holdS).flatMap((step) => {
        const facts = amissIn(step, shortestS, session.level)
        return facts ? [{ blockId: held.id, atMs: side.startMs + msFromS(step.atS), facts }] : []
      })
    }),
}

function amissIn(
  { atS, from, to }: StepOf,
  holdS: Held['sides'][number]['holdS'],
  level: Parameters<typeof stepInHold>[2],
): SessionFacts['STEP_IN_HOLD'] | undefined {
  const { s, outOfReach } = stepInHold(from, to, level)
  const told = { s: Math.round(s), part: outOfReach ?? ('' as const) }
  if (outOfReach) return { ...told, why: 'reach' }
  if (s > mostStepS) return { ...told, why: 'long' }
  if (holdS < leastHoldS) return { ...told, why: 'short' }
  return atS < firstS ? { ...told, why: 'early' } : undefined
}
