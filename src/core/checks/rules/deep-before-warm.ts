import type { Target } from '#model/pose'
import type { Resolved } from '#core/session'
import type { Mend, Rule } from '../rule.ts'

const warms = (block: Resolved): readonly Target[] => {
  if (block.kind === 'hold') return block.pose.warms
  return block.kind === 'movement' ? block.movement.targets : []
}

/** A hold that comes before what warms it, and the first area that is cold. */
interface Cold {
  readonly id: string
  readonly target: Target
}

/** A pose that wants an area warm, and nothing before it that warms it [handbook: warms before it deepens]. */
export const deepBeforeWarm: Rule<'DEEP_BEFORE_WARM'> = {
  code: 'DEEP_BEFORE_WARM',
  grade: 'look',
  find: ({ blocks }) => {
    const cold = coldIn(blocks)
    return cold.map(({ id, target }) => {
      const mend = mendOf(id, blocks, cold)
      return { blockId: id, facts: { target }, ...(mend ? { mend } : {}) }
    })
  },
}

function coldIn(blocks: readonly Resolved[]): Cold[] {
  const warm = new Set<Target>()
  return blocks.flatMap((block) => {
    const target = block.kind === 'hold' ? block.pose.wantsWarm.find((area) => !warm.has(area)) : undefined
    for (const area of warms(block)) warm.add(area)
    return target === undefined ? [] : [{ id: block.block.id, target }]
  })
}

/** The first later place at which all it wants is warm, and where it leaves nothing cold that was warm before. */
function mendOf(id: string, blocks: readonly Resolved[], cold: readonly Cold[]): Mend | undefined {
  const at = blocks.findIndex(({ block }) => block.id === id)
  const others = new Set(cold.map((one) => one.id))
  others.delete(id)
  const to = blocks.findIndex((block, place) => {
    if (place <= at || block.kind === 'closing') return false
    const moved = blocks.toSpliced(at, 1).toSpliced(place, 0, ...blocks.slice(at, at + 1))
    return coldIn(moved).every((one) => others.has(one.id))
  })
  return to < 0 ? undefined : { by: 'edits', edits: [{ type: 'move', id, to }] }
}
