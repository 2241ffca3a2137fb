import type { Person } from '#model/person'

/** After so many weeks it is asked again; what changes from week to week is asked sooner. Nothing lapses by it. */
const weeks = { usual: 12, changing: 4 } as const
const changing: ReadonlySet<string> = new Set(['preg_t1', 'preg_t2', 'preg_t3', 'preg_highrisk', 'postpartum'])

export interface OldAnswer {
  readonly conditionId: string
  readonly askedOn: string
  readonly weeks: number
}

const weekMs = 7 * 24 * 3_600_000
const weeksSince = (askedOn: string, day: string): number =>
  Math.floor((Date.parse(day) - Date.parse(askedOn)) / weekMs)

/** What a person told so long ago that it is to be asked again on a day (`2026-12-03`); who said nothing is not pressed. */
export const askAgain = ({ conditions }: Pick<Person, 'conditions'>, day: string): readonly OldAnswer[] =>
  conditions.flatMap(({ id, askedOn }) => {
    const since = weeksSince(askedOn, day)
    return since >= (changing.has(id) ? weeks.changing : weeks.usual)
      ? [{ conditionId: id, askedOn, weeks: since }]
      : []
  })

/** Whether it is noted that somebody was asked in private, and lately enough to go by it on a day. */
export function isAsked(person: Pick<Person, 'conditions' | 'askedOn'>, day: string): boolean {
  const { askedOn, conditions } = person
  const isNoted = askedOn === undefined ? conditions.length > 0 : weeksSince(askedOn, day) < weeks.usual
  return isNoted && askAgain(person, day).length === 0
}
