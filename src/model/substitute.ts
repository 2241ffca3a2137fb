import type { PropKind } from './prop.ts'
import type { BodyPart, FoldOp, PropTurn, SetUpItem } from './set-up.ts'

/** What a house has and no cupboard counts. */
export type HouseThing = 'coat' | 'riceBag'

/** Something that stands in for one piece of a kind, by what that is wanted for. */
export interface Substitute {
  readonly kind: PropKind
  /** The parts at which it may; absent: at any. */
  readonly at?: readonly BodyPart[]
  /** How the piece lies for which it may; absent: however. */
  readonly lies?: readonly ('under' | NonNullable<SetUpItem['lies']>)[]
  /** It may only where that is so: a bolster lies on the piece. */
  readonly only?: 'underBolster'
  /** It may not where that is so: the piece lies on a block. */
  readonly unless?: 'onBlock'
  /** What stands in; `nothing`: it is left out. */
  readonly by: PropKind | HouseThing | 'nothing'
  /** How many for one; 0 where it is left out. */
  readonly n: number
  readonly folds?: readonly FoldOp[]
  readonly turn?: PropTurn
  /** How much is lost by it: 0 nothing, 1 a little, 2 more. */
  readonly penalty: 0 | 1 | 2
}
