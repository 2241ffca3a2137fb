import type { ResolvedHold } from '#core/session'
import type { Segment, TimelineCue } from '#core/timeline'
import type { Held, HeldSide, Look } from './rule.ts'

/** Everything the rules need, gathered in one walk over the timeline. */
export function lookAt(input: Omit<Look, 'blocks' | 'holds'>): Look {
  const { timeline } = input
  const cuesAt = new Map<number, TimelineCue[]>()
  for (const cue of timeline.cues) {
    const there = cuesAt.get(cue.segment)
    if (there) there.push(cue)
    else cuesAt.set(cue.segment, [cue])
  }
  const held = timeline.blocks.flatMap(({ block, firstSegment, endSegment }): Held[] => {
    if (block.kind !== 'hold') return []
    const segments = timeline.segments.slice(firstSegment, endSegment).filter(({ doing }) => doing.kind === 'hold')
    return [{ hold: block, id: block.block.id, sides: sidesOf(block, segments, cuesAt) }]
  })
  return { ...input, blocks: timeline.blocks.map(({ block }) => block), holds: held }
}

function sidesOf(
  hold: ResolvedHold,
  segments: readonly Segment[],
  cuesAt: ReadonlyMap<number, readonly TimelineCue[]>,
): HeldSide[] {
  return hold.sides.flatMap(({ side, holdS }): HeldSide[] => {
    const own = segments.filter((segment) => segment.side === side)
    const [first, last] = [own[0], own.at(-1)]
    if (!first || !last) return []
    return [
      {
        side,
        holdS,
        startMs: first.startMs,
        endMs: last.endMs,
        segments: own,
        cues: own.flatMap(({ index }) => cuesAt.get(index) ?? []),
      },
    ]
  })
}
