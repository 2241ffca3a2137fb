import type { PropKind } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import { momentS, propCounts } from '#core/session'
import type { Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'

/** What lies at everybody's mat over a stretch of the class. */
export interface Laid {
  readonly blockId: string
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly items: readonly SetUpItem[]
}

/** What lies there from block to block; a step in mid-hold begins another stretch, on the first side it comes in. */
export function laidIn(timeline: Pick<Timeline, 'blocks' | 'segments'>): readonly Laid[] {
  const found = known.get(timeline.blocks) ?? laidAnew(timeline)
  known.set(timeline.blocks, found)
  return found
}

/** What was worked out for these very blocks: several parts of a view ask for the same with every change. */
const known = new WeakMap<Timeline['blocks'], readonly Laid[]>()

const laidAnew = ({ blocks, segments }: Pick<Timeline, 'blocks' | 'segments'>): readonly Laid[] =>
  blocks.flatMap(({ block, startMs, endMs, firstSegment, endSegment }) => {
    const items = itemsOf(block)
    if (!items) return []
    const blockId = block.block.id
    const starts = segments.slice(firstSegment, endSegment).filter(({ doing }) => doing.kind === 'hold')
    const cuts = stepsOf(block).flatMap((step) => {
      const beganMs = starts[0]?.startMs
      return beganMs === undefined ? [] : [{ items: step.items, startMs: beganMs + msFromS(step.atS) }]
    })
    return [{ items, startMs }, ...cuts].map((one, at, all) => ({
      ...one,
      blockId,
      endMs: all[at + 1]?.startMs ?? endMs,
    }))
  })

/** What a block is set up with; a form of which the counts alone are known takes those, wherever they lie. */
function itemsOf(block: Resolved): readonly SetUpItem[] | undefined {
  const items = 'setUp' in block ? block.setUp?.value.items : undefined
  if (block.kind !== 'hold') return items
  const { props } = block.pose
  const isLaid = items !== undefined && JSON.stringify(propCounts(items)) === JSON.stringify(props)
  return isLaid ? items : props.map(({ kind, count }) => ({ id: kind, kind, count }))
}

function stepsOf(block: Resolved): readonly { readonly items: readonly SetUpItem[]; readonly atS: number }[] {
  if (block.kind !== 'hold') return []
  const holdS = block.sides[0]?.holdS ?? 0
  return (block.block.steps ?? []).map(({ at, items }) => ({ items, atS: momentS(at, holdS) }))
}

/** What is a place people go to, and nothing to be counted [handling book 1; settled C12]. */
const places: ReadonlySet<PropKind> = new Set(['wall', 'door', 'sofa'])

/** How many pieces of each kind some items are. */
export function piecesByKind(items: readonly Pick<SetUpItem, 'kind' | 'count'>[]): ReadonlyMap<PropKind, number> {
  const counts = new Map<PropKind, number>()
  for (const { kind, count } of items) if (!places.has(kind)) counts.set(kind, (counts.get(kind) ?? 0) + count)
  return counts
}
