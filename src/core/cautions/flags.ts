import type { CautionBook, CautionCondition, Gate } from '#model/caution'
import type { Side } from '#model/common'
import type { Person } from '#model/person'

/** A condition somebody has, as the rules see it. */
export interface Flag {
  readonly id: string
  readonly severe: boolean
  /** Nobody is sure: the severe rows hold, and their clinician is asked [cautions 0]. */
  readonly unsure?: boolean
  /** A new ache nobody has looked at: the severe rows, and quiet forms only [cautions 0]. */
  readonly newAche?: boolean
  readonly side?: Side | 'both'
  /** Their clinician's clearance is noted. */
  readonly cleared: boolean
}

/** A person's conditions as flags: "not sure" and a new ache take the severe rows, some conditions always do. */
export function flagsOf({ conditions }: Pick<Person, 'conditions'>, book: CautionBook): Flag[] {
  return conditions.map(({ id, severe, side, clearance, newAche = false }) => {
    const { alwaysSevere = false, unsureIsPlain } = book.conditions.get(id) ?? {}
    const isUnsure = severe === 'unsure' || (newAche && severe === 'no')
    return {
      id,
      severe: severe === 'yes' || alwaysSevere || (isUnsure && unsureIsPlain !== true),
      cleared: clearance !== undefined,
      ...(isUnsure ? { unsure: true } : {}),
      ...(newAche ? { newAche: true } : {}),
      ...(side === undefined ? {} : { side }),
    }
  })
}

const gateOrder: readonly Gate[] = ['none', 'ask', 'clear', 'stop']

/** What stands before any practice, and the conditions that put it there. */
export interface Gated {
  readonly gate: Gate
  readonly by: readonly string[]
}

/**
 * The strictest gate of all flags. Noted clearance lifts "check first" and "clear", never "stop". A mark of the day
 * (fever, drink, low sugar …) is "stop", and nothing but the next day lifts it.
 */
export function gateOf(flags: readonly Flag[], book: CautionBook, notToday: readonly string[] = []): Gated {
  if (notToday.length > 0) return { gate: 'stop', by: notToday }
  const gates = flags.map((flag) => ({ id: flag.id, gate: gateOfFlag(flag, book) }))
  const gate = gates.reduce<Gate>(
    (worst, one) => (gateOrder.indexOf(one.gate) > gateOrder.indexOf(worst) ? one.gate : worst),
    'none',
  )
  return { gate, by: gate === 'none' ? [] : gates.filter((one) => one.gate === gate).map(({ id }) => id) }
}

function gateOfFlag({ id, severe, cleared, unsure = false }: Flag, book: CautionBook): Gate {
  const condition = book.conditions.get(id)
  if (!condition) return 'ask'
  const gate = unsure ? gateOfUnsure(condition) : severe ? condition.severeGate : condition.gate
  return cleared && gate !== 'stop' ? 'none' : gate
}

/** "Check first", or "stop" where the severe form names an emergency sign; never less than the plain form's gate. */
function gateOfUnsure({ gate, severeGate, unsureIsPlain }: CautionCondition): Gate {
  if (unsureIsPlain) return 'ask'
  if (severeGate === 'stop') return 'stop'
  return gate === 'none' ? 'ask' : gate
}
