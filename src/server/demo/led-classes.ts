import type { BreathAnswers, KeptEvent, LedEnd, LedStart } from '#model/led-class'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { beginLead, ledStart, step } from '#core/lead'
import type { Command, LeadPlan, LeadState } from '#core/lead'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import { reedAndBellows } from './reed-and-bellows.ts'
import { sundayLongRest, thursdaySlowHour } from './sessions.ts'

/** Something the teacher did: in which block, kind and side, how long after it began. */
interface Done {
  readonly block: string
  readonly kind: string
  readonly side?: 'left' | 'right'
  readonly afterS: number
  readonly type: Command
}
interface Evening {
  readonly weeksAgo: number
  readonly lateS: number
  readonly people: number
  readonly done: readonly Done[]
  readonly note: string
  readonly breath?: BreathAnswers
}

const at = (block: string, kind: string, afterS: number, type: Command, side?: 'left' | 'right'): Done =>
  side ? { block, kind, afterS, type, side } : { block, kind, afterS, type }

/** Four Thursdays: the talk runs over, set-ups are waited for, a hold is stayed in, another ends early. */
const evenings: readonly Evening[] = [
  {
    weeksAgo: 4,
    lateS: 140,
    people: 9,
    done: [
      at('arrive', 'talk', 150, 'stay'),
      at('wide-knee-fold', 'setUp', 20, 'pause'),
      at('wide-knee-fold', 'setUp', 62, 'resume'),
      at('deer', 'hold', 60, 'stay', 'left'),
      at('calves', 'change', 40, 'pause'),
      at('calves', 'change', 95, 'resume'),
      at('closing', 'closing', 300, 'end'),
    ],
    note: 'Too much talk at the start, and the chairs took a minute longer than I had planned.',
  },
  {
    weeksAgo: 3,
    lateS: 35,
    people: 11,
    done: [
      at('sphinx', 'hold', 148, 'end'),
      at('figure-four', 'hold', 90, 'stay', 'left'),
      at('deer', 'setUp', 20, 'pause', 'left'),
      at('deer', 'setUp', 48, 'resume', 'left'),
      at('crescent', 'hold', 150, 'end', 'left'),
    ],
    note: 'Sphinx shorter for the sore backs from the band rehearsal.',
  },
  {
    weeksAgo: 2,
    lateS: 12,
    people: 10,
    done: [
      at('wide-knee-fold', 'setUp', 22, 'pause'),
      at('wide-knee-fold', 'setUp', 40, 'resume'),
      at('deer', 'hold', 120, 'pause', 'left'),
      at('deer', 'hold', 141, 'resume', 'left'),
      at('deer', 'hold', 30, 'mark', 'right'),
      at('calves', 'change', 40, 'pause'),
      at('calves', 'change', 70, 'resume'),
    ],
    note: '',
  },
  {
    weeksAgo: 1,
    lateS: 0,
    people: 12,
    done: [
      at('arrive', 'talk', 165, 'end'),
      at('figure-four', 'hold', 40, 'back', 'right'),
      at('calves', 'hold', 200, 'stay'),
      at('calves', 'change', 40, 'mark'),
    ],
    note: 'On time for once. The right side of figure four was begun again: two had not heard me.',
  },
]

/** The breath course two days before: one round was broken off for a talk about the count, and the rest was easy. */
const tuesday: Evening = {
  weeksAgo: 1,
  lateS: 20,
  people: 7,
  done: [at('even', 'breath', 160, 'pause'), at('even', 'breath', 190, 'resume'), at('even', 'breath', 60, 'mark')],
  note: 'Four counts sit well with the reeds; the bellows would like five.',
  breath: { was: 'easy' },
}

/** The first of the Sundays, quiet as it was meant to be. */
const sunday: Evening = {
  weeksAgo: 1,
  lateS: 45,
  people: 8,
  done: [at('bound', 'hold', 400, 'stay')],
  note: 'Nobody wanted to come out of bound angle.',
}

const dayMs = 24 * 3_600_000

/** A led class as it is written down: how it began, what was told, how it ended. */
export interface DemoClass {
  readonly start: LedStart
  readonly events: readonly KeptEvent[]
  readonly end: LedEnd
}

/** The Thursday before a day, at 18:00 UTC: from one day back (a Friday) to seven (a Thursday). */
export function lastThursdayBefore(today: Date): Date {
  const thursday = new Date(today)
  thursday.setUTCHours(18, 0, 0, 0)
  thursday.setUTCDate(thursday.getUTCDate() - (((thursday.getUTCDay() + 2) % 7) + 1))
  return thursday
}

/** The led classes of the demo, on the Thursdays before today, on a Tuesday and on a Sunday at 18:00 UTC, each through the real machine. */
export function demoClasses(today: Date): DemoClass[] {
  const lastThursday = lastThursdayBefore(today)
  return [
    ...evenings.map((evening) => {
      const plannedStart = lastThursday.getTime() - (evening.weeksAgo - 1) * 7 * dayMs
      return ledEvening(thursdaySlowHour, `thursday-${String(evening.weeksAgo)}-weeks-ago`, evening, plannedStart)
    }),
    ledEvening(reedAndBellows, 'breath-week-6', tuesday, lastThursday.getTime() - 2 * dayMs),
    ledEvening(sundayLongRest, 'sunday-1-week-ago', sunday, lastThursday.getTime() - 4 * dayMs),
  ]
}

function ledEvening(session: Session, id: string, evening: Evening, plannedStartMs: number): DemoClass {
  const { lateS, people, done, note, breath } = evening
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const startedAtMs = plannedStartMs + lateS * 1000
  const start = ledStart(session, timeline, {
    id,
    people,
    startedAtMs,
    promisedEndMs: plannedStartMs + session.lengthS * 1000,
    nameOf: blockName,
    sectionNameOf: sectionName,
  })
  const { events, state } = lead(start.plan, done)
  const endedAt = new Date(startedAtMs + state.nowMs).toISOString()
  const end = {
    endedAt,
    left: state.left,
    visits: [...state.visits],
    ...(note === '' ? {} : { note }),
    ...(breath ? { breath } : {}),
  }
  return { start, events, end }
}

/** Lets the class run second by second, doing each thing when its moment comes. */
function lead(plan: LeadPlan, done: readonly Done[]): { events: KeptEvent[]; state: LeadState } {
  const events: KeptEvent[] = []
  const waiting = [...done]
  let state = beginLead(plan)
  for (let atMs = 0; state.phase === 'running' && atMs < 3 * 3_600_000; atMs += 1000) {
    state = step(plan, state, { type: 'tick', atMs })[0]
    const due = waiting.findIndex((one) => isNow(plan, state, one))
    const type = due < 0 ? settledLate(plan, state) : waiting.splice(due, 1)[0]?.type
    if (!type) continue
    const event = { type, atMs }
    events.push({ n: events.length + 1, by: 'demo', event })
    state = step(plan, state, event)[0]
  }
  return { events, state }
}

/** Where a hold waits for all to be settled, they are some seconds after what is planned for it. */
function settledLate(plan: LeadPlan, state: LeadState): Command | undefined {
  const segment = plan.segments[state.index]
  const waitedMs = state.nowMs - state.startedMs
  return segment?.waits && waitedMs >= segment.lengthMs + 8000 ? 'settled' : undefined
}

function isNow(plan: LeadPlan, state: LeadState, { block, kind, side, afterS }: Done): boolean {
  const segment = plan.segments[state.index]
  if (segment?.blockId !== block || segment.doing.kind !== kind) return false
  return (side === undefined || segment.side === side) && state.nowMs - state.startedMs >= afterS * 1000
}
