import type { CautionBook } from '#model/caution'
import type { Session } from '#model/session'
import type { Found, RuleOf } from '#core/finding'
import type { Catalog, Edit, Resolved, ResolvedHold } from '#core/session'
import type { Segment, Timeline, TimelineCue } from '#core/timeline'
import type { Milliseconds, Seconds } from '#core/units'
import type { FindingCode, SessionFacts } from './facts.ts'

/** What mends a finding: edits as one step, or one of the fits, which has choices of its own. */
export type Mend =
  { readonly by: 'edits'; readonly edits: readonly Edit[] } | { readonly by: 'fit' } | { readonly by: 'order' }

/** Where a finding stands, at a block, at an instant, or about the whole; and what mends it. */
export interface Where {
  readonly blockId?: string
  readonly atMs?: Milliseconds
  readonly mend?: Mend
}

/** A rule of the checks: pure, and knowing nothing of words or the interface. */
export type Rule<Code extends FindingCode = FindingCode> = RuleOf<SessionFacts, Look, Where, Code>

/** What a rule of the checks finds, before it has its code. */
export type FoundHere<Code extends FindingCode> = Found<SessionFacts[Code]> & Where

/** A side of a hold as it is compiled: its time, its segments and what is said in it. */
export interface HeldSide {
  readonly side: ResolvedHold['sides'][number]['side']
  readonly holdS: Seconds
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly segments: readonly Segment[]
  readonly cues: readonly TimelineCue[]
}

/** A hold as the rules see it. */
export interface Held {
  readonly hold: ResolvedHold
  readonly id: string
  readonly sides: readonly HeldSide[]
}

/** What is known of the people of a class that is about to be led. */
export interface Asked {
  /** Whether everybody was asked in private what speaks against a held breath. */
  readonly everybody: boolean
  /** Whether it is a planned class of at most four named people, each marked for the sixth stage. */
  readonly sixthStage: boolean
  /** Whether somebody comes who is not of age: then no breath is held at all [settled B28]. */
  readonly minors?: boolean
}

/** What the rules look at: the session and what it compiles to, prepared once for all of them. */
export interface Look {
  readonly session: Session
  readonly timeline: Timeline
  readonly catalog: Catalog
  readonly blocks: readonly Resolved[]
  readonly holds: readonly Held[]
  readonly book: CautionBook
  /** The names of the people, none of which is to stand in a session; absent where they are not known. */
  readonly names?: readonly string[] | undefined
  /** Absent while a session is planned. */
  readonly asked?: Asked | undefined
}
