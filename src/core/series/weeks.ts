import type { ClassOfSeries, Series } from '#model/series'
import type { Session } from '#model/session'
import type { LadderPractice } from '#core/breath'
import { isSame } from '#core/session'
import type { Catalog } from '#core/session'
import { growWeeks } from './growth.ts'
import type { GrownWeek } from './growth.ts'
import { joinedNews } from './news.ts'
import type { News } from './news.ts'

/** A class of a series: when it is, and what is led in it. */
export interface ClassInWeeks {
  /** Which of the rhythm's classes, from 1. */
  readonly n: number
  /** The week of the series, from 1: weeks of the calendar in which the rhythm has a class. */
  readonly week: number
  readonly day: string
  readonly startsAt: string | undefined
  /** Why it is not held; undefined where it is. */
  readonly leftOut: string | undefined
  /** Whether its day or hour is another than the rhythm's. */
  readonly isMoved: boolean
  /** A session of its own: a version of the base, or another; undefined where it is computed. */
  readonly sessionId: string | undefined
  /** The session its week grows to, whether or not it is led by this. */
  readonly session: Session
  /** What is new since the class before it that is held. */
  readonly news: readonly News[]
  /** The same as the week before: nothing grows there, so that the rest comes a week later. */
  readonly waits: boolean
}

interface SeriesInput {
  readonly series: Series
  readonly base: Session
  /** The days of its rhythm, in order, as "2026-03-05". */
  readonly days: readonly string[]
  readonly catalog: Catalog
  readonly practices?: readonly LadderPractice[]
  /** The sessions of their own that classes have, as far as they are known. */
  readonly own?: (sessionId: string) => Session | undefined
}

/**
 * The classes of a series in the order of its rhythm: a class that was moved keeps its place and what it grew to. Both
 * classes of a week are led by the same. A class with a session of its own is led by that, whatever the base becomes.
 */
export function classesOfSeries(input: SeriesInput): readonly ClassInWeeks[] {
  const { series, base, days, catalog, practices, own = () => undefined } = input
  const weeks = weeksOf(days)
  const waits = new Set(series.waits)
  const count = weeks.at(-1) ?? 0
  const said = new Map(series.classes.map((one) => [one.n, one]))
  const grown = growWeeks({
    ...{ base, growth: series.growth, weeks: count, catalog },
    ...(practices ? { practices } : {}),
  })
  const classes = days.flatMap((day, index): ClassInWeeks[] => {
    const week = weeks[index] ?? 1
    const content = grown[contentOf(week, waits) - 1]
    return content ? [classOf({ n: index + 1, week, day, said, series, content, waits: waits.has(week) })] : []
  })
  return sinceLastHeld(classes, own)
}

/** What came in a week nobody met in, or that was led by a plan without it, is new in the next class that has it. */
function sinceLastHeld(
  classes: readonly ClassInWeeks[],
  own: (sessionId: string) => Session | undefined,
): readonly ClassInWeeks[] {
  const met = new Set(classes.filter(({ leftOut }) => leftOut === undefined).map(({ week }) => week))
  let missed: readonly News[] = []
  let last = 0
  return classes.map((one) => {
    if (one.week !== last && !met.has(one.week)) missed = [...missed, ...one.news]
    last = one.week
    if (!met.has(one.week)) return { ...one, news: [] }
    const news = missed.length === 0 ? one.news : joinedNews([...missed, ...one.news])
    if (one.leftOut !== undefined) return { ...one, news }
    const mine = one.sessionId === undefined ? undefined : own(one.sessionId)
    const isIn = (of: News): boolean => !mine || isSame(grownIn(mine, of), grownIn(one.session, of))
    missed = news.filter((of) => !isIn(of))
    return { ...one, news: news.filter(isIn) }
  })
}

const fieldOf = {
  longer: 'hold',
  quieter: 'cues',
  form: 'variantId',
  instead: 'poseId',
  step: 'sections',
  lesson: 'sections',
} as const

/** What is new of a block, as a session has it: whatever else was changed of it is no matter. */
function grownIn({ blocks }: Session, { blockId, is }: News): unknown {
  const block = blocks.find(({ id }) => id === blockId)
  if (is === 'comes' || is === 'goes' || !block) return block !== undefined
  return Object.entries(block).find(([name]) => name === fieldOf[is])?.[1]
}

/** Which week's growth a week has: one less for each week up to it that waits. */
const contentOf = (week: number, waits: ReadonlySet<number>): number =>
  Math.max(1, week - [...waits].filter((one) => one > 1 && one <= week).length)

/** When a class of a series is, or that it is not held. */
export type DateInWeeks = Pick<ClassInWeeks, 'n' | 'day' | 'startsAt' | 'leftOut' | 'sessionId'>

/** The same classes by their dates alone, for whoever needs nothing of what is led in them. */
export function datesOfSeries(series: Series, days: readonly string[]): readonly DateInWeeks[] {
  const said = new Map(series.classes.map((one) => [one.n, one]))
  return days.map((day, index) => dateOf(index + 1, day, series, said.get(index + 1)))
}

const dateOf = (n: number, day: string, series: Series, own: ClassOfSeries | undefined): DateInWeeks => ({
  n,
  day: own?.day ?? day,
  startsAt: own?.startsAt ?? series.startsAt,
  leftOut: own?.leftOut,
  sessionId: own?.sessionId,
})

interface Slot {
  readonly n: number
  readonly week: number
  readonly day: string
  readonly said: ReadonlyMap<number, ClassOfSeries>
  readonly series: Series
  readonly content: GrownWeek
  readonly waits: boolean
}

function classOf({ n, week, day, said, series, content, waits }: Slot): ClassInWeeks {
  const date = dateOf(n, day, series, said.get(n))
  return {
    ...{ ...date, week, waits },
    isMoved: date.day !== day || date.startsAt !== series.startsAt,
    session: content.session,
    news: waits ? [] : content.news,
  }
}

const dayMs = 86_400_000

/** The Monday of a day's week, as a number of weeks. */
export function mondayOf(day: string): number {
  const days = Date.parse(`${day}T00:00Z`) / dayMs
  // 1 January 1970 was a Thursday.
  return Math.floor((days + 3) / 7)
}

/** For each day the week it falls in, from 1, weeks without a class left out. */
function weeksOf(days: readonly string[]): readonly number[] {
  const mondays = [...new Set(days.map(mondayOf))]
  return days.map((day) => mondays.indexOf(mondayOf(day)) + 1)
}
