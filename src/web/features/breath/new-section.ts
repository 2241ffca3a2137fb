import { nanoid } from 'nanoid'
import type { Section } from '#model/section'

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
