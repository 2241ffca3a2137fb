import type { ClassDrift, DriftPart } from '#model/class-drift'
import type { LedClass, LedPlan, ToldPlan, Visit } from '#model/led-class'
import { secondsToSay } from '#core/units'
import type { Milliseconds } from '#core/units'
import { thingsIn } from './last-taught.ts'
import { visitsOf } from './meant-and-done.ts'

/** To which part the stretches of a plan count: settling is still setting up, and quiet between and after is rest. */
const partOf: Readonly<Record<string, DriftPart>> = {
  ...{ talk: 'talk', change: 'change', setUp: 'setUp', settle: 'setUp', hold: 'hold', comingOut: 'comingOut' },
  ...{ betweenSides: 'rest', afterRest: 'rest', rest: 'rest', closing: 'closing' },
  ...{ breath: 'breath', movement: 'movement' },
}

/** Where it can be quiet: elsewhere the teacher speaks, counts or shows. */
const quietParts: ReadonlySet<DriftPart | undefined> = new Set(['hold', 'rest', 'closing'])

/** As it was called on the day. */
const nameIn = ({ blocks }: LedClass, blockId: string): string => blocks[blockId]?.name ?? blockId

const seconds = (ms: Milliseconds): number => Math.round(ms / 1000)

/**
 * What a class shows of how its plan and what was led of it drift apart; undefined where it cannot be told: it has not
 * ended, was left early, or its screen was away and nobody knows since when.
 */
export function classDrift(led: LedClass): ClassDrift | undefined {
  if (led.endedAt === null || led.left || (led.format === 1 && led.isAbout)) return undefined
  const visits = visitsOf(led)
  const took = new Map<number, Milliseconds>()
  // What was begun again is time of its own, as in what was meant and done.
  for (const { segment, startMs, endMs, again } of visits)
    if (segment !== null && !again) took.set(segment, (took.get(segment) ?? 0) + endMs - startMs)
  const { sessionId, startedAt } = led
  const quietMs = led.format === 2 ? quietOf(led.plan, took) : undefined
  return {
    ...{ id: led.id, sessionId, name: led.document.name, startedAt },
    ledS: seconds(visits.at(-1)?.endMs ?? 0),
    things: thingsOf(led, visits),
    of: partsOf(led, took),
    late: latenessOf(led, visits),
    ...(quietMs === undefined ? {} : { quietS: seconds(quietMs) }),
  }
}

function thingsOf({ document }: LedClass, visits: readonly Visit[]): ClassDrift['things'] {
  const led = new Set(visits.map(({ blockId }) => blockId))
  return [...new Set(document.blocks.filter(({ id }) => led.has(id)).flatMap(thingsIn))]
}

type Took = ReadonlyMap<number, Milliseconds>

/** Where in the order of its parts one stands: the sides of a hold are told one by one, each other part of a block once. */
function partsOf(led: LedClass, took: Took): ClassDrift['of'] {
  const poses = new Map(
    led.document.blocks.map((block) => [block.id, block.kind === 'hold' ? block.poseId : undefined]),
  )
  const rows = new Map<string, { -readonly [K in keyof ClassDrift['of'][number]]: ClassDrift['of'][number][K] }>()
  for (const { index, blockId, side, doing, lengthMs } of led.plan.segments) {
    const part = partOf[doing.kind]
    const tookMs = took.get(index)
    if (part === undefined || tookMs === undefined) continue
    const poseId = poses.get(blockId)
    const ofHold = part === 'hold' && poseId !== undefined && side !== null ? { poseId, side } : {}
    const key = `${blockId} ${part} ${ofHold.side ?? ''}`
    const before = rows.get(key) ?? {
      ...{ blockId, name: nameIn(led, blockId), part, ...ofHold },
      ...{ plannedS: 0, tookS: 0 },
    }
    rows.set(key, { ...before, plannedS: before.plannedS + lengthMs, tookS: before.tookS + tookMs })
  }
  // Rounded once: the phases of a hold are not each rounded for themselves.
  return [...rows.values()].map((row) => ({ ...row, plannedS: seconds(row.plannedS), tookS: seconds(row.tookS) }))
}

/** How late each block began. One that was led before its turn says nothing of it, and none is told twice. */
function latenessOf(led: LedClass, visits: readonly Visit[]): ClassDrift['late'] {
  const plannedAt = startsOf(led.plan)
  const late: ClassDrift['late'] = []
  const seen = new Set<string>()
  let last = -1
  for (const { segment, blockId, startMs } of visits) {
    const plannedMs = plannedAt.get(blockId)
    if (segment === null || plannedMs === undefined || seen.has(blockId)) continue
    seen.add(blockId)
    if (plannedMs <= last) continue
    last = plannedMs
    late.push({
      blockId,
      name: nameIn(led, blockId),
      plannedAtS: seconds(plannedMs),
      lateS: seconds(startMs - plannedMs),
    })
  }
  return late
}

/** When each block begins by the plan. */
function startsOf({ segments }: ToldPlan): ReadonlyMap<string, Milliseconds> {
  const starts = new Map<string, Milliseconds>()
  let atMs = 0
  for (const { blockId, lengthMs } of segments) {
    if (!starts.has(blockId)) starts.set(blockId, atMs)
    atMs += lengthMs
  }
  return starts
}

/** How long nobody spoke in holds, rests and the closing, when what the plan says in them was said at the usual pace. */
function quietOf({ segments, cues, scripts = [] }: LedPlan, took: Took): Milliseconds {
  const left = new Map(took)
  const say = (segment: number, ms: Milliseconds): Milliseconds => {
    const within = Math.min(ms, left.get(segment) ?? 0)
    left.set(segment, (left.get(segment) ?? 0) - within)
    return ms - within
  }
  for (const { segment, text } of cues) if (text !== undefined) say(segment, secondsToSay(text) * 1000)
  for (const { from, to, sentences } of scripts) {
    let ms = sentences.reduce((sum, { sayMs }) => sum + sayMs, 0)
    for (let segment = from; segment < to; segment += 1) ms = say(segment, ms)
  }
  return segments
    .filter(({ doing }) => quietParts.has(partOf[doing.kind]))
    .reduce((sum, { index }) => sum + (left.get(index) ?? 0), 0)
}
