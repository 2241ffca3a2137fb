import type { SetUpItem } from '#model/set-up'
import { momentS } from '#core/session'
import type { ResolvedHold } from '#core/session'
import type { Seconds } from '#core/units'

/** A step of the set-up in a hold: when it is done on a side, and what lies there before and after it. */
export interface StepOf {
  readonly atS: Seconds
  readonly from: readonly SetUpItem[]
  readonly to: readonly SetUpItem[]
}

/** The steps of a hold in the order they are planned. */
export function stepsOf({ block, setUp }: ResolvedHold, holdS: Seconds): readonly StepOf[] {
  const { steps = [] } = block
  return steps.map(({ at, items }, index) => ({
    atS: momentS(at, holdS),
    from: steps[index - 1]?.items ?? setUp?.value.items ?? [],
    to: items,
  }))
}
