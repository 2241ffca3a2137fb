import type { Part } from '#model/long-day'
import type { DaySums, LongDayFinding, PartInDay } from '#core/long-day'
import type { Seconds } from '#core/units'
import { targetNames } from './targets.ts'
import { counted, joined, namesInWords } from './text.ts'

/** An hour of the day, 24-hour clock, to the nearest minute. */
export function hourWords(sinceMidnightS: Seconds): string {
  const minutes = Math.round(sinceMidnightS / 60) % 1440
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`
}

/** A length of a day in hours and minutes, as in “3 h 20 min”. */
export function longWords(seconds: Seconds): string {
  const minutes = Math.round(seconds / 60)
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60]
  return joined([hours === 0 ? '' : `${String(hours)} h`, rest === 0 && hours > 0 ? '' : `${String(rest)} min`], ' ')
}

/** What a day has, in a line: from when to when, how many sessions and breaks. */
export function dayWords(laid: readonly PartInDay[]): string {
  const [first, last] = [laid[0], laid.at(-1)]
  if (!first || !last) return 'nothing in it yet'
  const count = (kind: Part['kind']): number => laid.filter(({ part }) => part.kind === kind).length
  const [sessions, breaks] = [count('session'), count('break')]
  return joined(
    [
      `${hourWords(first.startS)} to ${hourWords(last.endS)}`,
      sessions === 0 ? '' : counted(sessions, 'session'),
      breaks === 0 ? '' : counted(breaks, 'break'),
    ],
    ', ',
  )
}

export const eatenWords = { nothing: 'nothing', snack: 'a snack', meal: 'a meal' } as const

const sideWords = { left: 'the left', right: 'the right', both: 'each side' } as const

/** The regions stretched in more than one session, with how long. */
export const stretchedWords = ({ stretched }: DaySums): string =>
  stretched
    .filter(({ sessions }) => sessions > 1)
    .map(({ target, ms, sessions }) => `${targetNames[target]} ${longWords(ms / 1000)} in ${String(sessions)} sessions`)
    .join(', ')

/** What is found in a long day, in a sentence. */
export function longDayFindingWords(finding: LongDayFinding, technique: (id: string) => string): string {
  switch (finding.code) {
    case 'SESSION_GONE':
      return 'Its session is no more: take the part away, or bring the session back in Sessions.'
    case 'BEGINS_LATE':
      return `Begins ${longWords(finding.facts.lateS)} later than it is to: what comes before it lasts longer.`
    case 'PAST_MIDNIGHT':
      return 'Goes on past midnight.'
    case 'ROOM_NOT_FREE':
      return `The room is free until ${hourWords(finding.facts.untilS)}; the day ends ${hourWords(finding.facts.endS)}.`
    case 'ENDS_LYING':
      return 'Leaves people lying, and the day goes on: end it with a closing, or a rest that comes up in steps.'
    case 'SOON_AFTER_MEAL': {
      const { techniqueId, afterS, gapS } = finding.facts
      return `${technique(techniqueId)} comes ${longWords(afterS)} after what is eaten; it is usual to wait ${longWords(gapS)}.`
    }
    case 'BREATH_LONG_FOR_DAY': {
      const { s, mostS } = finding.facts
      return `Counted breath ${longWords(s)} over the day; a class of this level has ${longWords(mostS)} at most.`
    }
    case 'STRETCHED_AGAIN': {
      const regions = finding.facts.regions.map(
        ({ target, side, ms }) => `${targetNames[target]} ${longWords(ms / 1000)} on ${sideWords[side]}`,
      )
      return `Stretched long, again and again: ${namesInWords(regions)}. Give one of the sessions something else.`
    }
    case 'LYING_LONG':
      return `People lie ${longWords(finding.facts.ms / 1000)} of the day: let them walk in the breaks.`
    case 'NO_BREAK':
      return `${longWords(finding.facts.s)} without a break.`
  }
}
