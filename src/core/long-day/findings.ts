import { countedBreathMostS } from '#core/checks'
import { findAll, worstFirst } from '#core/finding'
import type { Found, Grade, RuleOf } from '#core/finding'
import { isLying, positionLeft } from '#core/session'
import type { Milliseconds, Seconds } from '#core/units'
import { clockS } from './lay-out-day.ts'
import type { PartInDay } from './lay-out-day.ts'
import { soonestAfterMeal } from './after-meal.ts'
import { sumsOfDay } from './sums.ts'
import type { Load, SessionOfDay, StretchedOver } from './sums.ts'

/** What each finding of a long day says. */
export interface LongDayFacts {
  /** The session of a part is no more. */
  readonly SESSION_GONE: Readonly<Record<string, never>>
  /** A part cannot begin when it is to: what is before it lasts longer. */
  readonly BEGINS_LATE: { readonly lateS: Seconds }
  readonly PAST_MIDNIGHT: Readonly<Record<string, never>>
  /** The room is free until an hour only, s since midnight. */
  readonly ROOM_NOT_FREE: { readonly untilS: Seconds; readonly endS: Seconds }
  /** A session leaves people lying, and the day goes on. */
  readonly ENDS_LYING: Readonly<Record<string, never>>
  /** Breath work too soon after something was eaten [cautions reference 3.1]. */
  readonly SOON_AFTER_MEAL: { readonly techniqueId: string; readonly afterS: Seconds; readonly gapS: Seconds }
  /** More counted breath in all than one session of the level has [breath book 5]. */
  readonly BREATH_LONG_FOR_DAY: { readonly s: Seconds; readonly mostS: Seconds }
  /** Regions that are stretched long in several sessions, the longest first. */
  readonly STRETCHED_AGAIN: { readonly regions: readonly StretchedOver[] }
  readonly LYING_LONG: { readonly ms: Milliseconds }
  /** Sessions one after another without a break. */
  readonly NO_BREAK: { readonly s: Seconds }
}

export interface DayLook {
  readonly laid: readonly PartInDay[]
  /** The sessions of the day by id; one that is gone, or cannot be compiled, is not there. */
  readonly sessions: ReadonlyMap<string, SessionOfDay>
  readonly gone: ReadonlySet<string>
  readonly loads: ReadonlyMap<string, Load>
  /** Until when the room is free, as "21:30". */
  readonly freeUntil: string | undefined
}

interface Place {
  readonly partId?: string
}
type Rule<Code extends keyof LongDayFacts = keyof LongDayFacts> = RuleOf<LongDayFacts, DayLook, Place, Code>

export type LongDayFinding = {
  readonly [Code in keyof LongDayFacts]: Place & {
    readonly code: Code
    readonly grade: Grade
    readonly facts: LongDayFacts[Code]
  }
}[keyof LongDayFacts]

const dayS = 86_400
/** These three figures are ours: no book has any for a day. Three usual yin holds of one region at their top; half of a six-hour day; a long sitting of a school day. */
const stretchedMostMs = 15 * 60_000
const lyingMostMs = 3 * 3_600_000
const unbrokenMostS = 2 * 3600
/** Time with nothing planned counts as a break from here on. */
const breakFromS = 600

const sessionGone: Rule<'SESSION_GONE'> = {
  code: 'SESSION_GONE',
  grade: 'must',
  find: ({ laid, gone }) =>
    laid.flatMap(({ part }) =>
      part.kind === 'session' && gone.has(part.sessionId) ? [{ partId: part.id, facts: {} }] : [],
    ),
}

const beginsLate: Rule<'BEGINS_LATE'> = {
  code: 'BEGINS_LATE',
  grade: 'must',
  find: ({ laid }) => laid.flatMap(({ part, lateS }) => (lateS > 0 ? [{ partId: part.id, facts: { lateS } }] : [])),
}

const pastMidnight: Rule<'PAST_MIDNIGHT'> = {
  code: 'PAST_MIDNIGHT',
  grade: 'must',
  find: ({ laid }) => {
    const late = laid.find(({ endS }) => endS > dayS)
    return late && { partId: late.part.id, facts: {} }
  },
}

const roomNotFree: Rule<'ROOM_NOT_FREE'> = {
  code: 'ROOM_NOT_FREE',
  grade: 'look',
  find: ({ laid, freeUntil }) => {
    if (freeUntil === undefined) return []
    const untilS = clockS(freeUntil)
    const late = laid.find(({ endS }) => endS > untilS)
    const endS = laid.at(-1)?.endS ?? 0
    return late && { partId: late.part.id, facts: { untilS, endS } }
  },
}

const endsLying: Rule<'ENDS_LYING'> = {
  code: 'ENDS_LYING',
  grade: 'look',
  find: ({ laid, sessions }) =>
    laid.slice(0, -1).flatMap(({ part }) => {
      const there = part.kind === 'session' ? sessions.get(part.sessionId) : undefined
      return there && leavesLying(there) ? [{ partId: part.id, facts: {} }] : []
    }),
}

function leavesLying({ timeline }: SessionOfDay): boolean {
  let position: Parameters<typeof positionLeft>[1]
  for (const { block } of timeline.blocks) position = positionLeft(block, position)
  return position !== undefined && isLying(position)
}

const soonAfterMeal: Rule<'SOON_AFTER_MEAL'> = {
  code: 'SOON_AFTER_MEAL',
  grade: 'look',
  find: ({ laid, sessions }) =>
    laid.flatMap((part, at) => {
      const found = soonestAfterMeal(laid.slice(0, at), part, sessions)
      return found ? [{ partId: part.part.id, facts: found }] : []
    }),
}

const breathLongForDay: Rule<'BREATH_LONG_FOR_DAY'> = {
  code: 'BREATH_LONG_FOR_DAY',
  grade: 'look',
  find: ({ laid, sessions, loads }) => {
    const counting = laid.flatMap(({ part }) => {
      const there = part.kind === 'session' ? sessions.get(part.sessionId) : undefined
      const ms = there ? (loads.get(there.session.id)?.breathMs ?? 0) : 0
      return there && ms > 0 ? [{ ms, mostS: countedBreathMostS[there.session.level] }] : []
    })
    const s = Math.round(counting.reduce((sum, { ms }) => sum + ms, 0) / 1000)
    const mostS = Math.min(...counting.map((one) => one.mostS))
    // Of one session alone its own plan tells it.
    return counting.length > 1 && s > mostS && { facts: { s, mostS } }
  },
}

const stretchedAgain: Rule<'STRETCHED_AGAIN'> = {
  code: 'STRETCHED_AGAIN',
  grade: 'look',
  find: ({ laid, loads }) => {
    // What works all of the body says nothing of one part of it.
    const regions = (sumsOfDay(laid, loads)?.stretched ?? []).filter(
      ({ ms, sessions, target }) => sessions > 1 && ms > stretchedMostMs && target !== 'wholeBody',
    )
    return regions.length > 0 && { facts: { regions } }
  },
}

const lyingLong: Rule<'LYING_LONG'> = {
  code: 'LYING_LONG',
  grade: 'tip',
  find: ({ laid, loads }) => {
    const ms = sumsOfDay(laid, loads)?.lyingMs ?? 0
    return ms > lyingMostMs && { facts: { ms } }
  },
}

const noBreak: Rule<'NO_BREAK'> = {
  code: 'NO_BREAK',
  grade: 'tip',
  find: ({ laid }) => {
    const found: (Found<LongDayFacts['NO_BREAK']> & { partId: string })[] = []
    let run: readonly PartInDay[] = []
    const close = (): void => {
      const [first, last] = [run[0], run.at(-1)]
      const s = first && last ? last.endS - first.startS : 0
      if (last && run.length > 1 && s > unbrokenMostS) found.push({ partId: last.part.id, facts: { s } })
      run = []
    }
    for (const one of laid) {
      if (one.part.kind === 'break' || one.freeS >= breakFromS) close()
      if (one.part.kind === 'session') run = [...run, one]
    }
    close()
    return found
  },
}

const rules = [
  ...[sessionGone, beginsLate, pastMidnight, roomNotFree, endsLying, soonAfterMeal, breathLongForDay],
  ...[stretchedAgain, lyingLong, noBreak],
] as const

/** Everything in a long day that needs a look: worst first, then in the order of its parts, the whole day first. */
export function findInDay(look: DayLook): readonly LongDayFinding[] {
  const at = new Map(look.laid.map(({ part }, index) => [part.id, index]))
  const order = ({ partId }: Place): number => (partId === undefined ? -1 : (at.get(partId) ?? -1))
  return findAll(rules, look).sort(worstFirst((a, b) => order(a) - order(b))) as LongDayFinding[]
}
