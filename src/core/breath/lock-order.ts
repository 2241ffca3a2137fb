import type { Answers } from '#model/answers'
import type { Lock, Locks } from '#model/section'

/** The orders of schools; in each the belly is let go before the chin is lifted [breath book 1]. */
const orders: Readonly<Record<Answers['lockOrder'], Readonly<Record<'on' | 'off', readonly Lock[]>>>> = {
  chinFirst: { on: ['chin', 'belly', 'root'], off: ['root', 'belly', 'chin'] },
  rootFirst: { on: ['root', 'belly', 'chin'], off: ['root', 'belly', 'chin'] },
}

/** Locks as a school takes them and lets them go; undefined where none is worn. */
export function locksInOrder(worn: readonly Lock[], order: Answers['lockOrder']): Locks | undefined {
  const among = (which: 'on' | 'off') => orders[order][which].filter((lock) => worn.includes(lock))
  return worn.length === 0 ? undefined : { on: among('on'), off: among('off') }
}
