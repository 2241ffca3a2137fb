import type { Pattern } from '#model/breath'
import type { Section } from '#model/section'
import type { LinePart, ResolvedSection } from '#core/breath'

export type EdgePart = keyof Pattern

/** The end of a part of a round, which can be drawn: how long the part is, and how often it stands in the round. */
export interface Edge {
  readonly part: EdgePart
  /** Half-counts of the part. */
  readonly half: number
  /** Where the edge stands, in counts from the start of the round. */
  readonly at: number
  /** How many times its own length the part grows by when this edge is drawn: an inhale in three steps by three. */
  readonly times: number
}

const mostHalf = 128

/** Parts a round is told by, where it can be changed: the pattern of rounds, or a held breath and the one before it. */
function partsOf(section: ResolvedSection): Partial<Pattern> | undefined {
  if (section.kind === 'rounds') return section.pattern
  if (section.kind !== 'retention') return undefined
  const { lead, held, half } = section.section
  return { in: lead.in, out: lead.out, [held]: half }
}

/** The edges of a round, in order, each part's last; none where nobody counts. */
export function edgesOf(section: ResolvedSection, told: readonly LinePart[]): readonly Edge[] {
  const pattern = partsOf(section)
  return told.flatMap(({ part, from, to }, at): Edge[] => {
    const half = part === 'pause' ? undefined : pattern?.[part]
    const isLast = told.findLastIndex((other) => other.part === part) === at
    if (part === 'pause' || half === undefined || !isLast) return []
    return [{ part, half, at: to, times: half / 2 / (to - from) }]
  })
}

/** How long a part gets when its edge is drawn by so many counts: whole half-counts, and a breath never nothing. */
export function drawnHalf({ part, half, times }: Pick<Edge, 'part' | 'half' | 'times'>, byCounts: number): number {
  const least = part === 'in' || part === 'out' ? 1 : 0
  return Math.min(mostHalf, Math.max(least, Math.round(half + byCounts * times * 2)))
}

/** A round with one of its parts longer or shorter, as it is drawn while the hand is at it. */
export function redrawn(parts: readonly LinePart[], part: EdgePart, share: number): readonly LinePart[] {
  let from = 0
  return parts.map((one): LinePart => {
    const to = from + (one.to - one.from) * (one.part === part ? share : 1)
    const made = { ...one, from, to }
    from = to
    return made
  })
}

/** The section with a part of its round so long; undefined where it has no such part. */
export function withPart(
  section: Section,
  resolved: ResolvedSection,
  part: EdgePart,
  half: number,
): Section | undefined {
  if (section.kind === 'rounds' && resolved.kind === 'rounds')
    return { ...section, pattern: { ...resolved.pattern, [part]: half } }
  if (section.kind !== 'retention') return undefined
  if (part === section.held) return { ...section, half: Math.max(2, half) }
  return part === 'in' || part === 'out' ? { ...section, lead: { ...section.lead, [part]: half } } : undefined
}
