import type { Pace } from '#model/breath'
import type { HalfBreath, Lock, Locks } from '#model/section'
import type { Milliseconds } from '#core/units'
import { boundaryMs } from '../boundary.ts'
import type { BreathPart } from '../round-parts.ts'
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
export function layOutSection(section: ResolvedSection): readonly Stretch[] {
  return stretchesOf(section).filter(({ lengthMs }) => lengthMs > 0)
}

function stretchesOf(section: ResolvedSection): readonly Stretch[] {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
      return [plain(section.kind, section.lengthMs)]
    case 'uncounted':
      return [plain('uncounted', section.breaths * section.breathMs)]
    case 'rounds':
      return layOutRounds(section)
    case 'retention':
      return layOutRetention(section)
    case 'strokes':
      return layOutStrokes(section)
  }
}

const plain = (part: Stretch['part'], lengthMs: Milliseconds, set = 0): Stretch => ({
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
  readonly made: Omit<Stretch, 'lengthMs' | 'counts' | 'set' | 'round'>
}

const lengthOf = ({ from, to, over }: Span, pace: Pace): Milliseconds => {
  const finer = { num: pace.num, den: pace.den * over }
  return boundaryMs(to, finer) - boundaryMs(from, finer)
}

function layOutRounds(section: ResolvedRounds): readonly Stretch[] {
  const { pace, sets, restMs, leadInMs, wayOutMs, countedRounds, leftMs } = section
  let from = 0
  const made = sets.flatMap((set, index): readonly Stretch[] => {
    const number = index + 1
    const rounds = Array.from({ length: set.rounds }, (_, at) => {
      const spans = roundSpans(section, set, from)
      from = (spans.at(-1)?.to ?? 0) / (spans.at(-1)?.over ?? 1)
      return spans.map((span): Stretch => ({
        ...span.made,
        lengthMs: lengthOf(span, pace),
        counts: (span.to - span.from) / span.over / 2,
        set: number,
        round: at + 1,
        ...(set.station === undefined ? {} : { station: set.station }),
        ...(set.shown ? { shown: true } : {}),
      }))
    })
    const goesOn = isOnePass(sets[index - 1], set)
    const endsSilent = set.rounds > countedRounds && !isOnePass(set, sets[index + 1])
    return [
      ...(index === 0 || goesOn ? [] : [plain('rest', restMs, number)]),
      ...(goesOn ? [] : [plain('leadIn', leadInMs, number)]),
      ...rounds.flat(),
      ...(endsSilent ? [plain('wayOut', wayOutMs, number)] : []),
    ]
  })
  return [...made, plain('natural', leftMs)]
}

/** From one station to the next the hands move and counting goes on: a rest and a lead-in stand only before a pass. */
const isOnePass = (before: RoundsSet | undefined, after: RoundsSet | undefined): boolean =>
  before?.station !== undefined && after?.station !== undefined && before.shown === after.shown

/** The stretches of one round that begins at a half-count. */
function roundSpans({ list, steps, locks }: ResolvedRounds, { pattern }: RoundsSet, start: number): readonly Span[] {
  let from = start
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
function layOutRetention({ section, pace, leadInMs, naturalAfterMs }: ResolvedRetention): readonly Stretch[] {
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
      plain('leadIn', leadInMs, number),
      ...spans.map((span): Stretch => {
        const isStill = span.made.part === held && !span.made.lock
        return {
          ...span.made,
          lengthMs: lengthOf(span, pace),
          counts: (span.to - span.from) / 2,
          set: number,
          round: 1,
          ...(isStill && strokes && held === 'empty' ? { strokes } : {}),
        }
      }),
      plain('natural', naturalAfterMs, number),
    ]
  }).flat()
}

function layOutStrokes({ section, naturalAfterMs }: ResolvedStrokes): readonly Stretch[] {
  const { pace, strokes, rounds } = section
  return Array.from({ length: rounds }, (_, at): readonly Stretch[] => {
    const halves = strokes * 2
    const lengthMs = boundaryMs((at + 1) * halves, pace) - boundaryMs(at * halves, pace)
    const set = at + 1
    return [
      { ...plain('strokes', lengthMs, set), round: 1, strokes: { n: strokes, pace } },
      plain('natural', naturalAfterMs, set),
    ]
  }).flat()
}
