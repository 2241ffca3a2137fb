import type { BreathSounds } from '#model/settings'
import type { LedDoing } from '#model/led-class'
import { boundaryMs } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { countedRun, partsBetween } from './counted-run.ts'
import type { PartOfRun } from './counted-run.ts'
import type { LeadCue, LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState, Stretch } from './lead-state.ts'
import { planNow } from './plan-now.ts'
import { cuesOf } from './plan-index.ts'
import { ahead, currentEndMs } from './run.ts'
import { comingLane, currentLane, lanePart, laneRun } from './over-lane.ts'
import type { OverLane } from './over-lane.ts'
import { soundsIn, usualBreathSounds } from './part-sounds.ts'
import type { PlayedSound, SoundIn } from './part-sounds.ts'

export interface DueSound {
  readonly key: string
  readonly atMs: Milliseconds
  readonly sound: PlayedSound
}

const tick: PlayedSound = { kind: 'wood', strokes: 1 }

export const keyOf = (cue: LeadCue): string => `${cue.id}@${String(cue.segment)}`

/** Where a segment stands in the class, for its cues. */
interface Stood {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly skippedMs: Milliseconds
  readonly pauses: readonly Stretch[]
  /** How long it is set to be: as planned, or as it was re-fitted before it began. */
  readonly setMs: Milliseconds
}

/**
 * A cue's instant. One that stands from the start moves on by a pause it falls into; it does not come at all where its
 * moment was done before, or where the side became shorter than that. One that stands from the end moves with it.
 */
export function instantIn(cue: LeadCue, { startMs, endMs, skippedMs, pauses, setMs }: Stood): Milliseconds | undefined {
  if (cue.fromEnd) return Math.max(startMs, endMs - cue.offsetMs)
  const offsetMs = cue.share === undefined ? cue.offsetMs : Math.floor((setMs * cue.share) / 1000) * 1000
  if (offsetMs < skippedMs) return undefined
  const atMs = pauses.reduce(
    (instant, { fromMs, toMs }) => (instant >= fromMs && instant < toMs ? instant + toMs - fromMs : instant),
    startMs + offsetMs - skippedMs,
  )
  return atMs < endMs ? atMs : undefined
}

/** The cues of the segment that runs now with their instants, while nothing is put in before it. */
export function* cueInstants(
  plan: LeadPlan,
  state: LeadState,
): Generator<{ key: string; atMs: Milliseconds; cue: LeadCue }> {
  if (state.natural) return
  const { startedMs: startMs, skippedMs, pauses, index } = state
  const endMs = currentEndMs(state)
  for (const cue of cuesOf(plan, index)) {
    const atMs = instantIn(cue, { startMs, endMs, skippedMs, pauses, setMs: state.set[index] ?? 0 })
    if (atMs !== undefined) yield { key: keyOf(cue), atMs, cue }
  }
}

/**
 * Every sound from now to the end if nothing more is asked, in order of time: bells, and what the teacher chose for
 * counted breath. None while paused: the bells wait. A bell that rang is not repeated
 * unless its end moved by half a minute or more.
 */
export function soundsDue(planned: LeadPlan, state: LeadState, sounds: BreathSounds = usualBreathSounds): DueSound[] {
  const plan = planNow(planned, state)
  if (state.phase === 'ended' || state.pause) return []
  const due: DueSound[] = []
  const current = currentLane(plan, state)
  if (current) due.push(...overTicks(state, current, state.index, sounds))
  for (const { segment, ...stood } of ahead(plan, state)) {
    if (stood.endMs <= stood.startMs && !segment.waits) continue
    const pauses = segment.index === state.index && !state.natural ? state.pauses : []
    const setMs = state.set[segment.index] ?? 0
    due.push(...bells(state, cuesOf(plan, segment.index), { ...stood, pauses, setMs }))
    due.push(...turns(state, segment, stood, sounds))
    const coming = segment.index > state.index ? comingLane(plan, state, segment.index, stood.startMs) : undefined
    if (coming) due.push(...overTicks(state, coming, segment.index, sounds))
    // What comes after all are settled is not known before.
    if (segment.waits) break
  }
  return due.sort((a, b) => a.atMs - b.atMs)
}

function* bells(state: LeadState, cues: readonly LeadCue[], stood: Stood): Generator<DueSound> {
  for (const cue of cues) {
    const atMs = instantIn(cue, stood)
    const key = keyOf(cue)
    if (cue.sound && atMs !== undefined && atMs >= state.nowMs && mayRing(state.rung[key], atMs))
      yield { key, atMs, sound: cue.sound }
  }
}

const repeatAfterMs = 30_000
export const mayRing = (rangAtMs: Milliseconds | undefined, atMs: Milliseconds): boolean =>
  rangAtMs === undefined || atMs - rangAtMs >= repeatAfterMs

/** Sounds of breath work: of counted breath as the teacher chose, and with each stroke; a movement is led by its words. */
function* turns(
  state: LeadState,
  { index, doing }: LeadSegment,
  { startMs, endMs, skippedMs }: Omit<Stood, 'pauses' | 'setMs'>,
  sounds: BreathSounds,
): Generator<DueSound> {
  if (doing.kind !== 'breath') return
  const zeroMs = startMs - skippedMs
  const fromMs = Math.max(startMs, state.nowMs, state.quietUntilMs)
  for (const { name, atMs, sound } of breathIn(doing, fromMs - zeroMs, endMs - zeroMs, sounds))
    if (zeroMs + atMs >= fromMs) yield { key: `${name}@${String(index)}`, atMs: zeroMs + atMs, sound }
}

type Strokes = NonNullable<PartOfRun['strokes']>

/** What sounds in a stretch of breath work, in the segment's own time from its first round on. */
function* breathIn(
  doing: Extract<LedDoing, { kind: 'breath' }>,
  fromMs: Milliseconds,
  toMs: Milliseconds,
  sounds: BreathSounds,
): Generator<SoundIn> {
  const run = countedRun(doing)
  if (doing.part !== 'counted' || !run) {
    if (doing.part !== 'counted' && doing.strokes) yield* strokesIn(doing.strokes, 0, 'stroke')
    return
  }
  const { aloud = Infinity, silent = 'turns' } = doing
  for (const part of partsBetween(run, fromMs, toMs)) {
    yield* soundsIn(run, part, fromMs, sounds, part.round < aloud ? 'turns' : silent)
    if (part.strokes) yield* strokesIn(part.strokes, part.startMs, `stroke-${String(part.k)}`)
  }
}

/** One tick a stroke. */
function* strokesIn({ n, pace }: Strokes, startMs: Milliseconds, name: string): Generator<SoundIn> {
  for (let at = 0; at < n; at += 1)
    yield { name: `${name}-${String(at)}`, atMs: startMs + boundaryMs(at * 2, pace), sound: tick }
}

/** Sounds of a breath over a hold: its first rounds are counted aloud, the rest is silent. */
function* overTicks(state: LeadState, lane: OverLane, index: number, sounds: BreathSounds): Generator<DueSound> {
  const fromMs = Math.max(state.nowMs, state.quietUntilMs)
  const run = laneRun(lane)
  if (!run) return
  for (const part of lanePart(lane, fromMs, Infinity, lane.over.countedRounds))
    for (const { name, atMs, sound } of soundsIn(run, part, fromMs - lane.fromMs, sounds, 'turns'))
      if (lane.fromMs + atMs >= fromMs) yield { key: `over-${name}@${String(index)}`, atMs: lane.fromMs + atMs, sound }
}

/** Bells that came due between two states of a class: what was missed while sound was held back. */
export const bellsBetween = (before: LeadState, after: LeadState): number => after.bells - before.bells
