import type { Pattern } from '#model/breath'
import type { Section } from '#model/section'
import type { Technique } from '#model/technique'
import type { Seconds } from '#core/units'

/** Ways a technique is done in a section. */
export type DoneAs = 'natural' | 'lesson' | 'counted' | 'uncounted'

export const doneAsChoices: readonly { readonly value: DoneAs; readonly words: string }[] = [
  { value: 'natural', words: 'natural breath' },
  { value: 'lesson', words: 'a lesson of it' },
  { value: 'counted', words: 'counted rounds' },
  { value: 'uncounted', words: 'breaths, uncounted' },
]

const even: Pattern = { in: 8, full: 0, out: 8, empty: 0 }
/** About how long an uncounted breath is, s. */
const aboutS = 8

/** A section of a technique done in another way, of about the same length; its seat and its words stay. */
export function doneAs(section: Section, way: DoneAs, technique: Technique, s: Seconds): Section {
  const { id, seat, say } = section
  const { id: techniqueId, counted, pattern = even } = technique
  const kept = { id, techniqueId, ...(seat ? { seat } : {}), ...(say === undefined ? {} : { say }) }
  switch (way) {
    case 'natural':
      return { kind: 'natural', ...kept, s: Math.max(1, s) }
    case 'lesson':
      return { kind: 'lesson', ...kept, lesson: 1, s: Math.max(1, s) }
    case 'counted':
      return counted
        ? { kind: 'rounds', ...kept }
        : {
            kind: 'rounds',
            ...kept,
            pattern,
            amount: { sets: 1, roundsPerSet: 9 },
            ...(technique.steps ? { steps: technique.steps } : {}),
          }
    case 'uncounted':
      return {
        kind: 'rounds',
        ...kept,
        amount: { breaths: Math.min(500, Math.max(1, Math.round(s / aboutS))), aboutS },
      }
  }
}
