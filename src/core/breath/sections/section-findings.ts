import type { Pace, Pattern } from '#model/breath'
import type { Level } from '#model/common'
import type { Lock } from '#model/section'
import type { Grade } from '#core/finding'
import type { Milliseconds } from '#core/units'
import { boundaryMs } from '../boundary.ts'
import type { ResolvedRetention, ResolvedRounds, ResolvedSection, ResolvedStrokes } from './resolve-section.ts'
import { sectionFacts } from './section-facts.ts'

/** Stage of the breath ladder, 1 to 6. */
export type Stage = 1 | 2 | 3 | 4 | 5 | 6

/** What a section is looked at for by itself [breath book 5], with the numbers of each rule. */
export interface SectionFindingFacts {
  readonly HOLD_PAST_STAGE: { readonly held: 'full' | 'empty' | 'pause'; readonly counts: number; readonly s: number }
  readonly STROKES_PAST_STAGE: { readonly strokes: number; readonly rounds: number }
  readonly LOCKS_TOO_SHORT: { readonly counts: number; readonly needed: number }
  readonly STROKES_TOO_MANY: { readonly strokes: number; readonly most: number }
  readonly LOCK_WITHOUT_HOLD: { readonly lock: Lock | 'strokes' }
  readonly EXHALE_PAST_LEVEL: { readonly ratio: number; readonly most: number }
  readonly SLOW_FOR_LEVEL: { readonly breathsPerMin: number; readonly least: number }
  readonly STATION_UNEVEN: { readonly place: string }
}
export type SectionFinding = {
  readonly [Code in keyof SectionFindingFacts]: {
    readonly code: Code
    readonly grade: Grade
    readonly facts: SectionFindingFacts[Code]
  }
}[keyof SectionFindingFacts]

interface For {
  readonly stage: Stage
  readonly level: Level
}

/** All that a section by itself is looked at for, at a stage and a level [breath book 5]. */
export function sectionFindings(section: ResolvedSection, who: For): readonly SectionFinding[] {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
    case 'uncounted':
      return []
    case 'rounds':
      return [
        ...heldInRounds(section, who.stage),
        ...locksOfRounds(section, who.stage),
        ...ofLevel(section, who.level),
        ...unevenStations(section),
      ]
    case 'retention':
      return inRetention(section, who.stage)
    case 'strokes':
      return strokesPastStage(section, who.stage)
  }
}

const stages: readonly Stage[] = [1, 2, 3, 4, 5, 6]
const pastStage: ReadonlySet<SectionFinding['code']> = new Set(['HOLD_PAST_STAGE', 'STROKES_PAST_STAGE'])

/** The first stage at which nothing of a section is past it; undefined where it is past every one. */
export const firstStageOf = (section: ResolvedSection): Stage | undefined =>
  stages.find((stage) =>
    sectionFindings(section, { stage, level: 'experienced' }).every(
      ({ code, grade }) => grade !== 'must' || !pastStage.has(code),
    ),
  )

/** Longest held breath of a stage in counts and seconds: past either it is too much. */
interface MostHeld {
  readonly counts: number
  readonly s: number
}
const mostHeld: Readonly<Record<'full' | 'empty', Readonly<Record<Stage, MostHeld>>>> = {
  full: {
    1: { counts: 0, s: 0 },
    2: { counts: 1, s: 1.5 },
    3: { counts: 1, s: 1.5 },
    4: { counts: 4, s: 5 },
    5: { counts: 8, s: 10 },
    6: { counts: 16, s: 16 },
  },
  empty: {
    1: { counts: 0, s: 0 },
    2: { counts: 1, s: 1.5 },
    3: { counts: 1, s: 1.5 },
    4: { counts: 1, s: Infinity },
    5: { counts: 4, s: 5 },
    6: { counts: 4, s: 5 },
  },
}
/** Up to here a held breath of the stages that have none yet is looked at, not refused. */
const stagesOfLook: ReadonlySet<Stage> = new Set([2, 3])
/** Pauses of a breath in steps, in counts, from stage 3. */
const mostPause = 2

type PastStage = Extract<SectionFinding, { readonly code: 'HOLD_PAST_STAGE' }>

function heldPast(held: 'full' | 'empty', halves: number, ms: Milliseconds, stage: Stage): readonly PastStage[] {
  if (halves === 0) return []
  const most = mostHeld[held][stage]
  const [counts, s] = [halves / 2, ms / 1000]
  const facts = { held, counts, s }
  if (counts > most.counts || s > most.s) return [{ code: 'HOLD_PAST_STAGE', grade: 'must', facts }]
  return stagesOfLook.has(stage) ? [{ code: 'HOLD_PAST_STAGE', grade: 'look', facts }] : []
}

/** What is held in a round, full and empty, against the stage; none where it may be held so long. */
export const heldPastStage = (
  { pattern, pace }: { readonly pattern: Pattern; readonly pace: Pace },
  stage: Stage,
): readonly PastStage[] =>
  (['full', 'empty'] as const).flatMap((held) => heldPast(held, pattern[held], boundaryMs(pattern[held], pace), stage))

/** Pauses count as held: up to two counts a look at stage 3, none from stage 4. */
function pausePast({ steps, pace }: ResolvedRounds, stage: Stage): readonly SectionFinding[] {
  if (!steps) return []
  const [counts, s] = [steps.pauseHalf / 2, boundaryMs(steps.pauseHalf, pace) / 1000]
  const facts = { held: 'pause' as const, counts, s }
  const isShort =
    stage >= 3 ? counts <= mostPause : counts <= mostHeld.full[stage].counts && s <= mostHeld.full[stage].s
  if (!isShort) return [{ code: 'HOLD_PAST_STAGE', grade: 'must', facts }]
  return stagesOfLook.has(stage) ? [{ code: 'HOLD_PAST_STAGE', grade: 'look', facts }] : []
}

function heldInRounds(section: ResolvedRounds, stage: Stage): readonly SectionFinding[] {
  const longest = (held: 'full' | 'empty') =>
    Math.max(section.pattern[held], ...section.sets.map(({ pattern }) => pattern[held]))
  const pattern = { ...section.pattern, full: longest('full'), empty: longest('empty') }
  return [...heldPastStage({ pattern, pace: section.pace }, stage), ...pausePast(section, stage)]
}

/** Counts that must be left between taking the locks and letting them go. */
const leastStill = 2

function tooShort(
  halves: number,
  { on, off }: { readonly on: readonly Lock[]; readonly off: readonly Lock[] },
): readonly SectionFinding[] {
  const needed = on.length + off.length + leastStill
  return halves / 2 < needed ? [{ code: 'LOCKS_TOO_SHORT', grade: 'must', facts: { counts: halves / 2, needed } }] : []
}

const withoutHold = (lock: Lock | 'strokes', grade: Grade = 'must'): SectionFinding => ({
  code: 'LOCK_WITHOUT_HOLD',
  grade,
  facts: { lock },
})

/** The root lock alone may stay through a breath that is not held, from stage 3. */
function locksOfRounds({ locks, sets, pattern }: ResolvedRounds, stage: Stage): readonly SectionFinding[] {
  if (!locks) return []
  const patterns = sets.length === 0 ? [pattern] : sets.map((set) => set.pattern)
  const shortest = (held: 'full' | 'empty') => Math.min(...patterns.map((one) => one[held]))
  const held = (['full', 'empty'] as const).filter((one) => shortest(one) > 0)
  if (held.length === 0) {
    const worn = locks.on.filter((lock) => lock !== 'root')
    if (worn.length > 0) return worn.map((lock) => withoutHold(lock))
    return [withoutHold('root', stage >= 3 ? 'look' : 'must')]
  }
  const belly = locks.on.includes('belly') && !held.includes('empty') ? [withoutHold('belly')] : []
  const worn = (one: 'full' | 'empty') => ({
    on: locks.on.filter((lock) => lock !== 'belly' || one === 'empty'),
    off: locks.off.filter((lock) => lock !== 'belly' || one === 'empty'),
  })
  return [...belly, ...held.flatMap((one) => tooShort(shortest(one), worn(one)))]
}

function inRetention({ section, pace }: ResolvedRetention, stage: Stage): readonly SectionFinding[] {
  const { held, half, locks, strokes } = section
  const isFull = held === 'full'
  const still = half / 2 - (locks ? locks.on.length + locks.off.length : 0)
  const most = strokes ? Math.max(0, Math.floor(boundaryMs(still * 2, pace) / boundaryMs(2, strokes.pace))) : 0
  return [
    ...heldPast(held, half, boundaryMs(half, pace), stage),
    ...(locks ? tooShort(half, locks) : []),
    ...(isFull && locks?.on.includes('belly') ? [withoutHold('belly')] : []),
    ...(isFull && strokes ? [withoutHold('strokes')] : []),
    ...(strokes && !isFull && strokes.n > most
      ? [{ code: 'STROKES_TOO_MANY', grade: 'must', facts: { strokes: strokes.n, most } } as const]
      : []),
  ]
}

/** Short exhales from stage 4, both halves active from stage 5, each with its most [breath book 5]. */
function strokesPastStage({ section }: ResolvedStrokes, stage: Stage): readonly SectionFinding[] {
  const { both = false, strokes, rounds, pace } = section
  const isQuick = pace.num / pace.den < 1000
  const isPast = both
    ? stage < 5 || strokes > 10 || rounds > 2
    : stage < 4 || (stage === 4 ? isQuick || strokes > 20 || rounds > 2 : rounds > 3)
  return isPast ? [{ code: 'STROKES_PAST_STAGE', grade: 'must', facts: { strokes, rounds } }] : []
}

const mostOutOverIn: Readonly<Record<Level, number>> = { new: 1.5, regular: 2, experienced: 2 }
const leastPerMin: Readonly<Record<Level, number>> = { new: 5, regular: 3.5, experienced: 2 }

/** The counted exhale, and the steepest set, against the level; at a slope's steepest. */
function ofLevel(section: ResolvedRounds, level: Level): readonly SectionFinding[] {
  const ratio = Math.max(...[section, ...section.sets].map(({ pattern }) => pattern.out / pattern.in))
  const { steepest } = sectionFacts(section)
  const most = mostOutOverIn[level]
  const least = leastPerMin[level]
  return [
    ...(ratio > most ? [{ code: 'EXHALE_PAST_LEVEL', grade: 'look', facts: { ratio, most } } as const] : []),
    ...(steepest !== undefined && steepest < least
      ? [{ code: 'SLOW_FOR_LEVEL', grade: 'look', facts: { breathsPerMin: steepest, least } } as const]
      : []),
  ]
}

/** Stations of other rounds than the first, without a reason at either. */
function unevenStations({ section }: ResolvedRounds): readonly SectionFinding[] {
  const [first, ...others] = section.stations ?? []
  return others
    .filter(({ rounds, why }) => rounds !== first?.rounds && why === undefined && first?.why === undefined)
    .map(({ place }) => ({ code: 'STATION_UNEVEN', grade: 'look', facts: { place } }))
}
