import type { LedDoing, LedPlan } from '#model/led-class'
import { usualByPropsS } from '#core/session'
import type { Resolved, ResolvedBreath } from '#core/session'
import type { Segment, Timeline } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import { breathDoing, isCountedBreath } from './breath-doing.ts'

export type LeadPlan = LedPlan
export type LeadSegment = LedPlan['segments'][number]
export type LeadCue = LedPlan['cues'][number]
export type LeadOver = LedPlan['over'][string]

/** Where a segment of the timeline stands in the plan: in which of its segments, and how far into it. */
interface Stood {
  readonly segment: number
  readonly afterMs: Milliseconds
}

/**
 * The plan of a class from its timeline. `ceilingMs` gives the first ceiling of each hold by block id. Counted breath
 * and counted movement stand as one segment a set or side. Every breath block and each of its sections that does not end
 * in natural breath gets a natural tail, of no length until the teacher stays in it.
 */
export function leadPlan(timeline: Timeline, ceilingMs: Readonly<Record<string, Milliseconds>>): LeadPlan {
  const segments: LeadSegment[] = []
  const stood: Stood[] = []
  for (const { block, firstSegment, endSegment } of timeline.blocks) {
    for (const run of runsOf(timeline.segments.slice(firstSegment, endSegment))) {
      closeSection(segments, run[0])
      let afterMs = 0
      for (const { startMs, endMs } of run) {
        stood.push({ segment: segments.length, afterMs })
        afterMs += endMs - startMs
      }
      const before = timeline.segments.slice(firstSegment, run[0].index)
      segments.push(leadSegment(run, doingOf(run, before, block), segments))
    }
    closeSection(segments)
    if (block.kind === 'breath') segments.push(naturalTail(block, segments.length))
  }
  return {
    segments: waiting(segments, timeline),
    cues: cuesOf(timeline, stood, segments),
    totalMs: timeline.totalMs,
    capMs: caps(timeline, ceilingMs),
    ceilingMs,
    over: overs(timeline),
    changes: estimatesOf(timeline),
    ...scriptsOf(timeline, stood),
  }
}

/** How the changes were estimated, for what the record will teach. */
const estimatesOf = ({ blocks }: Timeline): LeadPlan['changes'] =>
  Object.fromEntries(
    blocks.flatMap(({ block, change }) =>
      change?.parts ? [[block.block.id, { by: change.parts.by, usualMs: usualByPropsS(change.parts) * 1000 }]] : [],
    ),
  )

/** Holds that begin when the teacher says so: what stands right before each side of them waits for it. */
function waiting(segments: readonly LeadSegment[], { blocks }: Timeline): LeadSegment[] {
  const said = new Set(
    blocks.flatMap(({ block }) =>
      block.kind === 'hold' && block.answers.holdBegins === 'whenISay' ? [block.block.id] : [],
    ),
  )
  return segments.map((segment, at) => {
    const next = segments[at + 1]
    const isLast = next?.doing.kind === 'hold' && next.blockId === segment.blockId && beforeHold.has(segment.doing.kind)
    return isLast && said.has(segment.blockId) ? { ...segment, waits: true } : segment
  })
}

/** What stands before a hold. */
export const beforeHold: ReadonlySet<LedDoing['kind']> = new Set(['change', 'setUp', 'settle'])

type Run = readonly [Segment, ...Segment[]]

const isCountedPart = ({ doing }: Segment): boolean =>
  (doing.kind === 'breath' && isCountedBreath(doing.part)) || (doing.kind === 'movement' && doing.part !== 'rest')

/** Segments of a block with the parts of one counted set, or of one side of a movement, taken together. */
function runsOf(segments: readonly Segment[]): Run[] {
  const runs: [Segment, ...Segment[]][] = []
  for (const segment of segments) {
    const run = runs.at(-1)
    if (run && goesOn(run[0], segment)) run.push(segment)
    else runs.push([segment])
  }
  return runs
}

function goesOn(first: Segment, next: Segment): boolean {
  if (!isCountedPart(first) || !isCountedPart(next) || first.side !== next.side) return false
  const [a, b] = [first.doing, next.doing]
  return a.kind === 'breath' && b.kind === 'breath' ? a.section === b.section && a.set === b.set : a.kind === b.kind
}

function doingOf(run: Run, before: readonly Segment[], block: Resolved): LedDoing {
  const [first, ...more] = run
  const { doing } = first
  const last = more.at(-1)?.doing ?? doing
  if (doing.kind === 'breath' && block.kind === 'breath') return breathDoing(run, before, block)
  if (doing.kind === 'breath') throw new RangeError('leadPlan: a breath that is none')
  if (doing.kind === 'movement') {
    if (doing.part === 'rest') return { kind: 'movement', part: 'rest', does: doing.does }
    if (block.kind !== 'movement' || last.kind !== 'movement') throw new RangeError('leadPlan: a movement that is none')
    const parts = [first, ...more].flatMap(({ doing: part }) =>
      part.kind === 'movement' && part.part !== 'rest' && part.round === 1
        ? [{ part: part.part, halfCounts: part.counts * 2, does: part.does }]
        : [],
    )
    return { kind: 'movement', part: 'counted', rounds: last.round, pace: block.pace, parts }
  }
  if (doing.kind !== 'change') return doing
  const { from, to, text } = doing
  return {
    kind: 'change',
    to,
    ...(from === undefined ? {} : { from }),
    ...(text === undefined ? {} : { text }),
  }
}

function leadSegment(run: Run, doing: LedDoing, before: readonly LeadSegment[]): LeadSegment {
  const [{ blockId, blockIndex, side, startMs }] = run
  const mirrors = mirrored(run[0], before)
  return {
    index: before.length,
    blockId,
    blockIndex,
    side,
    doing,
    lengthMs: (run.at(-1)?.endMs ?? startMs) - startMs,
    ...(mirrors === undefined ? {} : { mirrors }),
  }
}

function mirrored({ blockId, side, doing }: Segment, before: readonly LeadSegment[]): number | undefined {
  if (doing.kind !== 'hold' || side === null || side === 'both') return undefined
  return before.find(
    (other) =>
      other.blockId === blockId &&
      other.side !== side &&
      other.doing.kind === 'hold' &&
      other.doing.phase.index === doing.phase.index,
  )?.index
}

const naturalTail = ({ block, index: blockIndex, sections }: ResolvedBreath, index: number): LeadSegment => ({
  index,
  blockId: block.id,
  blockIndex,
  side: 'both',
  doing: { kind: 'breath', part: 'natural', section: sections.length, set: 0 },
  lengthMs: 0,
})

/** Gives the section that was planned last its tail, where `next` is not in it any more. */
function closeSection(segments: LeadSegment[], next?: Segment): void {
  const last = segments.at(-1)
  if (last?.doing.kind !== 'breath' || last.doing.part === 'natural') return
  const { section } = last.doing
  if (next?.blockId === last.blockId && next.doing.kind === 'breath' && next.doing.section === section) return
  const doing = { kind: 'breath', part: 'natural', section, set: 0 } as const
  segments.push({ ...last, index: segments.length, doing, lengthMs: 0 })
}

const cuesOf = (timeline: Timeline, stood: readonly Stood[], runs: readonly LeadSegment[]): LeadCue[] =>
  timeline.cues.map(({ id, atMs, segment, text, sound, share, fromEnd }) => {
    const { startMs = 0, endMs = 0 } = timeline.segments[segment] ?? {}
    const at = stood[segment] ?? { segment: 0, afterMs: 0 }
    return {
      id,
      ...{ segment: at.segment, ...whenIn(at, { startMs, endMs, atMs, fromEnd }, runs[at.segment]) },
      ...(share === undefined ? {} : { share }),
      ...(text === undefined ? {} : { text }),
      ...(sound === undefined ? {} : { sound }),
    }
  })

/**
 * Where a cue stands in its run: by its end where it stands by the end of its segment, or in the last round at a place for
 * the hands, which says where they go next, however many rounds there come to be.
 */
function whenIn(
  { afterMs }: Stood,
  cue: { readonly startMs: number; readonly endMs: number; readonly atMs: number; readonly fromEnd: boolean },
  run: LeadSegment | undefined,
): Pick<LeadCue, 'offsetMs' | 'fromEnd'> {
  const offsetMs = afterMs + cue.atMs - cue.startMs
  const doing = run?.doing
  if (cue.fromEnd) return { offsetMs: cue.endMs - cue.atMs, fromEnd: true }
  const isAtPlace = doing?.kind === 'breath' && doing.part === 'counted' && doing.station !== undefined
  if (!run || !isAtPlace || doing.rounds < 2) return { offsetMs, fromEnd: false }
  const lastMs = run.lengthMs - Math.floor(run.lengthMs / doing.rounds)
  return offsetMs < lastMs ? { offsetMs, fromEnd: false } : { offsetMs: run.lengthMs - offsetMs, fromEnd: true }
}

function scriptsOf({ scripts, segments }: Timeline, stood: readonly Stood[]): Pick<LeadPlan, 'scripts'> {
  if (scripts.length === 0) return {}
  return {
    scripts: scripts.map(({ firstSegment, endSegment, startMs, endMs, script: { sentences, quietAfter } }) => ({
      from: stood[firstSegment]?.segment ?? 0,
      to: (stood[endSegment - 1]?.segment ?? 0) + 1,
      afterMs: startMs - (segments[firstSegment]?.startMs ?? startMs),
      beforeEndMs: Math.max(0, (segments[endSegment - 1]?.endMs ?? endMs) - endMs),
      ...{ sentences: [...sentences], quietAfter },
    })),
  }
}

function caps(timeline: Timeline, ceilingMs: Readonly<Record<string, Milliseconds>>): LeadPlan['capMs'] {
  const made: LeadPlan['capMs'] = {}
  for (const { block } of timeline.blocks) {
    if (block.kind !== 'hold') continue
    const planned = Math.max(...block.sides.map((side) => side.holdS * 1000))
    made[block.block.id] = Math.max(planned, ceilingMs[block.block.id] ?? 0)
  }
  return made
}

function overs(timeline: Timeline): LeadPlan['over'] {
  const made: LeadPlan['over'] = {}
  for (const { block } of timeline.blocks) {
    if (block.kind !== 'hold' || !block.breathOver) continue
    const { technique, pattern, pace, rounds, countedRounds } = block.breathOver
    const name = technique.names.english
    made[block.block.id] = { name, pattern, pace, countedRounds, ...(rounds === undefined ? {} : { rounds }) }
  }
  return made
}
