import type { Block, ClosingBlock, HoldBlock, RestBlock, TalkBlock } from '#model/block'
import { betweenLimits, blockLimits, holdLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { LedClass, LedPlan } from '#model/led-class'
import type { Session } from '#model/session'
import type { SomeTimes } from '#model/times'
import type { Milliseconds, Seconds } from '#core/units'
import { visitsOf } from './meant-and-done.ts'

type Segment = LedPlan['segments'][number]

/** A stretch of a block as it was planned and as it was led; undefined where it was left out. */
interface Led {
  readonly segment: Segment
  readonly tookMs: Milliseconds | undefined
}

/**
 * The session of a class with the times it really took: what was left out is not in it, and blocks stand in the order in
 * which they were led. Times that were as planned stay as the session has them. Undefined for a record of the first
 * edition, whose plan does not say what each stretch was.
 */
export function asLed(led: LedClass): Session | undefined {
  if (led.format !== 2) return undefined
  const took = new Map<number, Milliseconds>()
  const order = new Map<string, number>()
  for (const { segment, blockId, startMs, endMs, again } of visitsOf(led)) {
    if (!order.has(blockId)) order.set(blockId, order.size)
    if (segment !== null && !again) took.set(segment, (took.get(segment) ?? 0) + endMs - startMs)
  }
  const blocks = led.document.blocks
    .filter(({ id }) => order.has(id))
    .sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0))
    .map((block) =>
      blockAsLed(
        block,
        led.plan.segments
          .filter(({ blockId }) => blockId === block.id)
          .map((segment) => ({ segment, tookMs: took.get(segment.index) })),
      ),
    )
  return { ...led.document, blocks }
}

function blockAsLed(block: Block, stretches: readonly Led[]): Block {
  if (block.kind === 'talk') return lasting(block, stretches)
  const times = secondApart(block.times ?? {}, timesAsLed(stretches), stretches)
  const timed = Object.keys(times).length === 0 ? block : { ...block, times: { ...block.times, ...times } }
  switch (timed.kind) {
    case 'rest':
      return restedAsLed(timed, stretches)
    case 'hold':
      return heldAsLed(timed, stretches)
    case 'closing':
      return closedAsLed(timed, stretches)
    case 'movement':
    case 'breath':
      return timed
  }
}

const within = (ms: Milliseconds, { leastS, mostS }: SecondsRange): Seconds =>
  Math.min(mostS, Math.max(leastS, Math.round(ms / 1000)))

/** What some stretches were planned with and took together; undefined where none was led, or all took what was planned. */
function changedMs(stretches: readonly Led[]): Milliseconds | undefined {
  const was = stretches.filter(({ tookMs }) => tookMs !== undefined)
  const sum = was.reduce((total, { tookMs = 0 }) => total + tookMs, 0)
  const planned = was.reduce((total, { segment }) => total + segment.lengthMs, 0)
  return was.length === 0 || Math.round(sum / 1000) === Math.round(planned / 1000) ? undefined : sum
}

const around: Readonly<Partial<Record<Segment['doing']['kind'], keyof SomeTimes>>> = {
  change: 'changeS',
  settle: 'settleS',
  comingOut: 'comingOutS',
  betweenSides: 'betweenSidesS',
  afterRest: 'afterRestS',
}
const timeOf = ({ doing }: Segment): keyof SomeTimes | undefined =>
  doing.kind === 'setUp' ? (doing.second ? 'secondSetUpS' : 'setUpS') : around[doing.kind]

/** The times around what is held that were other than planned; of what comes on each side the mean. */
function timesAsLed(stretches: readonly Led[]): SomeTimes {
  const times: { -readonly [K in keyof SomeTimes]: SomeTimes[K] } = {}
  for (const name of new Set(stretches.flatMap(({ segment }) => timeOf(segment) ?? []))) {
    const of = stretches.filter(({ segment, tookMs }) => timeOf(segment) === name && tookMs !== undefined)
    const ms = changedMs(of)
    if (ms !== undefined) times[name] = within(ms / of.length, betweenLimits)
  }
  return times
}

/** A second set-up nobody set goes by the first: where that is written as it was led, the second is as well. */
function secondApart(planned: SomeTimes, times: SomeTimes, stretches: readonly Led[]): SomeTimes {
  if (times.setUpS === undefined || (times.secondSetUpS ?? planned.secondSetUpS) !== undefined) return times
  const of = stretches.filter(({ segment, tookMs }) => timeOf(segment) === 'secondSetUpS' && tookMs !== undefined)
  const ms = of.reduce((sum, { tookMs = 0 }) => sum + tookMs, 0)
  return of.length === 0 ? times : { ...times, secondSetUpS: within(ms / of.length, betweenLimits) }
}

const ofKind = (stretches: readonly Led[], kind: Segment['doing']['kind']): readonly Led[] =>
  stretches.filter(({ segment }) => segment.doing.kind === kind)

function lasting<T extends TalkBlock | RestBlock>(block: T, stretches: readonly Led[]): T {
  const ms = changedMs(ofKind(stretches, block.kind))
  return ms === undefined ? block : { ...block, s: within(ms, blockLimits) }
}

function heldAsLed(block: HoldBlock, stretches: readonly Led[]): HoldBlock {
  const held = ofKind(stretches, 'hold')
  const secondsOn = (side: Segment['side']): Seconds | undefined => {
    const on = held.filter(({ segment, tookMs }) => segment.side === side && tookMs !== undefined)
    return on.length === 0
      ? undefined
      : within(
          on.reduce((sum, { tookMs = 0 }) => sum + tookMs, 0),
          holdLimits,
        )
  }
  // Phases that no longer fit would be no plan: such a hold stays as it was planned.
  const isShorter = held.some(({ segment, tookMs }) => (tookMs ?? 0) < segment.lengthMs)
  if ((block.phases && isShorter) || !['left', 'right', 'both'].some((side) => isChanged(held, side))) return block
  const [left, right, both] = [secondsOn('left'), secondsOn('right'), secondsOn('both')]
  if (both !== undefined) return { ...block, hold: { holdS: both } }
  const [leftS, rightS] = [left ?? right, right ?? left]
  if (leftS === undefined || rightS === undefined) return block
  return { ...block, hold: leftS === rightS ? { holdS: leftS } : { leftS, rightS, why: 'as it was led' } }
}

const isChanged = (held: readonly Led[], side: string): boolean =>
  changedMs(held.filter(({ segment }) => segment.side === side)) !== undefined

const upSteps = { comingOut: 'comingOutS', roll: 'rollS', sittingUp: 'sittingUpS' } as const
const steps = { finalRest: 'finalRestS', ...upSteps } as const

/** Of a closing's steps those that took another time than planned. */
const changedSteps = (
  of: Readonly<Record<string, string>>,
  stretches: readonly Led[],
): Readonly<Record<string, Seconds>> =>
  Object.fromEntries(
    Object.entries(of).flatMap(([step, name]) => {
      const ms = changedMs(
        stretches.filter(({ segment: { doing } }) => doing.kind === 'closing' && doing.step === step),
      )
      return ms === undefined ? [] : [[name, within(ms, step === 'finalRest' ? blockLimits : betweenLimits)] as const]
    }),
  )

const closedAsLed = (block: ClosingBlock, stretches: readonly Led[]): ClosingBlock => ({
  ...block,
  ...changedSteps(steps, stretches),
})

function restedAsLed(block: RestBlock, stretches: readonly Led[]): RestBlock {
  const rested = lasting(block, stretches)
  const changed = changedSteps(upSteps, stretches)
  return Object.keys(changed).length === 0 ? rested : { ...rested, ending: { ...rested.ending, ...changed } }
}
