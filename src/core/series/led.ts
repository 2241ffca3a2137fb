import { mondayOf } from './weeks.ts'

interface ClassOnDay {
  readonly n: number
  readonly day: string
  readonly leftOut: string | undefined
  /** The record it is known to have: it was planned, and led on its day. */
  readonly ledClassId?: string | undefined
}

interface LedOnDay {
  readonly id: string
  /** Its day where it was led, as "2026-03-05". */
  readonly day: string
}

/** Which record is which class's of a series, by their numbers and ids. */
export interface LedInWeeks {
  readonly led: ReadonlyMap<number, string>
  /** Records of the same week that are no class's: each may be taken as a class's that was led on another day. */
  readonly offered: ReadonlyMap<number, string>
}

/**
 * Finds the classes of a series that were led: those that know their record, then those led on their own day, then, as an
 * offer, one led on another day of the same week. A record is one class's only; a class that is left out has none.
 */
export function ledInWeeks(classes: readonly ClassOnDay[], records: readonly LedOnDay[]): LedInWeeks {
  const held = classes.filter(({ leftOut }) => leftOut === undefined)
  const led = new Map(held.flatMap(({ n, ledClassId }) => (ledClassId === undefined ? [] : [[n, ledClassId] as const])))
  const free = (): readonly LedOnDay[] => {
    const taken = new Set([...led.values(), ...offered.values()])
    return records.filter(({ id }) => !taken.has(id))
  }
  const offered = new Map<number, string>()
  const open = () => held.filter(({ n }) => !led.has(n))
  for (const { n, day } of open()) {
    const record = free().find((one) => one.day === day)
    if (record) led.set(n, record.id)
  }
  for (const { n, day } of open()) {
    const record = free().find((one) => mondayOf(one.day) === mondayOf(day))
    if (record) offered.set(n, record.id)
  }
  return { led, offered }
}
