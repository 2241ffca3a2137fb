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

/** A technique as a section: what it leaves open is as the technique has it. Active exhales are strokes. */
export const techniqueSection = ({ id: techniqueId, cautionId }: Technique): Section =>
  cautionId === 'br_skullshine' || cautionId === 'br_bellows'
    ? {
        kind: 'strokes',
        id: nanoid(),
        techniqueId,
        ...(cautionId === 'br_bellows' ? { both: true } : {}),
        pace: second,
        strokes: 10,
        rounds: 2,
      }
    : { kind: 'rounds', id: nanoid(), techniqueId }
