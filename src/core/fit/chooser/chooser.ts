import { sessionLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { Block } from '#model/block'
import type { Level, Practice } from '#model/common'
import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import type { Seconds } from '#core/units'

/** Lengths a session can be chosen for, in whole seconds: below a quarter of an hour there is no room to choose. */
export const chooserLimits: SecondsRange = { leastS: 900, mostS: sessionLimits.mostS }
export const mostTargets = 3

/** What a session is to be chosen from. */
export interface ChooserWish {
  readonly id: string
  readonly name: string
  readonly lengthS: Seconds
  readonly practice: Practice
  readonly level: Level
  readonly schoolId: string
  /** Up to three areas; none means those usual for the practice. */
  readonly targets: readonly Target[]
  /** 1, 2, 3 …: the same number gives the same session. */
  readonly variation: number
  /** What is said on arriving. */
  readonly talk: { readonly title: string; readonly text: string }
}

/** Why a block was chosen. */
export type ChooserRule =
  | { readonly rule: 'arrives' | 'breathes' | 'opens' | 'settles' | 'closes' }
  | { readonly rule: 'warms' | 'moves' | 'works'; readonly target: Target }
  | { readonly rule: 'counters'; readonly poseId: string }

/** A block, and the rule that chose it. */
export interface Pick {
  readonly block: Block
  readonly why: ChooserRule
}

export interface ChosenSession {
  readonly session: Session
  /** The rule of every block, by its id. */
  readonly why: Readonly<Record<string, ChooserRule>>
  /** Areas asked for that found no room or no pose. */
  readonly missed: readonly Target[]
  readonly totalMs: number
}
