import type { Milliseconds } from '#core/units'
import { boundaryMs } from '../boundary.ts'
import { isOnePass, layOutSection } from './lay-out-section.ts'
import type { Stretch } from './lay-out-section.ts'
import { roundLength } from './resolve-section.ts'
import type { ResolvedRounds, ResolvedSection } from './resolve-section.ts'

/** What a section, or a block of them, comes to [breath book 2]. */
export interface SectionFacts {
  readonly totalMs: Milliseconds
  readonly rounds: number
  readonly breaths: number
  /** Held in all, the pauses of steps with it, and the longest without a break. */
  readonly heldMs: Milliseconds
  readonly longestHoldMs: Milliseconds
  /** Natural breath in all, rests between sets with it. */
  readonly naturalMs: Milliseconds
  /** Fewest breaths a minute of its rounds; absent where nothing is counted. */
  readonly steepest?: number
}

const held: ReadonlySet<Stretch['part']> = new Set(['full', 'empty', 'pause'])
const natural: ReadonlySet<Stretch['part']> = new Set(['natural', 'rest'])

/** How long a section takes, by arithmetic alone: what is too long is never laid out to be told so. */
export function sectionMs(section: ResolvedSection): Milliseconds {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
      return section.lengthMs
    case 'uncounted':
      return section.breaths * section.breathMs
    case 'rounds':
      return roundsMs(section)
    case 'retention': {
      const { times, lead, half } = section.section
      const counted = boundaryMs(times * (lead.in + lead.out + half), section.pace)
      return counted + times * (section.leadInMs + section.naturalAfterMs)
    }
    case 'strokes': {
      const { rounds, strokes, pace } = section.section
      return boundaryMs(rounds * strokes * 2, pace) + rounds * section.naturalAfterMs
    }
  }
}

function roundsMs(section: ResolvedRounds): Milliseconds {
  const { sets, pace, restMs, leadInMs, wayOutMs, leftMs, countedRounds } = section
  const halves = sets.reduce((sum, { rounds, pattern }) => sum + rounds * roundLength({ ...section, pattern }), 0)
  const begun = sets.filter((set, at) => !isOnePass(sets[at - 1], set)).length
  const out = sets.filter((set, at) => set.rounds > countedRounds && !isOnePass(set, sets[at + 1])).length
  return boundaryMs(halves, pace) + Math.max(0, begun - 1) * restMs + begun * leadInMs + out * wayOutMs + leftMs
}

/** Facts of a section; of its stretches, where it has been laid out already. */
export function sectionFacts(section: ResolvedSection, stretches = layOutSection(section)): SectionFacts {
  let [totalMs, heldMs, naturalMs, runMs, longestHoldMs] = [0, 0, 0, 0, 0]
  for (const { part, lengthMs } of stretches) {
    totalMs += lengthMs
    if (natural.has(part)) naturalMs += lengthMs
    const isHeld = held.has(part)
    if (isHeld) heldMs += lengthMs
    // The locks that are taken and let go lie inside a held breath.
    runMs = isHeld ? runMs + lengthMs : 0
    longestHoldMs = Math.max(longestHoldMs, runMs)
  }
  return { totalMs, ...countsOf(section), heldMs, longestHoldMs, naturalMs }
}

/** Facts of a block: the sums and extremes of its sections'. */
export function blockFacts(sections: readonly ResolvedSection[]): SectionFacts {
  return sections.map((section) => sectionFacts(section)).reduce(together, nothing)
}

const nothing: SectionFacts = { totalMs: 0, rounds: 0, breaths: 0, heldMs: 0, longestHoldMs: 0, naturalMs: 0 }

function together(a: SectionFacts, b: SectionFacts): SectionFacts {
  const steepest = [a.steepest, b.steepest].filter((one) => one !== undefined)
  return {
    totalMs: a.totalMs + b.totalMs,
    rounds: a.rounds + b.rounds,
    breaths: a.breaths + b.breaths,
    heldMs: a.heldMs + b.heldMs,
    longestHoldMs: Math.max(a.longestHoldMs, b.longestHoldMs),
    naturalMs: a.naturalMs + b.naturalMs,
    ...(steepest.length > 0 ? { steepest: Math.min(...steepest) } : {}),
  }
}

function countsOf(section: ResolvedSection): Pick<SectionFacts, 'rounds' | 'breaths' | 'steepest'> {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
    case 'uncounted':
      return { rounds: 0, breaths: section.breaths ?? 0 }
    case 'retention':
      return { rounds: section.section.times, breaths: section.section.times }
    case 'strokes':
      return { rounds: section.section.rounds, breaths: 0 }
    case 'rounds': {
      const breathsOfRound = section.list.length / 2
      const rounds = section.sets.reduce((all, set) => all + set.rounds, 0)
      const longest = Math.max(0, ...section.sets.map(({ pattern }) => roundLength({ ...section, pattern })))
      const breathMs = ((longest / breathsOfRound) * section.pace.num) / section.pace.den / 2
      return {
        rounds,
        breaths: rounds * breathsOfRound,
        ...(rounds > 0 ? { steepest: 60_000 / breathMs } : {}),
      }
    }
  }
}
