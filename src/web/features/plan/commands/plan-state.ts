import type { Session } from '#model/session'
import type { Edit } from '#core/session'
import type { Timeline } from '#core/timeline'
import { blockName } from '#words/blocks'

/** What is chosen on the spine: one block, and others beside it. */
export interface Selection {
  readonly chosen: string | undefined
  readonly also: ReadonlySet<string>
}

export const nothingChosen: Selection = { chosen: undefined, also: new Set() }

/** All that a command of Plan knows. */
export interface PlanState {
  readonly session: Session
  readonly timeline: Timeline
  readonly selection: Selection
  /** Ids for blocks that are made. */
  readonly newId: () => string
}

/** What a command does: one undo step, what is chosen after it, and what a screen reader hears of it. */
export interface Outcome {
  /** One step of the teacher, with its words; absent where the session stays as it is. */
  readonly step?: { readonly edits: readonly Edit[]; readonly words: string }
  readonly selection?: Selection
  readonly says?: string
  /** Said where the step cannot be done. */
  readonly fails?: string
}

export const nothing: Outcome = {}

export const idsOf = ({ session }: PlanState): string[] => session.blocks.map(({ id }) => id)

/** All chosen blocks, in the order of the session. */
export const chosenIds = (state: PlanState): string[] =>
  idsOf(state).filter((id) => id === state.selection.chosen || state.selection.also.has(id))

export const resolvedOf = ({ timeline }: PlanState, id: string | undefined) =>
  timeline.blocks.find(({ block }) => block.block.id === id)?.block

export function nameOf(state: PlanState, id: string): string {
  const resolved = resolvedOf(state, id)
  return resolved ? blockName(resolved) : 'block'
}

/** One by its name, several by their number. */
export const namesOf = (state: PlanState, ids: readonly string[]): string => {
  const [only = ''] = ids
  return ids.length === 1 ? nameOf(state, only) : `${String(ids.length)} blocks`
}
