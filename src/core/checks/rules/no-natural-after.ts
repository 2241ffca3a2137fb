import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'
import type { Segment } from '#core/timeline'
import { withSection } from '#core/session'
import { breathsOf, isHeld, isStrokes } from '../breath-look.ts'
import type { FoundHere, Look, Rule } from '../rule.ts'

/** Natural breath after a retention section, and after a round of active exhales, s [settled B4]. */
const leastS = { retention: 30, strokes: 60 } as const

/** Too little natural breath after a held breath by itself, or after active exhales. */
export const noNaturalAfter: Rule<'NO_NATURAL_AFTER'> = {
  code: 'NO_NATURAL_AFTER',
  grade: 'look',
  find: (look) => breathsOf(look).flatMap((block) => foundIn(look, block.block.id)),
}

function foundIn(look: Look, blockId: string): FoundHere<'NO_NATURAL_AFTER'>[] {
  const block = breathsOf(look).find((one) => one.block.id === blockId)
  const { segments } = look.timeline
  const short = segments.flatMap((segment, at) => {
    const { doing } = segment
    if (segment.blockId !== blockId || doing.kind !== 'breath') return []
    const section = block?.sections[doing.section]
    const kind = section?.kind === 'retention' || section?.kind === 'strokes' ? section.kind : undefined
    if (kind === undefined || !endsWork(segment, segments[at + 1])) return []
    const quietMs = quietAfter(segments, at)
    return quietMs === undefined || quietMs >= msFromS(leastS[kind])
      ? []
      : [{ kind, at: doing.section, segment, quietMs }]
  })
  const [first] = short
  const section = first && block?.block.sections[first.at]
  if (!first || !block || (section?.kind !== 'retention' && section?.kind !== 'strokes')) return []
  const mended = withSection(block.block, first.at, { ...section, naturalAfterS: leastS[first.kind] })
  return [
    {
      blockId,
      atMs: first.segment.endMs,
      facts: { after: first.kind, s: Math.floor(first.quietMs / 1000), leastS: leastS[first.kind] },
      mend: { by: 'edits', edits: [{ type: 'replace', block: mended }] },
    },
  ]
}

/** Where a held breath, or a round of active exhales, ends. */
const endsWork = (segment: Segment, next: Segment | undefined): boolean =>
  isStrokes(segment) || (isHeld(segment) && !(next && isHeld(next) && next.blockId === segment.blockId))

/** How long nothing is breathed by count after a stretch; undefined where nothing is any more. */
function quietAfter(segments: readonly Segment[], at: number): Milliseconds | undefined {
  const next = segments.slice(at + 1).find(({ doing }) => doing.kind === 'breath' && !quietParts.has(doing.part))
  return next && next.startMs - (segments[at]?.endMs ?? 0)
}
const quietParts: ReadonlySet<string> = new Set(['natural', 'rest', 'lesson'])
