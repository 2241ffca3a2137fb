import type { Block } from '#model/block'
import type { Session } from '#model/session'
import type { News } from '#core/series'
import type { Catalog } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Segment } from '#core/timeline'
import { blockNameIn } from '#words/blocks'

/** A bar of a small spine: what is held on a side, or a block as a whole. */
export interface SmallBar {
  readonly key: string
  readonly blockId: string
  readonly name: string
  readonly tone: 'both' | 'left' | 'right' | 'rest' | 'breath'
  readonly side: 'left' | 'right' | 'both'
  readonly startMs: number
  readonly endMs: number
  /** It is otherwise than the week before. */
  readonly isNew: boolean
}

export interface SmallSpine {
  readonly totalMs: number
  readonly bars: readonly SmallBar[]
}

/** What is told of a block by its bar: what is held, practised, rested or said, and not the way there. */
const shown: ReadonlySet<Segment['doing']['kind']> = new Set([
  ...(['talk', 'hold', 'breath', 'movement', 'rest', 'closing'] as const),
])
const toneOf = (kind: Segment['doing']['kind'], side: SmallBar['side']): SmallBar['tone'] => {
  if (kind === 'hold' || kind === 'movement') return side
  return kind === 'breath' ? 'breath' : 'rest'
}

/** A class in small, in true time; undefined where it cannot be compiled. */
export function smallSpine(session: Session, news: readonly News[], catalog: Catalog): SmallSpine | undefined {
  const compiled = compileTimeline(session, catalog)
  if (!compiled.ok) return undefined
  const { segments, totalMs } = compiled.value
  const blocks = new Map<string, Block>(session.blocks.map((block) => [block.id, block]))
  const fresh = new Set(news.map(({ blockId }) => blockId))
  const bars = new Map<string, SmallBar>()
  for (const { blockId, side: of, doing, startMs, endMs } of segments) {
    const block = blocks.get(blockId)
    if (!block || !shown.has(doing.kind)) continue
    const side = of ?? 'both'
    const key = `${blockId} ${side}`
    const there = bars.get(key)
    bars.set(
      key,
      there
        ? { ...there, endMs }
        : {
            ...{ key, blockId, side, startMs, endMs, name: blockNameIn(block, catalog) },
            ...{ tone: toneOf(doing.kind, side), isNew: fresh.has(blockId) },
          },
    )
  }
  return { totalMs, bars: [...bars.values()] }
}
