import type { Edit } from '#core/session'

/** One step of the teacher: the edits that take it back, and what it was, in words. */
export interface UndoStep {
  readonly inverse: Edit
  readonly words: string
}

export interface UndoStacks {
  readonly done: readonly UndoStep[]
  readonly undone: readonly UndoStep[]
}

/** Steps kept per window [decisions]. */
const mostSteps = 200

export const emptyStacks: UndoStacks = { done: [], undone: [] }

/** After a new step: what was undone before can no longer be redone. */
export const pushStep = ({ done }: UndoStacks, step: UndoStep): UndoStacks => ({
  done: [...done, step].slice(-mostSteps),
  undone: [],
})

/** After undoing the newest step, whose own undoing is `redo`. */
export const popDone = ({ done, undone }: UndoStacks, redo: UndoStep): UndoStacks => ({
  done: done.slice(0, -1),
  undone: [...undone, redo],
})

export const popUndone = ({ done, undone }: UndoStacks, undo: UndoStep): UndoStacks => ({
  done: [...done, undo],
  undone: undone.slice(0, -1),
})
