import type { BasePosition } from '#model/common'
import type { SetUpItem } from '#model/set-up'
import { propsChange } from '#core/handling'
import type { ChangeTable } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Seconds } from '#core/units'
import type { LaidByForm } from './laid-by-form.ts'
import type { PersonThrough } from './who-takes-what.ts'

/** A change into a block that takes somebody longer than the class has for it. */
export interface OwnChange {
  readonly blockId: string
  readonly personId: string
  readonly s: Seconds
  /** What the class has. */
  readonly hasS: Seconds
}

interface Stand {
  readonly position: BasePosition | undefined
  readonly items: readonly SetUpItem[]
  readonly isOwn: boolean
}

/**
 * The changes of those who come from a form of their own, or into one, that do not fit into the class's [decisions, People
 * and classes]: coming over and the props by hand, each for one person [handling book 2].
 */
export function ownChanges(
  through: readonly PersonThrough[],
  forms: readonly LaidByForm[],
  { blocks }: Pick<Timeline, 'blocks'>,
  table: ChangeTable,
): readonly OwnChange[] {
  return through.flatMap(({ comer, takings }) => {
    const doing = new Map(takings.map(({ blockId, does }) => [blockId, does]))
    let stand: Stand = { position: undefined, items: [], isOwn: false }
    return blocks.flatMap(({ block, change }): OwnChange[] => {
      const blockId = block.block.id
      const does = doing.get(blockId)
      if (!does || !change) return []
      const own = forms.find((form) => form.blockId === blockId && form.who.includes(comer.id))?.items
      const items = own ?? change.laid?.to ?? stand.items
      const from = stand
      stand = { position: does.base.leave, items, isOwn: own !== undefined }
      if (from.position === undefined || (!stand.isOwn && !from.isOwn)) return []
      const isMove = from.position !== does.base.enter
      const positionS = isMove ? table[from.position][does.base.enter] : 0
      const level = comer.person.level ?? 'new'
      const propsS = propsChange({ from: from.items, to: items, baseChanges: isMove, level }).s
      const s = Math.round(isMove && propsS > 0 ? positionS + propsS : Math.max(positionS, propsS))
      const hasS = change.changeS.value
      return s > hasS ? [{ blockId, personId: comer.id, s, hasS }] : []
    })
  })
}
