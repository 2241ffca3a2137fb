import type { PlanDoubt } from '#words/plan-text'
import type { Become } from './become.ts'
import type { SaidLine } from './read-line.ts'

/** What a line of a plan is: a block, a part of the one before, set in under it, about the whole, or nothing. */
export type Role = 'block' | 'joins' | 'under' | 'about' | 'nothing'

/** A line on its way: what it says, and what it is to become. */
export interface Draft {
  readonly number: number
  readonly text: string
  readonly role: Role
  readonly said?: SaidLine
  readonly as?: Become
  readonly doubts: readonly PlanDoubt[]
  /** Minutes of its clock, and of the end it says. */
  readonly clock?: { readonly minutes: number; readonly toMinutes?: number }
  /** The line it joins. */
  readonly joins?: number
}

/** What is said in the block above, as it stands. */
export const quoted = /^\s*>/
export const noteFirst = /^\s*notes?\s*:/i
