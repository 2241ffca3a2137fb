import type { CautionBook, Gate } from '#model/caution'
import type { Side } from '#model/common'
import type { Person } from '#model/person'

/** A condition somebody has, as the rules see it. */
export interface Flag {
  readonly id: string
  readonly severe: boolean
  readonly side?: Side | 'both'
  /** Their clinician's clearance is noted. */
  readonly cleared: boolean
}

/** A person's conditions as flags: "not sure" counts as the severe form, and some always do. */
export function flagsOf({ conditions }: Pick<Person, 'conditions'>, book: CautionBook): Flag[] {
  return conditions.map(({ id, severe, side, clearance }) => ({
    id,
    severe: severe !== 'no' || book.conditions.get(id)?.alwaysSevere === true,
    cleared: clearance !== undefined,
    ...(side === undefined ? {} : { side }),
  }))
}

const gateOrder: readonly Gate[] = ['none', 'ask', 'clear', 'stop']

/** What stands before any practice, and the conditions that put it there. */
export interface Gated {
  readonly gate: Gate
  readonly by: readonly string[]
}

/** The strictest gate of all flags. Noted clearance lifts "check first" and "clear", never "stop". */
export function gateOf(flags: readonly Flag[], book: CautionBook): Gated {
  const gates = flags.map((flag) => ({ id: flag.id, gate: gateOfFlag(flag, book) }))
  const gate = gates.reduce<Gate>(
    (worst, one) => (gateOrder.indexOf(one.gate) > gateOrder.indexOf(worst) ? one.gate : worst),
    'none',
  )
  return { gate, by: gate === 'none' ? [] : gates.filter((one) => one.gate === gate).map(({ id }) => id) }
}

function gateOfFlag({ id, severe, cleared }: Flag, book: CautionBook): Gate {
  const condition = book.conditions.get(id)
  if (!condition) return 'ask'
  const gate = severe ? condition.severeGate : condition.gate
  return cleared && gate !== 'stop' ? 'none' : gate
}
