import type { LongDay, Part } from '#model/long-day'
import { minutesOfDay } from '#core/units'
import type { Seconds } from '#core/units'

/** A part of a long day by the clock: whole seconds since midnight. */
export interface PartInDay {
  readonly part: Part
  readonly startS: Seconds
  readonly endS: Seconds
  /** Nothing is planned for so long before it. */
  readonly freeS: Seconds
  /** It was to begin earlier by so much; it begins when what comes before it is over. */
  readonly lateS: Seconds
}

/** Seconds since midnight of an hour as it is typed, "09:30". */
export const clockS = (hour: string): Seconds => minutesOfDay(hour) * 60

/**
 * The parts of a long day one after another: each begins when what comes before it is over, or later, when it is to. A
 * session takes the length people come for, longer where it takes longer: `lengthS` says it.
 */
export function layOutDay(
  { startsAt, parts }: Pick<LongDay, 'startsAt' | 'parts'>,
  lengthS: (sessionId: string) => Seconds,
): readonly PartInDay[] {
  let overS = clockS(startsAt)
  return parts.map((part) => {
    const wantedS = part.startsAt === undefined ? overS : clockS(part.startsAt)
    const startS = Math.max(overS, wantedS)
    const endS = startS + (part.kind === 'break' ? part.s : lengthS(part.sessionId))
    const laid = { part, startS, endS, freeS: startS - overS, lateS: Math.max(0, overS - wantedS) }
    overS = endS
    return laid
  })
}
