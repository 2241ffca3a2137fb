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

/** The section that a step of the ladder is; its id stays, so that what is said of it stays with it. */
function sectionOf(step: number, id: string): NaturalSection | RoundsSection {
  const { pattern, minutes = 0, rounds, stage } = ladderSteps[step] ?? { stage: 1 }
  if (!pattern) return { kind: 'natural', id, techniqueId: uncounted[step] ?? uncounted[0], s: minutes * 60 }
  const held = pattern.empty > 0 ? 'pause-empty' : 'pause-full'
  const techniqueId = stage === 2 ? 'even-breath' : stage === 3 ? 'long-exhale' : held
  const amount = rounds === undefined ? { fillS: minutes * 60, roundsPerSet } : { sets: 1, roundsPerSet: rounds }
  return { kind: 'rounds', id, techniqueId, pattern, amount }
}

/** A breath block with a step of the ladder as what it is about. */
export function atStep(block: BreathBlock, step: number): BreathBlock {
  const at = mainSection(block.sections)
  const main = block.sections[at]
  const now = withSection(block, at, sectionOf(step, main?.id ?? 'practice'))
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
