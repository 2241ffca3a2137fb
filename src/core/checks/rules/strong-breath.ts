import { boundaryMs } from '#core/breath'
import type { ResolvedRounds, ResolvedSection } from '#core/breath'
import type { Pace, Pattern } from '#model/breath'
import { isLying } from '#core/session'
import type { ResolvedBreath } from '#core/session'
import { breathsOf, sectionStart } from '../breath-look.ts'
import type { Look, Rule } from '../rule.ts'

/** A held part up to here is no retention: what the ladder begins with [cautions reference 3.3]. */
const mostUnheld = { halfCounts: 2, ms: 1500 } as const

/** Whether a round holds the breath for so long that it is a retention. */
export function holdsBreath({ full, empty }: Pattern, pace: Pace): boolean {
  const longest = Math.max(full, empty)
  return longest > mostUnheld.halfCounts || boundaryMs(longest, pace) > mostUnheld.ms
}

/** Whether the breath is held so long in any set of counted rounds. */
export const holdsInRounds = ({ pattern, pace, sets }: ResolvedRounds): boolean =>
  [pattern, ...sets.map((set) => set.pattern)].some((one) => holdsBreath(one, pace))

/** Whether a section is strong breath work: what is held, locked or stroked, and techniques that are [cautions 3]. */
export function isStrong(section: ResolvedSection): boolean {
  switch (section.kind) {
    case 'retention':
    case 'strokes':
      return true
    case 'natural':
    case 'lesson':
    case 'uncounted':
      return section.technique?.strong ?? false
    case 'rounds':
      return section.technique.strong || section.locks !== undefined || holdsInRounds(section)
  }
}

/** What is taught in person is never carried online or home [decisions]. */
const isInPerson = (section: ResolvedSection): boolean => 'technique' in section && section.technique?.inPerson === true

/** The first section of each breath block that is found. */
const sectionsIn = (look: Look, isFound: (section: ResolvedSection, block: ResolvedBreath, at: number) => boolean) =>
  breathsOf(look).flatMap((block) => {
    const at = block.sections.findIndex((section, index) => isFound(section, block, index))
    const blockId = block.block.id
    return at < 0 ? [] : [{ blockId, atMs: sectionStart(look, blockId, at), section: at + 1 }]
  })

/** Strong breath work lying down. */
export const strongLying: Rule<'STRONG_LYING'> = {
  code: 'STRONG_LYING',
  grade: 'must',
  find: (look) =>
    sectionsIn(look, (section, { seats }, at) => isStrong(section) && isLying(seats[at]?.position ?? 'seated')).map(
      ({ section, ...where }) => ({
        ...where,
        facts: { section },
      }),
    ),
}

/** Strong breath work, and what is taught in person, where the teacher is not in the room. */
export const strongNotInPerson: Rule<'STRONG_NOT_IN_PERSON'> = {
  code: 'STRONG_NOT_IN_PERSON',
  grade: 'must',
  find: (look) => {
    const { setting = 'room' } = look.session
    if (setting === 'room') return []
    return sectionsIn(look, (section) => isStrong(section) || isInPerson(section)).map(({ section, ...where }) => ({
      ...where,
      facts: { section, setting },
    }))
  },
}
