import { breathDone } from '#core/journal'
import { visitsAsPlanned } from '#core/lead'
import type { Conducted } from '#core/lead'

/** What is asked of the breath after class: nothing where none was counted; why it was left free only where it was. */
export interface AsksOfBreath {
  readonly was: boolean
  readonly freedFor: boolean
}

export function asksOfBreath({ start, state, events }: Pick<Conducted, 'start' | 'state' | 'events'>): AsksOfBreath {
  const rows = breathDone(
    start.plan,
    visitsAsPlanned(start.plan, state),
    events.map(({ event }) => event),
  )
  const isFreed = rows.some(({ freed }) => freed !== undefined)
  return { was: isFreed || rows.some(({ rounds }) => rounds > 0), freedFor: isFreed }
}
