import type { CautionBook } from '#model/caution'
import type { Finding } from '#model/finding'
import type { Level } from '#model/common'
import type { Pose } from '#model/pose'
import type { Session } from '#model/session'
import type { Catalog, Edit, Resolved, ResolvedHold } from '#core/session'
import type { Segment, Timeline, TimelineCue } from '#core/timeline'
import type { Milliseconds, Seconds } from '#core/units'

export type Facts = Finding['facts']

/** What mends a finding: edits as one step, or one of the fits, which has choices of its own. */
export type Mend =
  { readonly by: 'edits'; readonly edits: readonly Edit[] } | { readonly by: 'fit' } | { readonly by: 'order' }

/** A finding of a rule, before it has its code: at a block, at an instant, or about the whole. */
export interface Found {
  readonly blockId?: string
  readonly atMs?: Milliseconds
  /** Where it differs from the rule's usual grade. */
  readonly grade?: Finding['grade']
  readonly facts: Facts
  readonly mend?: Mend
}

/** A rule of the checks: pure, and knowing nothing of words or the interface. */
export interface Rule {
  readonly code: string
  readonly grade: Finding['grade']
  readonly find: (look: Look) => readonly Found[]
}

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

/** What the rules look at: the session and what it compiles to, prepared once for all of them. */
export interface Look {
  readonly session: Session
  readonly timeline: Timeline
  readonly catalog: Catalog
  readonly blocks: readonly Resolved[]
  readonly holds: readonly Held[]
  readonly ceilingOf: (pose: Pick<Pose, 'families' | 'sensation'>, level: Level) => Seconds
  readonly book: CautionBook
}
