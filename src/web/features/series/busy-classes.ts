import type { BusyDay } from '#formats/calendar'

/** A class of a series on a day that something else is on. */
export interface BusyClass {
  readonly n: number
  readonly day: string
  readonly what: string
  /** Whether that lasts the whole day. */
  readonly isWhole: boolean
}

interface ClassThen {
  readonly n: number
  readonly day: string
  readonly startsAt: string | undefined
  readonly leftOut: string | undefined
  readonly isPast: boolean
}

const minuteOf = (hour: string): number => Number(hour.slice(0, 2)) * 60 + Number(hour.slice(3, 5))

/** The classes to come that touch something busy, once each: what lasts longest is what it is for. */
export function classesOnBusyDays(
  classes: readonly ClassThen[],
  busy: readonly BusyDay[],
  lengthS: number,
): readonly BusyClass[] {
  return classes.flatMap(({ n, day, startsAt, leftOut, isPast }) => {
    if (leftOut !== undefined || isPast) return []
    const [from, to] = startsAt === undefined ? [0, 1440] : [minuteOf(startsAt), minuteOf(startsAt) + lengthS / 60]
    const touching = busy
      .filter((one) => one.day === day && one.fromMin < to && one.toMin > from)
      .sort((a, b) => b.toMin - b.fromMin - (a.toMin - a.fromMin))
    const [longest] = touching
    const isWhole = longest?.fromMin === 0 && longest.toMin === 1440
    return longest ? [{ n, day, what: longest.what, isWhole }] : []
  })
}
