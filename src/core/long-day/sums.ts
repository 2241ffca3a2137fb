import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { balanceOf, countedBreathMs } from '#core/checks'
import type { Balance, CheckInput } from '#core/checks'
import { isLying } from '#core/session'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Milliseconds, Seconds } from '#core/units'
import type { PartInDay } from './lay-out-day.ts'

/** A session as it is led in the day. */
export interface SessionOfDay {
  readonly session: Session
  readonly timeline: Timeline
}

/** How long one region is stretched on each side; what is held on both counts for either. */
export interface Stretched {
  readonly target: Target
  readonly leftMs: Milliseconds
  readonly rightMs: Milliseconds
}

/** What a session asks of people, so that a day can add it up. */
export interface Load {
  readonly totalMs: Milliseconds
  readonly breathMs: Milliseconds
  readonly lyingMs: Milliseconds
  readonly stretched: readonly Stretched[]
}

/** From here on a hold is felt as a stretch, 0 to 10; below it is a shape to rest in [handbook: yin aims at 4 to 6]. */
const stretchFrom = 4

type Book = Pick<CheckInput, 'book'>

/** What one session asks of people. */
export function loadOf({ session, timeline }: SessionOfDay, catalog: Catalog, { book }: Book): Load {
  const balance = balanceOf({ session, timeline, catalog, book })
  return {
    totalMs: timeline.totalMs,
    breathMs: countedBreathMs(timeline),
    lyingMs: lyingMs(balance),
    stretched: stretchedIn(timeline),
  }
}

const lyingMs = ({ positions }: Balance): Milliseconds =>
  positions.reduce((sum, { position, startMs, endMs }) => sum + (isLying(position) ? endMs - startMs : 0), 0)

function stretchedIn({ blocks, segments }: Timeline): readonly Stretched[] {
  const held = segments.flatMap(({ blockIndex, side, doing, startMs, endMs }): Stretched[] => {
    const block = blocks[blockIndex]?.block
    if (doing.kind !== 'hold' || block?.kind !== 'hold' || block.pose.sensation.to < stretchFrom) return []
    const [leftMs, rightMs] = [side === 'right' ? 0 : endMs - startMs, side === 'left' ? 0 : endMs - startMs]
    return block.pose.targets.map((target) => ({ target, leftMs, rightMs }))
  })
  return added(held)
}

/** Each region once. */
function added(all: readonly Stretched[]): readonly Stretched[] {
  const sums = new Map<Target, Stretched>()
  for (const { target, leftMs, rightMs } of all) {
    const sum = sums.get(target) ?? { target, leftMs: 0, rightMs: 0 }
    sums.set(target, { target, leftMs: sum.leftMs + leftMs, rightMs: sum.rightMs + rightMs })
  }
  return [...sums.values()]
}

/** A whole day in figures. */
export interface DaySums {
  readonly fromS: Seconds
  readonly toS: Seconds
  readonly sessionsS: Seconds
  readonly breaksS: Seconds
  /** Between parts, with nothing planned. */
  readonly freeS: Seconds
  readonly breathMs: Milliseconds
  readonly lyingMs: Milliseconds
  /** Each region with how long its longer side is stretched, the most first, and in how many sessions. */
  readonly stretched: readonly StretchedOver[]
}

export interface StretchedOver {
  readonly target: Target
  /** The side that is held longer; both where they are equal. */
  readonly side: 'left' | 'right' | 'both'
  readonly ms: Milliseconds
  readonly sessions: number
}

/** The figures of a day from its parts and what each of its sessions asks; undefined where it has no part. */
export function sumsOfDay(laid: readonly PartInDay[], loads: ReadonlyMap<string, Load>): DaySums | undefined {
  const [first, last] = [laid[0], laid.at(-1)]
  if (!first || !last) return undefined
  const within = laid.flatMap(({ part }) => (part.kind === 'session' ? (loads.get(part.sessionId) ?? []) : []))
  const lasting = (kind: 'session' | 'break'): Seconds =>
    laid.reduce((sum, { part, startS, endS }) => sum + (part.kind === kind ? endS - startS : 0), 0)
  return {
    ...{ fromS: first.startS, toS: last.endS, sessionsS: lasting('session'), breaksS: lasting('break') },
    freeS: laid.slice(1).reduce((sum, { freeS }) => sum + freeS, 0),
    breathMs: within.reduce((sum, { breathMs }) => sum + breathMs, 0),
    lyingMs: within.reduce((sum, load) => sum + load.lyingMs, 0),
    stretched: stretchedOver(within),
  }
}

/** The same hip is asked again: its sides are added up by themselves. */
const stretchedOver = (loads: readonly Load[]): readonly StretchedOver[] =>
  added(loads.flatMap(({ stretched }) => stretched))
    .map(({ target, leftMs, rightMs }): StretchedOver => ({
      target,
      side: leftMs === rightMs ? 'both' : leftMs > rightMs ? 'left' : 'right',
      ms: Math.max(leftMs, rightMs),
      sessions: loads.filter(({ stretched }) => stretched.some((one) => one.target === target)).length,
    }))
    .sort((a, b) => b.ms - a.ms || (a.target < b.target ? -1 : 1))
