import { ladderSteps, patternText } from '#core/breath'
import { counted } from './text.ts'

const uncountedSteps = ['watching the breath', 'belly breath', 'three-part breath'] as const

/** What a step of the breath ladder practises: its counts, else how the breath is. */
export function stepName(step: number): string {
  const pattern = ladderSteps[step]?.pattern
  return pattern ? patternText(pattern) : (uncountedSteps[step] ?? '')
}

/** The same with how long or how many rounds. */
export function stepWords(step: number): string {
  const { minutes, rounds } = ladderSteps[step] ?? {}
  const much = minutes === undefined ? counted(rounds ?? 0, 'round') : `${String(minutes)} min`
  return `${stepName(step)}, ${much}`
}

/** Every step to choose from. */
export const stepChoices = ladderSteps.map((_, value) => ({ value, words: `${String(value)} · ${stepWords(value)}` }))
