import type { Target } from '#model/pose'
import type { Growth, Weekday } from '#model/series'
import type { ClassInWeeks, Missed, News, SeriesFinding } from '#core/series'
import { formatDuration, formatMs, keysOf } from '#core/units'
import { classWhen } from './class-days.ts'
import { stepName, stepWords } from './ladder.ts'
import { targetNames } from './targets.ts'
import { capital, counted, joined, namesInWords } from './text.ts'

export const weekdayNames: Readonly<Record<Weekday, string>> = {
  MO: 'Monday',
  TU: 'Tuesday',
  WE: 'Wednesday',
  TH: 'Thursday',
  FR: 'Friday',
  SA: 'Saturday',
  SU: 'Sunday',
}

/** What things of the shelf are called. */
export interface NamesOfSeries {
  readonly block: (blockId: string) => string
  readonly pose: (poseId: string) => string
  readonly form: (blockId: string, variantId: string) => string
  readonly technique: (techniqueId: string) => string
}

/** One new thing of a week, in a few words. */
export function newsWords(news: News, names: NamesOfSeries): string {
  const name = names.block(news.blockId)
  switch (news.is) {
    case 'longer':
      return `${name} ${formatDuration(news.fromS)} → ${formatDuration(news.toS)}`
    case 'quieter':
      return `${name}: quieter`
    case 'form':
      return `${name}: ${news.variantId === null ? 'as it is' : names.form(news.blockId, news.variantId)}`
    case 'instead':
      return `${names.pose(news.poseId)} in place of ${names.pose(news.before)}`
    case 'comes':
      return `${name} comes in`
    case 'goes':
      return `without ${name}`
    case 'step':
      return `breath ${stepWords(news.to)}`
    case 'lesson':
      return `${names.technique(news.techniqueId)}, lesson ${String(news.lesson)}`
  }
}

/** What is new in a week, in a line. */
export function weekWords(week: number, news: readonly News[], names: NamesOfSeries): string {
  if (week === 1) return 'first time'
  if (news.length === 0) return 'the same again'
  if (news.every(({ is }) => is === 'quieter')) return 'the same again, quieter'
  return joined(
    news.map((one) => newsWords(one, names)),
    '; ',
  )
}

/** The same as a teacher can read it aloud. */
export function weekSaid(week: number, news: readonly News[], names: NamesOfSeries): string {
  if (week === 1) return 'This is the first time: nothing has to be known before.'
  if (news.length === 0) return 'Today is the same as last time. Notice what is otherwise by itself.'
  if (news.every(({ is }) => is === 'quieter')) return 'Today is the same as last time, and less is said.'
  return `New today: ${aloud(weekWords(week, news, names))}.`
}

/** An arrow is read, not said. */
const aloud = (words: string): string => words.replaceAll(' → ', ' to ')

/** What is said at the closing of the class to come: when it is, and what is new in it; one with a plan of its own tells that itself. */
export function nextSaid(next: NextClass, names: NamesOfSeries): string {
  const { sessionId, week, news } = next
  const when = `Next time, ${classWhen(next)}`
  if (sessionId !== undefined) return `${when}.`
  return `${when}: ${news.length === 0 ? 'the same again' : aloud(weekWords(week, news, names))}.`
}
type NextClass = Pick<ClassInWeeks, 'day' | 'startsAt' | 'week' | 'news' | 'sessionId'>

/** What a class is led by that has a session of its own. */
export const ownWords = (
  { sessionId, isAsLed }: { readonly sessionId: string; readonly isAsLed: boolean },
  baseId: string,
): string => (sessionId === baseId ? 'the base as it is' : isAsLed ? 'as it was led' : 'a plan of its own')

/** A rule of growth, as it stands in the list. */
export function growthWords(rule: Growth, names: NamesOfSeries): string {
  const name = names.block(rule.blockId)
  switch (rule.kind) {
    case 'longer': {
      const to = rule.mostS === undefined ? 'its usual top' : formatDuration(rule.mostS)
      return `${name}: one step longer ${every(rule.everyWeeks)}, to ${to}`
    }
    case 'quieter':
      return `${name}: one thing less said ${every(rule.everyWeeks)}, until ${counted(rule.least, 'is', 'are')} left`
    case 'form':
      return `${name}: ${rule.variantId === null ? 'as it is' : names.form(rule.blockId, rule.variantId)} from week ${String(rule.week)}`
    case 'instead':
      return `${name}: ${names.pose(rule.poseId)} in its place from week ${String(rule.week)}`
    case 'comes':
      return `${name}: comes in week ${String(rule.week)}`
    case 'goes':
      return `${name}: not from week ${String(rule.week)} on`
    case 'ladder':
      return joined(
        [
          `${name}: the breath ladder from ${stepName(rule.startStep)}, ${counted(rule.perWeek, 'practice')} a week`,
          rule.lessons ? `lessons of ${namesInWords(rule.lessons.techniqueIds.map(names.technique))}` : '',
        ],
        '; ',
      )
  }
}

const every = (weeks: number): string => (weeks === 1 ? 'every week' : `every ${String(weeks)} weeks`)

/** When a series is, in a line. */
export const rhythmWords = (
  {
    weekdays,
    everyWeeks = 1,
    startsAt,
  }: { weekdays: readonly Weekday[]; everyWeeks?: number | undefined; startsAt?: string | undefined },
  place: string | undefined,
): string => {
  const days = weekdays.map((day) => `${weekdayNames[day]}s`).join(' and ')
  const often = everyWeeks === 1 ? days : `${days}, ${every(everyWeeks)}`
  return joined([joined([often, startsAt ?? ''], ' '), place ?? ''], ', ')
}

/** How many classes there are, and how many are left out. */
export const classesWords = (classes: readonly { readonly leftOut: string | undefined }[]): string => {
  const out = classes.filter(({ leftOut }) => leftOut !== undefined).length
  const held = counted(classes.length - out, 'class', 'classes')
  return out === 0 ? held : `${held}, ${out === 1 ? 'one' : String(out)} left out`
}

/** How many came to a class that was led, or are expected. */
export const comersWords = (people: number, isLed: boolean): string =>
  isLed ? `${String(people)} came` : people === 0 ? '' : `${String(people)} expected`

/** What the journal has of a class, in a line. */
export const ledWords = ({ ledS, plannedS }: { readonly ledS: number; readonly plannedS: number }): string =>
  `${formatMs(ledS * 1000)} of ${formatMs(plannedS * 1000)}`

/** A class that something else is on the day of. */
export const busyWords = ({ day, what }: { readonly day: string; readonly what: string }): string =>
  joined([classWhen({ day }), what], ': ')

/** What somebody has missed, in three lines with which to catch up: what they came to, what is new to them, what to offer. */
export function catchUpWords({ came, missed, news, step }: Missed, names: NamesOfSeries): readonly string[] {
  const weeks = missed.map((week) => `week ${String(week)}`)
  const fresh = news.map((one) => newsWords(one, names))
  return [
    `Missed ${namesInWords(weeks)}; came to ${String(came.length)} of ${String(came.length + missed.length)}.`,
    fresh.length === 0 ? 'What was new then has been there again since.' : `New to them: ${joined(fresh, '; ')}.`,
    step
      ? `Offer both to all: ${stepWords(step.now)}, or stay with ${stepWords(step.done)}.`
      : came.length === 0
        ? 'Before the first class: ask what they know, and show the set-ups once.'
        : 'They come to the next class as it is; nothing has to be made up.',
  ]
}

/** What a series works, by how many of its classes, and what it leaves alone. */
export function touchedWords(
  touched: ReadonlyMap<Target, number>,
  classes: number,
): { readonly touched: string; readonly not: string } {
  const regions = keysOf(targetNames)
  const inOrder = [...touched].sort((a, b) => b[1] - a[1])
  return {
    touched: inOrder
      .map(([region, n]) =>
        n === classes ? targetNames[region] : `${targetNames[region]} (${String(n)} of ${String(classes)})`,
      )
      .join(', '),
    not: regions.flatMap((region) => (touched.has(region) ? [] : [targetNames[region]])).join(', '),
  }
}

/** Kinds of growth to choose from. */
export const growthKinds: readonly { readonly value: Growth['kind']; readonly words: string }[] = [
  { value: 'longer', words: 'held longer' },
  { value: 'quieter', words: 'quieter: less is said' },
  { value: 'ladder', words: 'the breath ladder' },
  { value: 'comes', words: 'comes in a later week' },
  { value: 'goes', words: 'goes after some weeks' },
  { value: 'form', words: 'another form' },
  { value: 'instead', words: 'another pose in its place' },
].map(({ value, words }) => ({ value: value as Growth['kind'], words: capital(words) }))

const furtherWords: Readonly<Record<'counts' | 'ratio' | 'full' | 'empty' | 'rounds', string>> = {
  counts: 'longer counts',
  ratio: 'a longer exhale',
  full: 'a longer hold',
  empty: 'a longer pause',
  rounds: 'more rounds',
}

/** What is found in the weeks to come, in a sentence. */
export function seriesFindingWords(finding: SeriesFinding, names: NamesOfSeries): string {
  switch (finding.code) {
    case 'TWO_THINGS_CHANGED': {
      const { techniqueId, further } = finding.facts
      return `${names.technique(techniqueId)}: ${further.map((one) => furtherWords[one]).join(' and ')} at once. One thing at a time is learned more easily.`
    }
    case 'STEP_UP_EARLY':
      return `${names.technique(finding.facts.techniqueId)} goes past the step of this week: stay with the one before until it is easy.`
    case 'WEEK_REPEATS':
      return `The same again up to week ${String(finding.facts.until)}: nothing is new.`
    case 'GROWS_PAST':
      return `${names.block(finding.facts.blockId)} is held no longer than is usual, ${formatDuration(finding.facts.topS)}: there it stops growing.`
    case 'NOBODY_COMES':
      return finding.n === undefined ? 'Nobody is expected yet: say who comes, below.' : 'Nobody is expected.'
  }
}
