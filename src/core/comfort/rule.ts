import type { Figure } from '#model/figure'
import type { Finding } from '#model/finding'
import type { BodyPart, SetUpItem } from '#model/set-up'
import type { Elevation, Who } from '#core/figure'
import type { PropSpecs } from '#core/props'

export type Facts = Finding['facts']

/** Which way the pile under a part would have to change for a finding to go. */
export interface Wish {
  readonly part: BodyPart
  readonly wants: 'higher' | 'lower' | 'softer' | 'steadier'
}

/** What a rule finds, with the numbers of it. */
export interface Found {
  readonly grade?: Finding['grade']
  readonly part?: BodyPart
  readonly facts: Facts
  readonly wish?: Wish
}

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
export interface Rule {
  readonly code: string
  readonly grade: Finding['grade']
  readonly find: (look: Look) => Found | undefined | false
}

/** A finding of a set-up: what is not as it should be, where, and by how much. */
export interface ComfortFinding {
  readonly code: string
  readonly grade: Finding['grade']
  readonly part?: BodyPart
  readonly facts: Facts
  readonly wish?: Wish
}
