import type { Section } from '#model/section'
import { foundInSections, withPart } from '../section-look.ts'
import type { Rule } from '../rule.ts'

const nothing = (): undefined => undefined

function withoutLocks(section: Section): Section | undefined {
  if (section.kind !== 'rounds' && section.kind !== 'retention') return undefined
  const { locks: _, ...kept } = section
  return section.kind === 'retention' && section.held === 'full' && section.strokes ? undefined : kept
}

/** Active exhales past the stage. */
export const strokesPastStage: Rule<'STROKES_PAST_STAGE'> = {
  code: 'STROKES_PAST_STAGE',
  grade: 'must',
  find: (look) => foundInSections(look, 'STROKES_PAST_STAGE', nothing),
}

/** Fewer than two still counts between the locks. */
export const locksTooShort: Rule<'LOCKS_TOO_SHORT'> = {
  code: 'LOCKS_TOO_SHORT',
  grade: 'must',
  find: (look) => foundInSections(look, 'LOCKS_TOO_SHORT', withoutLocks),
}

/** More belly strokes than the still counts have room for. */
export const strokesTooMany: Rule<'STROKES_TOO_MANY'> = {
  code: 'STROKES_TOO_MANY',
  grade: 'must',
  find: (look) =>
    foundInSections(look, 'STROKES_TOO_MANY', (section, { most }) =>
      section.kind === 'retention' && section.strokes && most > 0
        ? { ...section, strokes: { ...section.strokes, n: most } }
        : undefined,
    ),
}

/** A lock, or belly strokes, where no breath is held for them. */
export const lockWithoutHold: Rule<'LOCK_WITHOUT_HOLD'> = {
  code: 'LOCK_WITHOUT_HOLD',
  grade: 'must',
  find: (look) => foundInSections(look, 'LOCK_WITHOUT_HOLD', withoutLocks),
}

/** The exhale counted longer than the level has it. */
export const exhalePastLevel: Rule<'EXHALE_PAST_LEVEL'> = {
  code: 'EXHALE_PAST_LEVEL',
  grade: 'look',
  find: (look) =>
    foundInSections(look, 'EXHALE_PAST_LEVEL', (section, { most }, resolved) =>
      resolved.kind === 'rounds'
        ? withPart(section, resolved, { out: Math.floor(resolved.pattern.in * most) })
        : undefined,
    ),
}

/** Fewer breaths a minute than the level has. */
export const slowForLevel: Rule<'SLOW_FOR_LEVEL'> = {
  code: 'SLOW_FOR_LEVEL',
  grade: 'look',
  find: (look) => foundInSections(look, 'SLOW_FOR_LEVEL', nothing),
}

/** Places for the hands of different rounds, with no reason given. */
export const stationUneven: Rule<'STATION_UNEVEN'> = {
  code: 'STATION_UNEVEN',
  grade: 'look',
  find: (look) =>
    foundInSections(look, 'STATION_UNEVEN', (section) => {
      const rounds = section.kind === 'rounds' ? section.stations?.[0]?.rounds : undefined
      if (section.kind !== 'rounds' || !section.stations || rounds === undefined) return undefined
      return { ...section, stations: section.stations.map((station) => ({ ...station, rounds })) }
    }),
}
