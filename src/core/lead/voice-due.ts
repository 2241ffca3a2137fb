import { spokenIn } from '#core/session'
import { heldIn, isWords, merged, saidBefore, sayingsOf, voiced } from '#core/timeline'
import type { Held, Saying, Timeline, Voiced } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import { countedRun, partsBetween } from './counted-run.ts'
import type { PartOfRun } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { comingLane, currentLane, lanePart } from './over-lane.ts'
import { planNow } from './plan-now.ts'
import { cuesOf } from './plan-index.ts'
import { ahead, elapsedInPart, lengthOf, projectedEndMs } from './run.ts'
import { lengthOfAll, spoken } from './script-now.ts'
import type { LedScript } from './script-now.ts'
import { instantIn, keyOf, mayRing } from './sounds-due.ts'
import type { DueSound } from './sounds-due.ts'

/** What is recorded in the teacher's voice, by its words. */
export interface VoiceBook {
  readonly byText: ReadonlyMap<string, { readonly id: string; readonly lengthMs: Milliseconds }>
  /** The words of the talks, which no cue says, by block. */
  readonly talks: ReadonlyMap<string, string>
}

/** Every recorded sentence of a class that nobody leads, at its instant. */
export function voiceByClock(timeline: Timeline, book: VoiceBook): DueSound[] {
  const lengths = (text: string) => book.byText.get(text)?.lengthMs
  return soundsOf(voiced(sayingsOf(timeline), lengths, { held: heldIn(timeline), endMs: timeline.totalMs }), book)
}

/**
 * Every recorded sentence from now to the end if nothing more is asked, in order of time, and the one that is being said.
 * None while paused or in natural breath that was put in. What was said is not said again unless it moved by half a minute.
 */
export function voiceDue(planned: LeadPlan, state: LeadState, book: VoiceBook): DueSound[] {
  if (state.phase === 'ended' || state.pause || book.byText.size === 0) return []
  const plan = planNow(planned, state)
  const said = voiced(sayingsAhead(plan, state, book.talks), (text) => book.byText.get(text)?.lengthMs, {
    held: plan.scripts ? heldAhead(plan, state) : [],
    endMs: projectedEndMs(plan, state),
  })
  return soundsOf(
    said.filter(({ endMs }) => endMs > state.nowMs),
    book,
  )
}

const soundsOf = (said: readonly Voiced[], book: VoiceBook): DueSound[] =>
  said.flatMap(({ blockId, text, startMs }) => {
    const voice = book.byText.get(text)
    if (!voice) return []
    const sound = { kind: 'voice', voiceId: voice.id, lengthMs: voice.lengthMs } as const
    return [{ key: `voice-${blockId}@${String(startMs)}`, atMs: startMs, sound }]
  })

/** All that will be said from the segment that runs now on, what was said in it already included. */
function sayingsAhead(plan: LeadPlan, state: LeadState, talks: VoiceBook['talks']): Saying[] {
  const sayings: Saying[] = []
  const scripts = new Map(plan.scripts?.map((script) => [script.from, script]))
  if (!state.natural) sayings.push(...sentencesNow(plan, state))
  for (const { segment, ...stood } of ahead(plan, state)) {
    const { index, blockId, doing } = segment
    if (stood.endMs <= stood.startMs && !segment.waits) continue
    const isNow = index === state.index && !state.natural
    const at = { ...stood, pauses: isNow ? state.pauses : [], setMs: state.set[index] ?? 0 }
    const talk = doing.kind === 'talk' && stood.skippedMs === 0 ? talks.get(blockId) : undefined
    if (talk !== undefined) sayings.push({ blockId, text: talk, atMs: stood.startMs, waits: false })
    for (const cue of cuesOf(plan, index)) {
      const atMs = instantIn(cue, at)
      if (atMs !== undefined && isWords(cue.text) && maySay(state.rung[keyOf(cue)], atMs))
        sayings.push({ blockId, text: cue.text.trim(), atMs, waits: false })
    }
    const script = index > state.index || state.natural ? scripts.get(index) : undefined
    if (script) sayings.push(...sentencesFrom(state, { script, blockId, startMs: stood.startMs }))
    // What comes after all are settled is not known before.
    if (segment.waits) break
  }
  return sayings.sort(saidBefore)
}

/** A cue whose moment came is being said, or was; it comes again where it moved by as much as a bell has to. */
const maySay = (saidAtMs: Milliseconds | undefined, atMs: Milliseconds): boolean =>
  saidAtMs === atMs || mayRing(saidAtMs, atMs)

/** The sentences of the script that runs now, those that were said included. */
function sentencesNow(plan: LeadPlan, state: LeadState): Saying[] {
  const script = plan.scripts?.find(({ from, to }) => state.index >= from && state.index < to)
  if (!script) return []
  const startMs = state.nowMs - elapsedInPart(plan, state) + script.afterMs
  const endMs = Math.max(0, lengthOfAll(plan, state, script) - script.afterMs - script.beforeEndMs)
  return sentences(script, spoken(script, state, endMs), { startMs, endMs, blockId: blockOf(plan, script) })
}

/** Those of one that is to come, which begins in a segment at an instant. */
function sentencesFrom(
  state: LeadState,
  {
    script,
    blockId,
    startMs,
  }: { readonly script: LedScript; readonly blockId: string; readonly startMs: Milliseconds },
): Saying[] {
  let lengthMs = -script.afterMs - script.beforeEndMs
  for (let index = script.from; index < script.to; index += 1) lengthMs += lengthOf(state, index)
  const endMs = Math.max(0, lengthMs)
  return sentences(script, spokenIn(script, endMs), { startMs: startMs + script.afterMs, endMs, blockId })
}

const blockOf = (plan: LeadPlan, { from }: LedScript): string => plan.segments[from]?.blockId ?? ''

const sentences = (
  script: LedScript,
  said: ReturnType<typeof spokenIn>,
  {
    startMs,
    endMs,
    blockId,
  }: { readonly startMs: Milliseconds; readonly endMs: Milliseconds; readonly blockId: string },
): Saying[] =>
  script.sentences.flatMap(({ text }, at) => {
    const inMs = said.sentences[at]?.startMs ?? 0
    return inMs < endMs ? [{ blockId, text: text.trim(), atMs: startMs + inMs, waits: true }] : []
  })

/** Where breath will be held from the segment that runs now on. */
function heldAhead(plan: LeadPlan, state: LeadState): readonly Held[] {
  const held: Held[] = []
  const add = (parts: Iterable<PartOfRun>, zeroMs: Milliseconds): void => {
    for (const { part, startMs, endMs } of parts)
      if (part === 'full' || part === 'empty' || part === 'retention')
        held.push({ startMs: zeroMs + startMs, endMs: zeroMs + endMs })
  }
  const lane = currentLane(plan, state)
  if (lane) add(lanePart(lane, lane.fromMs, Infinity), lane.fromMs)
  for (const { segment, startMs, endMs, skippedMs } of ahead(plan, state)) {
    const run = countedRun(segment.doing)
    const zeroMs = startMs - skippedMs
    if (run) add(partsBetween(run, skippedMs, endMs - zeroMs), zeroMs)
    const coming = segment.index > state.index ? comingLane(plan, state, segment.index, startMs) : undefined
    if (coming) add(lanePart(coming, coming.fromMs, Infinity), coming.fromMs)
    if (segment.waits) break
  }
  return merged(held.sort((a, b) => a.startMs - b.startMs))
}
