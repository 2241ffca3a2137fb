import type { Sound } from '#model/cue'
import { boundaryMs, roundParts } from '#core/breath'
import type { Milliseconds } from '#core/units'
import type { LeadCue, LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { ahead, lengthOf } from './run.ts'
import { overLane } from './over-lane.ts'

export interface DueSound {
  readonly key: string
  readonly atMs: Milliseconds
  readonly sound: Sound
}

const tick: Sound = { kind: 'wood', strokes: 1 }

const keyOf = (cue: LeadCue): string => `${cue.id}@${String(cue.segment)}`

/** A cue's instant in a segment that runs `[startMs, endMs)`, never outside it. */
function instantIn(cue: LeadCue, startMs: Milliseconds, endMs: Milliseconds): Milliseconds {
  const wanted = cue.fromEnd ? endMs - cue.offsetMs : startMs + cue.offsetMs
  return Math.max(startMs, Math.min(wanted, endMs - 1))
}

/** The cues of the segment that runs now with their instants, while nothing is put in before it. */
export function* cueInstants(
  plan: LeadPlan,
  state: LeadState,
  index: number,
): Generator<{ key: string; atMs: Milliseconds; cue: LeadCue }> {
  if (state.natural) return
  const endMs = state.startedMs + lengthOf(state, index) + state.pausedMs
  for (const cue of plan.cues) {
    if (cue.segment === index) yield { key: keyOf(cue), atMs: instantIn(cue, state.startedMs, endMs), cue }
  }
}

/**
 * Every sound from now to the end if nothing more is asked, in order of time: bells, and a wood tick at
 * each turn of a counted breath. None while paused: the bells wait. A bell that rang is not repeated
 * unless its end moved by half a minute or more.
 */
export function soundsDue(plan: LeadPlan, state: LeadState): DueSound[] {
  if (state.phase === 'ended' || state.pause) return []
  const cuesOf = new Map<number, LeadCue[]>()
  for (const cue of plan.cues) cuesOf.set(cue.segment, [...(cuesOf.get(cue.segment) ?? []), cue])
  const due: DueSound[] = []
  for (const { segment, startMs, endMs } of ahead(plan, state)) {
    if (endMs <= startMs) continue
    for (const cue of cuesOf.get(segment.index) ?? []) {
      const atMs = instantIn(cue, startMs, endMs)
      const key = keyOf(cue)
      if (cue.sound && atMs >= state.nowMs && mayRing(state.rung[key], atMs)) due.push({ key, atMs, sound: cue.sound })
    }
    const turns = segment.doing.kind === 'breath' && segment.doing.part !== 'natural' && segment.doing.part !== 'rest'
    if (turns && startMs >= Math.max(state.nowMs, state.quietUntilMs)) {
      due.push({ key: `turn@${String(segment.index)}`, atMs: startMs, sound: tick })
    }
    due.push(...overTicks(plan, state, segment.index, startMs, endMs))
  }
  return due.sort((a, b) => a.atMs - b.atMs)
}

const repeatAfterMs = 30_000
const mayRing = (rangAtMs: Milliseconds | undefined, atMs: Milliseconds): boolean =>
  rangAtMs === undefined || atMs - rangAtMs >= repeatAfterMs

/** Ticks of a breath over a hold: its first rounds are counted aloud, the rest is silent. */
function* overTicks(
  plan: LeadPlan,
  state: LeadState,
  index: number,
  startMs: Milliseconds,
  endMs: Milliseconds,
): Generator<DueSound> {
  const lane = overLane(plan, state, index, startMs, endMs)
  if (!lane) return
  const { pattern, pace, countedRounds } = lane.over
  for (const { from, part, round } of roundParts(pattern, Math.min(lane.rounds, countedRounds))) {
    const atMs = lane.fromMs + boundaryMs(from, pace)
    if (atMs >= Math.max(state.nowMs, state.quietUntilMs)) {
      yield { key: `over-${part}-${String(round)}@${String(index)}`, atMs, sound: tick }
    }
  }
}

/** Bells that came due between two states of a class: what was missed while sound was held back. */
export const bellsBetween = (plan: LeadPlan, before: LeadState, after: LeadState): number =>
  plan.cues.filter((cue) => cue.sound !== undefined && after.rung[keyOf(cue)] !== before.rung[keyOf(cue)]).length
