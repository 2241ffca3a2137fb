import type { Block } from '#model/block'
import { textLimits } from '#model/limits'
import type { Milliseconds } from '#core/units'
import type { Timeline } from './timeline.ts'

/** Words that are said at an instant of a class. */
export interface Saying {
  readonly blockId: string
  readonly text: string
  readonly atMs: Milliseconds
  /** A sentence of a script, which waits while a breath is held; anything else stands where it stands. */
  readonly waits: boolean
}

/** A stretch of the class in which a breath is held, `[startMs, endMs)`. */
export interface Held {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}

/** The last counts of a held breath are counted, and are no words. */
export const isWords = (text: string | undefined): text is string =>
  text !== undefined && text.trim() !== '' && !/^\d+$/.test(text)

/** In the order of time; what a script says comes after a cue of the same instant. */
export const saidBefore = (a: Saying, b: Saying): number => a.atMs - b.atMs || Number(a.waits) - Number(b.waits)

/** The words of a talk that are said as they stand; what is longer than a line is notes for it, and nobody's sentence. */
export const talkWords = (block: Block): string | undefined =>
  block.kind === 'talk' && isWords(block.text) && block.text.length <= textLimits.line ? block.text.trim() : undefined

/** All that is said in a class, in the order of its time: its cues, its scripts, and the words of its talks. */
export function sayingsOf(timeline: Timeline): readonly Saying[] {
  const { cues, scripts, blocks } = timeline
  const talks = blocks.flatMap(({ block: { block }, startMs }): Saying[] => {
    const text = talkWords(block)
    return text === undefined ? [] : [{ blockId: block.id, text, atMs: startMs, waits: false }]
  })
  const said = cues.flatMap(({ blockId, text, atMs }): Saying[] =>
    isWords(text) ? [{ blockId, text: text.trim(), atMs, waits: false }] : [],
  )
  const sentences = scripts.flatMap(({ blockId, script, spoken, startMs, endMs }) =>
    script.sentences.flatMap(({ text }, at): Saying[] => {
      const atMs = startMs + (spoken.sentences[at]?.startMs ?? 0)
      return atMs < endMs ? [{ blockId, text: text.trim(), atMs, waits: true }] : []
    }),
  )
  return [...talks, ...said, ...sentences].toSorted(saidBefore)
}

/** Where breath is held in a class, in the order of its time: in breath work, and in a breath over a hold. */
export function heldIn({ segments, breathOver }: Timeline): readonly Held[] {
  const held = [
    ...segments.filter(({ doing }) => doing.kind === 'breath' && (doing.part === 'full' || doing.part === 'empty')),
    ...segments.filter(({ doing }) => doing.kind === 'movement' && doing.part === 'retention'),
    ...breathOver.filter(({ part }) => part === 'full' || part === 'empty'),
  ]
  return merged(held.toSorted((a, b) => a.startMs - b.startMs))
}

/** Stretches that follow one on the other are one: a held breath may be divided by its locks. */
export function merged(held: readonly Held[]): readonly Held[] {
  const made: Held[] = []
  for (const { startMs, endMs } of held) {
    const last = made.at(-1)
    if (last && startMs <= last.endMs) made[made.length - 1] = { ...last, endMs: Math.max(last.endMs, endMs) }
    else made.push({ startMs, endMs })
  }
  return made
}

/** A saying in a recorded voice: when it is heard, and what it runs into, where it does. */
export interface Voiced extends Saying {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  /** How long it may be at most, and what comes then: something else that is said, a held breath, the end of the class. */
  readonly mostMs: Milliseconds
  readonly until: 'next' | 'held' | 'end'
}

/** Between two sentences that are said in one go. */
export const breathBetweenMs = 250

/**
 * Sayings in a voice, each begun at its instant; one that would begin in another begins right after it, and a sentence of
 * a script that falls into a held breath when that is let go. What no voice is recorded for is left to the teacher.
 * `lengthOf` gives how long words are in the voice, `endMs` when the class ends.
 */
export function voiced(
  sayings: readonly Saying[],
  lengthOf: (text: string) => Milliseconds | undefined,
  { held, endMs }: { readonly held: readonly Held[]; readonly endMs: Milliseconds },
): readonly Voiced[] {
  let freeMs = 0
  return sayings.flatMap((saying, at): Voiced[] => {
    const lengthMs = lengthOf(saying.text)
    if (lengthMs === undefined) return []
    const startMs = letGo(Math.max(saying.atMs, freeMs), saying.waits ? held : [])
    const next = nextAfter(sayings, at)?.atMs ?? Infinity
    const hold = held.find((one) => one.startMs > saying.atMs)?.startMs ?? Infinity
    const untilMs = Math.min(next, hold, endMs)
    freeMs = startMs + lengthMs + breathBetweenMs
    const until = untilMs === hold ? 'held' : untilMs === next ? 'next' : 'end'
    return [{ ...saying, startMs, endMs: startMs + lengthMs, mostMs: Math.max(0, untilMs - startMs), until }]
  })
}

/** Whether it would run into what comes after it. */
export const isTooLong = ({ startMs, endMs, mostMs }: Voiced): boolean => endMs - startMs > mostMs

/** The first thing that is said later: what stands at one instant is said in one go. */
const nextAfter = (sayings: readonly Saying[], at: number): Saying | undefined =>
  sayings.slice(at + 1).find(({ atMs }) => atMs > (sayings[at]?.atMs ?? 0))

const letGo = (atMs: Milliseconds, held: readonly Held[]): Milliseconds =>
  held.find((one) => atMs >= one.startMs && atMs < one.endMs)?.endMs ?? atMs
