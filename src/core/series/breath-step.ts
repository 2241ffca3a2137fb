import type { BreathBlock } from '#model/block'
import type { NaturalSection, RoundsSection, Section } from '#model/section'
import { ladderSteps } from '#core/breath'
import { freeId, mainSection, withSection } from '#core/session'

/** What is practised where nothing is counted, by step [breath book 4]. */
const uncounted = ['watching-the-breath', 'belly-breath', 'three-part-breath'] as const
/** Rounds in a set of what fills a time. */
const roundsPerSet = 6
/** After so many rounds with the first short holds the breath goes on without them [breath book 4, steps 14 to 16]. */
const [firstHeld, lastHeld] = [14, 16]
const withoutHold = 13

/** What of a section is not its practice: how it is sat, said, rested and counted. */
function around(
  main: Section | undefined,
): Pick<RoundsSection, 'id' | 'seat' | 'say' | 'restS' | 'countedRounds' | 'silent'> {
  const { id = 'practice', seat, say } = main ?? {}
  const shared = { id, ...(seat ? { seat } : {}), ...(say === undefined ? {} : { say }) }
  if (main?.kind !== 'rounds') return shared
  const { restS, countedRounds, silent } = main
  return {
    ...shared,
    ...(restS === undefined ? {} : { restS }),
    ...(countedRounds === undefined ? {} : { countedRounds }),
    ...(silent === undefined ? {} : { silent }),
  }
}

/** How many rounds a set of it has. */
const setOf = (main: Section | undefined): number =>
  main?.kind === 'rounds' && main.amount && 'roundsPerSet' in main.amount ? main.amount.roundsPerSet : roundsPerSet

/** The section that a step of the ladder is, in the place of another: what is said of that stays with it. */
function sectionOf(step: number, main: Section | undefined): NaturalSection | RoundsSection {
  const { pattern, minutes = 0, rounds, stage } = ladderSteps[step] ?? { stage: 1 }
  const { id, seat, say } = around(main)
  if (!pattern)
    return {
      ...{ kind: 'natural', id, techniqueId: uncounted[step] ?? uncounted[0], s: minutes * 60 },
      ...(seat ? { seat } : {}),
      ...(say === undefined ? {} : { say }),
    }
  const held = pattern.empty > 0 ? 'pause-empty' : 'pause-full'
  const techniqueId = stage === 2 ? 'even-breath' : stage === 3 ? 'long-exhale' : held
  const inAll =
    rounds === undefined ? { fillS: minutes * 60, roundsPerSet: setOf(main) } : { sets: 1, roundsPerSet: rounds }
  return { ...around(main), kind: 'rounds', techniqueId, pattern, amount: inAll }
}

/** A breath block with a step of the ladder as what it is about. */
export function atStep(block: BreathBlock, step: number): BreathBlock {
  const at = mainSection(block.sections)
  const main = block.sections[at]
  const now = withSection(block, at, sectionOf(step, main))
  if (step < firstHeld || step > lastHeld) return now
  const after: RoundsSection = {
    ...{ kind: 'rounds', id: freeId('without-hold', now.sections), techniqueId: 'long-exhale' },
    ...{ pattern: ladderSteps[withoutHold]?.pattern, amount: { sets: 1, roundsPerSet } },
  }
  return { ...now, sections: now.sections.toSpliced(at + 1, 0, after) }
}

/** A breath block with a lesson of a technique: in place of the lesson it has, else before all else. */
export function atLesson(block: BreathBlock, techniqueId: string, lesson: number): BreathBlock {
  const at = block.sections.findIndex(({ kind }) => kind === 'lesson')
  const there = block.sections[at]
  if (there?.kind === 'lesson') return withSection(block, at, { ...there, techniqueId, lesson })
  const section: Section = { kind: 'lesson', id: freeId('lesson', block.sections), techniqueId, lesson, s: 180 }
  return { ...block, sections: [section, ...block.sections] }
}
