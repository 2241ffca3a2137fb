import type { BreathBlock } from '#model/block'
import type { Section } from '#model/section'
import { announcedS } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
import { freeId, withSection } from '#core/session'
import type { Resolved, ResolvedBreath } from '#core/session'
import type { Segment } from '#core/timeline'
import { msFromS } from '#core/units'
import { isHeld } from '../breath-look.ts'
import { saysCount } from '../said-times.ts'
import type { FoundHere, Look, Rule } from '../rule.ts'

/** Words that say a breath is held; with a number of counts they announce it. */
const saysHeld = /\b(hold|held|retain|retention|stay full|stay empty)\b/i
const announces = (text: string): boolean => saysHeld.test(text) && saysCount(text)

/** A breath that is held without its length being said before [handbook: a retention is announced with its length]. */
export const retentionUnannounced: Rule<'RETENTION_UNANNOUNCED'> = {
  code: 'RETENTION_UNANNOUNCED',
  grade: 'must',
  find: (look) =>
    look.blocks.flatMap((block) => (block.kind === 'breath' ? inBreath(look, block) : inBlock(look, block))),
}

type Unannounced = FoundHere<'RETENTION_UNANNOUNCED'>

/** Over a hold and in a movement the teacher's own words announce it. */
function inBlock({ timeline }: Look, { block: { id: blockId } }: Resolved): Unannounced[] {
  const over = timeline.breathOver.find(
    (part) => part.blockId === blockId && (part.part === 'full' || part.part === 'empty'),
  )
  const first = over ?? timeline.segments.find((segment) => segment.blockId === blockId && isHeld(segment))
  if (!first) return []
  const isSaid = timeline.cues.some(
    (cue) => cue.blockId === blockId && cue.atMs <= first.startMs && cue.text !== undefined && announces(cue.text),
  )
  if (isSaid) return []
  return [{ blockId, atMs: first.startMs, facts: { heldS: Math.round((first.endMs - first.startMs) / 1000) } }]
}

/**
 * Breath work says it by itself, in the quiet before a section, and before a set whose slope changes what is held: where
 * there is too little of it there is no place for the words [settled B7]. The first section is told with the block.
 */
function inBreath({ timeline }: Look, breath: ResolvedBreath): Unannounced[] {
  const { id: blockId } = breath.block
  const stretches = timeline.segments.filter(
    (segment) => segment.blockId === blockId && segment.doing.kind === 'breath',
  )
  const at = stretches.findIndex(
    (segment, index) => wantsWords(breath, stretches[index - 1], segment) && !isTold(stretches[index - 1]),
  )
  const segment = stretches[at]
  if (!segment || segment.doing.kind !== 'breath') return []
  const held = stretches.slice(at).find(isHeld) ?? segment
  const edits = [{ type: 'replace', block: withWords(breath.block, segment.doing.section, segment.doing.set) } as const]
  return [
    {
      blockId,
      atMs: segment.startMs,
      facts: { heldS: Math.round((held.endMs - held.startMs) / 1000) },
      mend: { by: 'edits', edits },
    },
  ]
}

const isQuiet = ({ doing }: Segment): boolean =>
  doing.kind === 'breath' && (doing.part === 'natural' || doing.part === 'rest')

/** Whether there was quiet enough to say it in. */
const isTold = (before: Segment | undefined): boolean =>
  before !== undefined && isQuiet(before) && before.endMs - before.startMs >= msFromS(announcedS)

/** Whether something that is held begins here, or changes: past the block's first section. */
function wantsWords({ sections }: ResolvedBreath, before: Segment | undefined, here: Segment): boolean {
  const [a, b] = [before?.doing, here.doing]
  if (a?.kind !== 'breath' || b.kind !== 'breath' || isQuiet(here)) return false
  const section = sections[b.section]
  if (!section) return false
  // Quiet that ends a section before this one is where this one is told.
  if (a.section !== b.section) return holds(section)
  return section.kind === 'rounds' && (a.set !== b.set || isQuiet(before ?? here)) && changesHeld(section, b.set)
}

const holds = (section: ResolvedSection): boolean =>
  section.kind === 'retention' ||
  (section.kind === 'rounds' && section.sets.some(({ pattern }) => pattern.full > 0 || pattern.empty > 0))

function changesHeld({ sets }: Extract<ResolvedSection, { kind: 'rounds' }>, set: number): boolean {
  const [former, now] = [sets[set - 2]?.pattern, sets[set - 1]?.pattern]
  return former !== undefined && now !== undefined && (former.full !== now.full || former.empty !== now.empty)
}

/** The block with quiet to say it in: between the sets of a slope, or before the section. */
function withWords(block: BreathBlock, at: number, set: number): BreathBlock {
  const section = block.sections[at]
  if (section?.kind === 'rounds' && set > 1) return withSection(block, at, { ...section, restS: announcedS })
  const before = block.sections[at - 1]
  if (before?.kind === 'natural' && before.s !== undefined && before.s < announcedS)
    return withSection(block, at - 1, { ...before, s: announcedS })
  const quiet: Section = { kind: 'natural', id: freeId('before', block.sections), s: announcedS }
  return { ...block, sections: block.sections.toSpliced(at, 0, quiet) }
}
