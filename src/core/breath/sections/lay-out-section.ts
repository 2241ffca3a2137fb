import type { Pace } from '#model/breath'
import type { HalfBreath, Lock, Locks } from '#model/section'
import type { Milliseconds } from '#core/units'
import { boundaryMs } from '../boundary.ts'
import type { BreathPart } from '../round-parts.ts'
import { roundLength } from './resolve-section.ts'
import type {
  ResolvedRetention,
  ResolvedRounds,
  ResolvedSection,
  ResolvedStrokes,
  RoundsSet,
  Steps,
} from './resolve-section.ts'

/** One stretch of a section, from one change of what is done to the next. */
export interface Stretch {
  /** Which of the block's sections it belongs to, from 0. */
  readonly section: number
  readonly part: BreathPart | 'natural' | 'lesson' | 'uncounted' | 'leadIn' | 'wayOut' | 'rest' | 'pause' | 'strokes'
  readonly lengthMs: Milliseconds
  /** Which set and which round of it, from 1; 0 outside rounds. */
  readonly set: number
  readonly round: number
  /** Counts it lasts; 0 where nothing is counted. */
  readonly counts: number
  readonly station?: number
  readonly shown?: true
  /** The nostrils it goes through, where a list says so. */
  readonly through?: HalfBreath['through']
  /** Which equal part of an inhale or exhale in steps, from 1. */
  readonly step?: number
  /** A lock that is taken in it or let go. */
  readonly lock?: { readonly lock: Lock; readonly does: 'on' | 'off' }
  /** Strokes, or belly strokes, that lie in it, and how long one takes. */
  readonly strokes?: { readonly n: number; readonly pace: Pace }
}

/** A section as the stretches it is led in, without gap; none has no length. Counting starts anew in it [settled C5]. */
export function layOutSection(section: ResolvedSection, index = 0): readonly Stretch[] {
  return stretchesOf(section, index).filter(({ lengthMs }) => lengthMs > 0)
}

/** A block's sections one after the other, without gap. */
export const layOutBlock = (sections: readonly ResolvedSection[]): readonly Stretch[] =>
  sections.flatMap((section, index) => layOutSection(section, index))

function stretchesOf(section: ResolvedSection, index: number): readonly Stretch[] {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
      return [plain(section.kind, section.lengthMs, 0, index)]
    case 'uncounted':
      return [plain('uncounted', section.breaths * section.breathMs, 0, index)]
    case 'rounds':
      return layOutRounds(section, index)
    case 'retention':
      return layOutRetention(section, index)
    case 'strokes':
      return layOutStrokes(section, index)
  }
}

const plain = (part: Stretch['part'], lengthMs: Milliseconds, set: number, section: number): Stretch => ({
  section,
  part,
  lengthMs,
  set,
  round: 0,
  counts: 0,
})

/** A stretch of a round in half-counts, as a share where an inhale is divided: `from` and `to` over `over`. */
interface Span {
  readonly from: number
  readonly to: number
  readonly over: number
  readonly made: Omit<Stretch, 'lengthMs' | 'counts' | 'set' | 'round' | 'section'>
}

/** How long a span takes in a round that begins at a half-count; from the start of counting, so nothing adds up. */
function lengthOf({ from, to, over }: Span, pace: Pace, start = 0): Milliseconds {
  const [zero, num, den] = [start * over, pace.num, 2 * pace.den * over]
  return Math.floor(((zero + to) * num) / den) - Math.floor(((zero + from) * num) / den)
}

const countsOf = ({ from, to, over }: Span): number => (to - from) / over / 2

function layOutRounds(section: ResolvedRounds, index: number): readonly Stretch[] {
  const { pace, sets, restMs, leadInMs, wayOutMs, countedRounds, leftMs } = section
  const made: Stretch[] = []
  let start = 0
  for (const [before, set] of sets.entries()) {
    const number = before + 1
    const goesOn = isOnePass(sets[before - 1], set)
    if (before > 0 && !goesOn) made.push(plain('rest', restMs, number, index))
    if (!goesOn) made.push(plain('leadIn', leadInMs, number, index))
    // The rounds of a set are alike but for where they begin.
    const round = roundSpans(section, set).map((span) => ({ span, like: likeOf(span, set, number, index) }))
    const halfCounts = roundLength({ ...section, pattern: set.pattern })
    for (let at = 1; at <= set.rounds; at += 1) {
      for (const { span, like } of round) made.push({ ...like, round: at, lengthMs: lengthOf(span, pace, start) })
      start += halfCounts
    }
    const endsSilent = set.rounds > countedRounds && !isOnePass(set, sets[number])
    if (endsSilent) made.push(plain('wayOut', wayOutMs, number, index))
  }
  return [...made, plain('natural', leftMs, 0, index)]
}

/** What a stretch of a round is in each round of its set. */
const likeOf = (span: Span, { station, shown }: RoundsSet, set: number, section: number): Stretch => ({
  ...plain(span.made.part, 0, set, section),
  ...span.made,
  counts: countsOf(span),
  ...(station === undefined ? {} : { station }),
  ...(shown ? { shown } : {}),
})

/** From one station to the next the hands move and counting goes on: a rest and a lead-in stand only before a pass. */
export const isOnePass = (before: RoundsSet | undefined, after: RoundsSet | undefined): boolean =>
  before?.station !== undefined && after?.station !== undefined && before.shown === after.shown

/** The stretches of one round, from its own start. */
function roundSpans({ list, steps, locks }: ResolvedRounds, { pattern }: RoundsSet): readonly Span[] {
  let from = 0
  return list.flatMap(({ does, through }): readonly Span[] => {
    const nostril = through === 'both' && list.length === 2 ? {} : { through }
    const moved = inSteps(does, pattern[does], from, steps, nostril)
    const movedTo = (moved.at(-1)?.to ?? 0) / (moved.at(-1)?.over ?? 1)
    const held = does === 'in' ? 'full' : 'empty'
    from = movedTo + pattern[held]
    return [...moved, ...heldSpans(held, pattern[held], movedTo, locks)]
  })
}

/** An inhale or exhale, whole or in equal parts with pauses between. */
function inSteps(
  part: 'in' | 'out',
  halves: number,
  start: number,
  steps: Steps | undefined,
  more: Pick<Stretch, 'through'>,
): readonly Span[] {
  const parts = steps?.[part] ?? 1
  const pause = steps?.pauseHalf ?? 0
  if (parts === 1) return [{ from: start, to: start + halves, over: 1, made: { part, ...more } }]
  return Array.from({ length: parts }, (_, at): readonly Span[] => {
    const from = start * parts + at * (halves + pause * parts)
    const to = from + halves
    return [
      { from, to, over: parts, made: { part, step: at + 1, ...more } },
      ...(at === parts - 1
        ? []
        : [{ from: to, to: to + pause * parts, over: parts, made: { part: 'pause' as const } }]),
    ]
  }).flat()
}

/** Half-counts to take a lock, and to let one go. */
const lockHalf = 2

/**
 * A held breath, its locks taken in its first counts and let go in its last, one a count [breath book 1]. The belly lock
 * belongs to the empty breath alone. One too short for its locks is held without.
 */
function heldSpans(held: 'full' | 'empty', halves: number, start: number, locks: Locks | undefined): readonly Span[] {
  if (halves === 0) return []
  const mine = (order: readonly Lock[]) => order.filter((lock) => lock !== 'belly' || held === 'empty')
  const [on, off] = [mine(locks?.on ?? []), mine(locks?.off ?? [])]
  const span = (from: number, to: number, lock?: Stretch['lock']): Span => ({
    from: start + from,
    to: start + to,
    over: 1,
    made: { part: held, ...(lock ? { lock } : {}) },
  })
  const still = halves - lockHalf * (on.length + off.length)
  if (still < 0) return [span(0, halves)]
  const taken = on.length * lockHalf
  return [
    ...on.map((lock, at) => span(at * lockHalf, (at + 1) * lockHalf, { lock, does: 'on' })),
    span(taken, taken + still),
    ...off.map((lock, at) =>
      span(taken + still + at * lockHalf, taken + still + (at + 1) * lockHalf, { lock, does: 'off' }),
    ),
  ].filter(({ from, to }) => to > from)
}

/** The breath that leads to it, and the held breath; natural breath after each. */
function layOutRetention(
  { section, pace, leadInMs, naturalAfterMs }: ResolvedRetention,
  index: number,
): readonly Stretch[] {
  const { held, half, lead, locks, strokes, times } = section
  const order = held === 'full' ? (['out', 'in'] as const) : (['in', 'out'] as const)
  const each = lead.in + lead.out + half
  return Array.from({ length: times }, (_, at): readonly Stretch[] => {
    const start = at * each
    const first = lead[order[0]]
    const spans: readonly Span[] = [
      { from: start, to: start + first, over: 1, made: { part: order[0] } },
      { from: start + first, to: start + lead.in + lead.out, over: 1, made: { part: order[1] } },
      ...heldSpans(held, half, start + lead.in + lead.out, locks),
    ]
    const number = at + 1
    return [
      plain('leadIn', leadInMs, number, index),
      ...spans.map((span): Stretch => {
        const isStill = span.made.part === held && !span.made.lock
        return {
          ...span.made,
          section: index,
          lengthMs: lengthOf(span, pace),
          counts: countsOf(span),
          set: number,
          round: 1,
          ...(isStill && strokes && held === 'empty' ? { strokes } : {}),
        }
      }),
      plain('natural', naturalAfterMs, number, index),
    ]
  }).flat()
}

function layOutStrokes({ section, naturalAfterMs }: ResolvedStrokes, index: number): readonly Stretch[] {
  const { pace, strokes, rounds } = section
  return Array.from({ length: rounds }, (_, at): readonly Stretch[] => {
    const halves = strokes * 2
    const lengthMs = boundaryMs((at + 1) * halves, pace) - boundaryMs(at * halves, pace)
    const set = at + 1
    return [
      { ...plain('strokes', lengthMs, set, index), round: 1, strokes: { n: strokes, pace } },
      plain('natural', naturalAfterMs, set, index),
    ]
  }).flat()
}
