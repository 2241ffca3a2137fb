import { finalRestFloorS, freeId } from '#core/session'
import type { Resolved } from '#core/session'
import type { Seconds } from '#core/units'
import type { Rule } from '../rule.ts'

/** A rest of its own on a chair or on the side, as long as a final rest is, for people who do not lie on the back. */
const restsElsewhere = (block: Resolved, lengthS: Seconds): boolean =>
  block.kind === 'hold' &&
  block.pose.places.includes('closing') &&
  (block.pose.base.leave === 'onChair' || block.pose.base.leave === 'sideLying') &&
  block.sides.every(({ holdS }) => holdS >= finalRestFloorS(lengthS, Infinity))

/** A rest as long as a final rest is, that people come up from in steps, as before a break in a long day. */
const comesUp = (block: Resolved, lengthS: Seconds): boolean =>
  block.kind === 'rest' && block.ending !== undefined && block.block.s >= finalRestFloorS(lengthS, Infinity)

/** A session without a closing: no final rest, no coming up in steps [handbook: the end is hurried]. */
export const noClosing: Rule<'NO_CLOSING'> = {
  code: 'NO_CLOSING',
  grade: 'look',
  find: ({ blocks, session }) => {
    const last = blocks.at(-1)
    if (!last || last.kind === 'closing') return []
    if (restsElsewhere(last, session.lengthS) || comesUp(last, session.lengthS)) return []
    const block = { kind: 'closing', id: freeId('closing', session.blocks) } as const
    const edits = [{ type: 'insert', at: session.blocks.length, block } as const]
    return [{ facts: { blocks: blocks.length }, mend: { by: 'edits', edits } }]
  },
}
