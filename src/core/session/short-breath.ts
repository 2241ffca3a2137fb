import type { BreathBlock } from '#model/block'
import type { NaturalSection, RoundsSection, Section } from '#model/section'
import type { Seconds } from '#core/units'
import { freeId } from './free-id.ts'

/** A breath block in its short form: one thing that is done, with natural breath before and after it. */
export interface ShortBreath {
  readonly main: RoundsSection | NaturalSection
  readonly beforeS: Seconds
  readonly afterS: Seconds
}

/**
 * The section a block is about, by its place: its first rounds, else the first natural breath of a technique, else the
 * first that is more than natural breath, else its first.
 */
export function mainSection(sections: readonly Section[]): number {
  const preferred: readonly ((section: Section) => boolean)[] = [
    ({ kind }) => kind === 'rounds',
    (section) => section.kind === 'natural' && section.techniqueId !== undefined,
    ({ kind }) => kind !== 'natural',
  ]
  const found = preferred.map((is) => sections.findIndex(is)).find((at) => at >= 0)
  return found ?? 0
}

/** The technique a block is called by: of its first counted or taught section, else the first it names. */
export function techniqueIdIn({ sections }: Pick<BreathBlock, 'sections'>): string | undefined {
  const ids = (all: readonly Section[]) =>
    all.flatMap((one) => (one.kind === 'retention' ? [] : (one.techniqueId ?? [])))
  return ids(sections.filter(({ kind }) => kind !== 'natural'))[0] ?? ids(sections)[0]
}

/** The short form of a block; undefined for one that is more than that. */
export function shortBreath({ sections }: Pick<BreathBlock, 'sections'>): ShortBreath | undefined {
  const at = mainSection(sections)
  const main = sections[at]
  if ((main?.kind !== 'rounds' && main?.kind !== 'natural') || at > 1 || sections.length > at + 2) return undefined
  const [before, after] = [sections[at - 1], sections[at + 1]]
  if ((before && !isPlainQuiet(before)) || (after && !isPlainQuiet(after))) return undefined
  return { main, beforeS: quietS(before), afterS: quietS(after) }
}

/** Natural breath for a time, of which nothing more is said. */
const isPlainQuiet = (section: Section): boolean =>
  section.kind === 'natural' && section.s !== undefined && section.attend === undefined && section.say === undefined

const quietS = (section: Section | undefined): Seconds => (section?.kind === 'natural' ? (section.s ?? 0) : 0)

/** The block with another section in the place of one. */
export const withSection = (block: BreathBlock, at: number, section: Section): BreathBlock => ({
  ...block,
  sections: block.sections.with(at, section),
})

/** The block with so much natural breath as its first or last section; 0 takes it away where it is that alone. */
export function withQuiet(block: BreathBlock, where: 'before' | 'after', s: Seconds): BreathBlock {
  const { sections } = block
  const main = mainSection(sections)
  const at = where === 'before' ? 0 : sections.length - 1
  const there = sections[at]
  const isThere = at !== main && there !== undefined && isPlainQuiet(there)
  if (isThere && there.kind === 'natural')
    return s > 0 ? withSection(block, at, { ...there, s }) : { ...block, sections: sections.toSpliced(at, 1) }
  if (s === 0) return block
  const quiet: Section = { kind: 'natural', id: freeId(where, sections), s }
  return { ...block, sections: where === 'before' ? [quiet, ...sections] : [...sections, quiet] }
}
