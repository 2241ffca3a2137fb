import { nanoid } from 'nanoid'
import type { Section } from '#model/section'
import type { Technique } from '#model/technique'

/** What can be put into breath work beside a technique. */
export const plainKinds = ['natural', 'retention'] as const
export type PlainKind = (typeof plainKinds)[number]

export const plainNames: Readonly<Record<PlainKind, string>> = {
  natural: 'Natural breath',
  retention: 'A held breath',
}

export function plainSection(kind: PlainKind): Section {
  const id = nanoid()
  if (kind === 'natural') return { kind, id, s: 60 }
  return { kind, id, held: 'full', half: 8, lead: { in: 8, out: 8 }, times: 1 }
}

const second = { num: 1000, den: 1 }

/**
 * A technique as a section: what it leaves open is as the technique has it. Active exhales are strokes; what nobody counts
 * is natural breath for its usual time.
 */
export function techniqueSection(technique: Technique): Section {
  const { id: techniqueId, amount, pattern } = technique
  if (!pattern && 'naturalS' in amount && !isStrokes(technique))
    return { kind: 'natural', id: nanoid(), techniqueId, s: amount.naturalS }
  return isStrokes(technique) ? strokes(technique) : { kind: 'rounds', id: nanoid(), techniqueId }
}

const isStrokes = ({ cautionId }: Technique): boolean => cautionId === 'br_skullshine' || cautionId === 'br_bellows'

const strokes = ({ id: techniqueId, cautionId }: Technique): Section => ({
  kind: 'strokes',
  id: nanoid(),
  techniqueId,
  ...(cautionId === 'br_bellows' ? { both: true } : {}),
  pace: second,
  strokes: 10,
  rounds: 2,
})
