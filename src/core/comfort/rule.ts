import type { Figure } from '#model/figure'
import type { BodyPart, SetUpItem } from '#model/set-up'
import type { Elevation, Who } from '#core/figure'
import type { Found, Grade, RuleOf } from '#core/finding'
import type { PropSpecs } from '#core/props'
import type { ComfortCode, ComfortFacts, ComfortRuleFacts } from './facts.ts'

/** Which way the pile under a part would have to change for a finding to go. */
export interface Wish {
  readonly part: BodyPart
  readonly wants: 'higher' | 'lower' | 'softer' | 'steadier'
}

/** Where a finding lies, and what would make it go. */
interface Where {
  readonly part?: BodyPart
  readonly wish?: Wish
}

/** What a rule finds, before it has its code. */
export type FoundHere<Code extends keyof ComfortRuleFacts> = Found<ComfortRuleFacts[Code]> & Where

/** Everything the rules look at: the set-up as it stands, and the person lying on it. */
export interface Look {
  readonly figure: Figure
  readonly items: readonly SetUpItem[]
  readonly kinds: PropSpecs
  readonly who: Who
  readonly elevation: Elevation
  readonly warnings: readonly string[]
}

/** A comfort rule [formula book 6]: pure, and knowing nothing of words. */
export type Rule = RuleOf<ComfortRuleFacts, Look, Where>

/** A finding of a set-up: what is not as it should be, where, and by how much. */
export type ComfortFinding = {
  [Code in ComfortCode]: { readonly code: Code; readonly grade: Grade; readonly facts: ComfortFacts[Code] } & Where
}[ComfortCode]
