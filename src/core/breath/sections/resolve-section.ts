import type { Pace, Pattern } from '#model/breath'
import type {
  HalfBreath,
  LessonSection,
  Locks,
  NaturalSection,
  RetentionSection,
  RoundsSection,
  Section,
  StrokesSection,
} from '#model/section'
import type { Technique } from '#model/technique'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import { msFromS } from '#core/units'
import type { Milliseconds, Seconds } from '#core/units'
import { boundaryMs } from '../boundary.ts'
import { fill, inSets, mostOffered, setSizes } from '../fill-time.ts'
import { halfBreathsOf } from './nostrils.ts'
import { roundHalfCounts } from '../pattern.ts'
import { slopedPatterns } from './slope.ts'

/** One set of rounds: how many, in which pattern, and at which station. */
export interface RoundsSet {
  readonly rounds: number
  readonly pattern: Pattern
  /** Which of the stations, from 0. */
  readonly station?: number
  /** The teacher shows it. */
  readonly shown?: true
}

/** Pauses inside an inhale or an exhale: in so many equal parts, so long apart in half-counts. */
export type Steps = NonNullable<RoundsSection['steps']>

export interface ResolvedNatural {
  readonly kind: 'natural'
  readonly section: NaturalSection | RoundsSection
  /** Absent: the breath is watched, as it is. */
  readonly technique: Technique | undefined
  readonly lengthMs: Milliseconds
  /** Where it was given in breaths. */
  readonly breaths?: number
}

export interface ResolvedLesson {
  readonly kind: 'lesson'
  readonly section: LessonSection
  readonly technique: Technique
  readonly lengthMs: Milliseconds
  readonly breaths?: number
}

export interface ResolvedUncounted {
  readonly kind: 'uncounted'
  readonly section: RoundsSection
  readonly technique: Technique
  readonly breaths: number
  readonly breathMs: Milliseconds
}

export interface ResolvedRounds {
  readonly kind: 'rounds'
  readonly section: RoundsSection
  readonly technique: Technique
  readonly pattern: Pattern
  readonly pace: Pace
  /** The half-breaths of one round; two where nostrils play no part. */
  readonly list: readonly HalfBreath[]
  readonly steps: Steps | undefined
  readonly locks: Locks | undefined
  readonly sets: readonly RoundsSet[]
  readonly countedRounds: number
  readonly restMs: Milliseconds
  /** Before each set; and after one whose last rounds are silent. */
  readonly leadInMs: Milliseconds
  readonly wayOutMs: Milliseconds
  /** Natural breath at the end, where a time was filled. */
  readonly leftMs: Milliseconds
}

export interface ResolvedRetention {
  readonly kind: 'retention'
  readonly section: RetentionSection
  readonly pace: Pace
  readonly leadInMs: Milliseconds
  readonly naturalAfterMs: Milliseconds
}

export interface ResolvedStrokes {
  readonly kind: 'strokes'
  readonly section: StrokesSection
  readonly technique: Technique
  readonly naturalAfterMs: Milliseconds
}

/** A section with all that it leaves out filled in. */
export type ResolvedSection =
  ResolvedNatural | ResolvedLesson | ResolvedUncounted | ResolvedRounds | ResolvedRetention | ResolvedStrokes

export type SectionCode = 'UNKNOWN_TECHNIQUE'

/** Usual seconds [breath book 1]. */
const usual = { breathS: 6, leadInS: 6, wayOutS: 8, afterRetentionS: 30, afterStrokesS: 60 } as const
const second: Pace = { num: 1000, den: 1 }

type Techniques = ReadonlyMap<string, Technique>

/**
 * A section with what its technique says where it says nothing itself. Refuses `UNKNOWN_TECHNIQUE` at `techniqueId`.
 */
export function resolveSection(section: Section, techniques: Techniques): Result<ResolvedSection, SectionCode> {
  if (section.kind === 'retention') return ok(resolveRetention(section))
  const { techniqueId } = section
  const technique = techniqueId === undefined ? undefined : techniques.get(techniqueId)
  if (techniqueId !== undefined && !technique) return refused('UNKNOWN_TECHNIQUE', 'techniqueId', { id: techniqueId })
  if (section.kind === 'natural') return ok({ kind: 'natural', section, technique, ...lasting(section) })
  if (!technique) return refused('UNKNOWN_TECHNIQUE', 'techniqueId')
  if (section.kind === 'lesson') return ok({ kind: 'lesson', section, technique, ...lasting(section) })
  if (section.kind === 'rounds') return resolveRounds(section, technique)
  return ok({
    kind: 'strokes',
    section,
    technique,
    naturalAfterMs: msFromS(section.naturalAfterS ?? usual.afterStrokesS),
  })
}

function lasting(section: NaturalSection | LessonSection): { lengthMs: Milliseconds; breaths?: number } {
  const { s, breaths = 0, breathS = usual.breathS } = section
  if (s !== undefined) return { lengthMs: msFromS(s) }
  const like = section.kind === 'natural' ? section.like : undefined
  if (!like) return { lengthMs: msFromS(breaths * breathS), breaths }
  const { pattern, pace, afterHalf = 0 } = like
  const toHalf = afterHalf + breaths * roundHalfCounts(pattern)
  return { lengthMs: boundaryMs(toHalf, pace) - boundaryMs(afterHalf, pace), breaths }
}

const resolveRetention = (section: RetentionSection): ResolvedRetention => {
  const pace = section.pace ?? second
  return {
    kind: 'retention',
    section,
    pace,
    leadInMs: leadInOf(section.leadInS, boundaryMs(section.lead.out, pace)),
    naturalAfterMs: msFromS(section.naturalAfterS ?? usual.afterRetentionS),
  }
}

/** "Breathe out" before counting: six seconds, at least one exhale of the pattern. */
const leadInOf = (leadInS: number | undefined, exhaleMs: Milliseconds): Milliseconds =>
  leadInS === undefined ? Math.max(msFromS(usual.leadInS), exhaleMs) : msFromS(leadInS)

/** What begins uncounted is counted where counts or rounds were planned for it. */
function patternOf({ pattern, amount, stations }: RoundsSection, technique: Technique): Pattern | undefined {
  const isPlanned = stations !== undefined || (amount !== undefined && !('fillS' in amount))
  return pattern ?? (technique.counted || isPlanned ? technique.pattern : undefined)
}

function resolveRounds(section: RoundsSection, technique: Technique): Result<ResolvedSection, SectionCode> {
  const amount = section.amount ?? technique.amount
  if (!section.stations && 'breaths' in amount)
    return ok({ kind: 'uncounted', section, technique, breaths: amount.breaths, breathMs: msFromS(amount.aboutS) })
  const natural = (lengthMs: Milliseconds): Result<ResolvedSection, SectionCode> =>
    ok({ kind: 'natural', section, technique, lengthMs })
  if (!section.stations && 'naturalS' in amount) return natural(msFromS(amount.naturalS))
  const pattern = patternOf(section, technique)
  if (!pattern) {
    // An uncounted technique has no rounds: only a time to fill can be kept.
    if ('fillS' in amount) return natural(msFromS(amount.fillS))
    return natural(0)
  }
  const pace = section.pace ?? technique.pace
  // Stations have the hands elsewhere.
  const nostrils = section.nostrils ?? (section.stations ? undefined : technique.nostrils)
  const shared = {
    pattern,
    pace,
    list: nostrils ? halfBreathsOf(nostrils, section.first) : plain,
    steps: section.steps,
    locks: section.locks,
    countedRounds: section.countedRounds ?? technique.countedRounds,
    restMs: msFromS(section.restS ?? technique.restBetweenSetsS),
    leadInMs: leadInOf(section.leadInS, boundaryMs(pattern.out, pace)),
    wayOutMs: msFromS(section.wayOutS ?? usual.wayOutS),
  }
  return ok({ kind: 'rounds', section, technique, ...shared, ...setsOf(section, amount, shared) })
}

const plain: readonly HalfBreath[] = [
  { does: 'in', through: 'both' },
  { does: 'out', through: 'both' },
]

type Shared = Pick<
  ResolvedRounds,
  'pattern' | 'pace' | 'list' | 'steps' | 'countedRounds' | 'restMs' | 'leadInMs' | 'wayOutMs'
>

function setsOf(
  section: RoundsSection,
  amount: NonNullable<RoundsSection['amount']> | Technique['amount'],
  shared: Shared,
): Pick<ResolvedRounds, 'sets' | 'leftMs'> {
  if (section.stations) return { sets: stationSets(section, shared.pattern), leftMs: 0 }
  const counts = roundCounts(amount, shared)
  const patterns = section.slope ? slopedPatterns(shared.pattern, section.slope, counts.sets.length) : []
  return {
    leftMs: counts.leftMs,
    sets: counts.sets.map((rounds, at) => ({ rounds, pattern: patterns[at] ?? shared.pattern })),
  }
}

/** Rounds of each set, and what a time to fill leaves over. */
function roundCounts(
  amount: NonNullable<RoundsSection['amount']> | Technique['amount'],
  { pattern, pace, list, steps, countedRounds, restMs, leadInMs, wayOutMs }: Shared,
): { readonly sets: readonly number[]; readonly leftMs: Milliseconds } {
  if ('sets' in amount) return { sets: new Array<number>(amount.sets).fill(amount.roundsPerSet), leftMs: 0 }
  if ('rounds' in amount) return { sets: inSets(amount.rounds, amount.roundsPerSet), leftMs: 0 }
  if (!('fillS' in amount)) return { sets: [], leftMs: 0 }
  // A lead-in and a way out are in the time: one is taken off it, and each rest brings another.
  const aroundMs = leadInMs + (amount.roundsPerSet > countedRounds ? wayOutMs : 0)
  const timeMs = msFromS(amount.fillS)
  const halfCounts = roundLength({ list, steps, pattern })
  const filled = fill({
    timeMs: timeMs - aroundMs,
    halfCounts,
    pace,
    roundsPerSet: amount.roundsPerSet,
    restMs: restMs + aroundMs,
  })
  // A short last set may be counted aloud to its end, and then needs no way out.
  const outs = filled.sets.filter((rounds) => rounds > countedRounds).length
  const takenMs =
    boundaryMs(filled.rounds * halfCounts, pace) +
    Math.max(0, filled.sets.length - 1) * restMs +
    filled.sets.length * leadInMs +
    outs * wayOutMs
  return { sets: filled.sets, leftMs: timeMs - takenMs }
}

export interface FillChoice {
  readonly roundsPerSet: number
  /** Rounds of each set, in order. */
  readonly sets: readonly number[]
  /** Natural breath that is left over. */
  readonly leftMs: Milliseconds
}

/**
 * Up to five sizes of a set for a time, as this section is led, its lead-ins and ways out with it: by what they leave
 * over, then more rounds, then fewer a set [settled C3].
 */
export function fillChoices(section: ResolvedRounds, fillS: Seconds): readonly FillChoice[] {
  const { least, most } = setSizes
  return Array.from({ length: most - least + 1 }, (_, at) => least + at)
    .map((roundsPerSet): FillChoice => ({ roundsPerSet, ...roundCounts({ fillS, roundsPerSet }, section) }))
    .filter(({ sets, roundsPerSet }) => (sets[0] ?? 0) >= roundsPerSet)
    .map((choice) => ({ ...choice, rounds: choice.sets.reduce((sum, rounds) => sum + rounds, 0) }))
    .sort((a, b) => a.leftMs - b.leftMs || b.rounds - a.rounds || a.roundsPerSet - b.roundsPerSet)
    .slice(0, mostOffered)
    .map(({ roundsPerSet, sets, leftMs }) => ({ roundsPerSet, sets, leftMs }))
}

/** Length of a round in half-counts, with the pauses of its steps. */
export function roundLength({ list, steps, pattern }: Pick<ResolvedRounds, 'list' | 'steps' | 'pattern'>): number {
  const breaths = list.length / 2
  const pauses = (steps?.pauseHalf ?? 0) * ((steps?.in ?? 1) - 1 + ((steps?.out ?? 1) - 1))
  return breaths * (roundHalfCounts(pattern) + pauses)
}

/** Each station shown where it is, then all of them in order. */
function stationSets({ stations = [], shown }: RoundsSection, pattern: Pattern): readonly RoundsSet[] {
  const first =
    shown === undefined
      ? []
      : stations.map((_, station): RoundsSet => ({ rounds: shown, pattern, station, shown: true }))
  return [...first, ...stations.map(({ rounds }, station): RoundsSet => ({ rounds, pattern, station }))]
}
