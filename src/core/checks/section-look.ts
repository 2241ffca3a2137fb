import type { Pattern } from '#model/breath'
import type { Section } from '#model/section'
import { sectionFindings } from '#core/breath'
import type { ResolvedSection, SectionFindingFacts } from '#core/breath'
import { withSection } from '#core/session'
import type { ResolvedBreath } from '#core/session'
import { breathsOf, sectionStart, stageOf } from './breath-look.ts'
import type { FoundHere, Look, Mend } from './rule.ts'

type Code = keyof SectionFindingFacts

/** What would mend a section; undefined where nothing plain does. */
type Mending<C extends Code> = (
  section: Section,
  facts: SectionFindingFacts[C],
  resolved: ResolvedSection,
) => Section | undefined

/** The worst that is found of a code in each breath block, looked at section by section [breath book 5]. */
export function foundInSections<C extends Code>(look: Look, code: C, mending: Mending<C>): FoundHere<C>[] {
  const who = { stage: stageOf(look), level: look.session.level }
  return breathsOf(look).flatMap((block) => {
    const found = block.sections.flatMap((section, at) =>
      sectionFindings(section, who)
        .filter((finding) => finding.code === code)
        // Its code goes with the facts of its own table; the compiler cannot follow that through the union.
        .map(({ grade, facts }) => ({ at, section, grade, facts: facts as SectionFindingFacts[C] })),
    )
    const worst = found.find(({ grade }) => grade === 'must') ?? found[0]
    const written = worst && block.block.sections[worst.at]
    if (!written) return []
    const { at, section, grade, facts } = worst
    const mended = mending(written, facts, section)
    return [
      {
        blockId: block.block.id,
        atMs: sectionStart(look, block.block.id, at),
        grade,
        facts: { ...facts, section: at + 1 },
        ...(mended ? { mend: replacing(block, at, mended) } : {}),
      } as FoundHere<C>,
    ]
  })
}

const replacing = ({ block }: ResolvedBreath, at: number, section: Section): Mend => ({
  by: 'edits',
  edits: [{ type: 'replace', block: withSection(block, at, section) }],
})

/** Rounds in a pattern of which one part is another; undefined where a slope moves it. */
export function withPart(section: Section, resolved: ResolvedSection, part: Partial<Pattern>): Section | undefined {
  if (section.kind !== 'rounds' || resolved.kind !== 'rounds' || section.slope) return undefined
  return { ...section, pattern: { ...resolved.pattern, ...part } }
}
