import type { Block } from '#model/block'
import type { Refusal } from '#model/refusal'
import type { Session } from '#model/session'

/** A character one can see: none that is only space, steers how others are set, or is passed over in print. */
const visible = /[^\p{Z}\p{C}\p{Default_Ignorable_Code_Point}\s]/u

/**
 * What a session that is written may not have, though one that is kept is still read with it: a name nobody can see, two
 * cues, phases or items of a set-up that cannot be told apart.
 */
export function slipsIn({ name, blocks }: Pick<Session, 'name' | 'blocks'>): Refusal[] {
  const unnamed: Refusal[] = visible.test(name)
    ? []
    : [{ code: 'TOO_SMALL', path: 'name', facts: { least: 1, of: 'string' } }]
  return [...unnamed, ...slipsInBlocks(blocks)]
}

export const slipsInBlocks = (blocks: readonly Block[]): Refusal[] =>
  blocks.flatMap((block, index) => {
    const path = `blocks[${String(index)}]`
    const setUpItems = 'setUpItems' in block ? (block.setUpItems ?? []) : []
    const items = twiceIn(`${path}.setUpItems`, setUpItems)
    if (block.kind === 'breath') return [...twiceIn(`${path}.sections`, block.sections), ...items]
    if (block.kind !== 'hold') return items
    const { cues = [], phases = [], steps = [] } = block
    return [
      ...twiceIn(`${path}.cues`, cues),
      ...twiceIn(`${path}.phases`, phases),
      ...items,
      ...twiceIn(`${path}.steps`, steps),
      ...steps.flatMap((step, at) => twiceIn(`${path}.steps[${String(at)}].items`, step.items)),
    ]
  })

function twiceIn(path: string, things: readonly { readonly id: string }[]): Refusal[] {
  const ids = things.map(({ id }) => id)
  return ids.flatMap((id, at): Refusal[] => {
    const first = ids.indexOf(id)
    return first === at ? [] : [{ code: 'ID_TWICE', path: `${path}[${String(at)}].id`, facts: { first } }]
  })
}
