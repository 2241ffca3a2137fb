import { editSpans, leastSpanMs } from '#core/captions'
import type { Caption, EditedSpan, SpanEdit } from '#core/captions'

/** One step of the teacher: the spans before and after it, and which one it was about. */
interface Step {
  readonly before: readonly EditedSpan[]
  readonly after: readonly EditedSpan[]
  readonly at: number
  readonly words: string
  /** An edge that is moved again and again is one step. */
  readonly edge: number | undefined
}

/** The spans of a recording as they are put right: which one is chosen, and the steps back and forth. */
export interface RecordingState {
  readonly spans: readonly EditedSpan[]
  readonly chosen: number
  readonly done: readonly Step[]
  readonly undone: readonly Step[]
}

export type RecordingCommand =
  | { readonly type: 'choose'; readonly at: number }
  | { readonly type: 'edit'; readonly edit: SpanEdit; readonly words: string }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }

/** Steps kept per window [decisions]. */
const mostSteps = 200

export const recordingOf = (spans: readonly EditedSpan[]): RecordingState => ({
  ...{ spans, chosen: 0, done: [], undone: [] },
})

/** The state after a command; the same where there is nothing to do. */
export function recordingStep(state: RecordingState, command: RecordingCommand): RecordingState {
  switch (command.type) {
    case 'choose':
      return { ...state, chosen: Math.max(0, Math.min(state.spans.length - 1, command.at)) }
    case 'edit':
      return edited(state, command.edit, command.words)
    case 'undo': {
      const step = state.done.at(-1)
      if (!step) return state
      return { spans: step.before, chosen: step.at, done: state.done.slice(0, -1), undone: [...state.undone, step] }
    }
    case 'redo': {
      const step = state.undone.at(-1)
      if (!step) return state
      return { spans: step.after, chosen: step.at, done: [...state.done, step], undone: state.undone.slice(0, -1) }
    }
  }
}

function edited(state: RecordingState, edit: SpanEdit, words: string): RecordingState {
  const after = editSpans(state.spans, edit)
  if (after === state.spans) return state
  const edge = edit.type === 'start' ? edit.at : undefined
  const last = state.done.at(-1)
  const goesOn = edge !== undefined && last?.edge === edge && last.after === state.spans
  // Moving its end moves the start of the next: the chosen one stays chosen. What was split off is named next.
  const chosen = edit.type === 'split' ? edit.at + 1 : state.chosen
  const step = { before: goesOn ? last.before : state.spans, after, at: state.chosen, words, edge }
  const done = [...(goesOn ? state.done.slice(0, -1) : state.done), step].slice(-mostSteps)
  return { spans: after, chosen, done, undone: [] }
}

/** Where a stretch is split in two: where somebody begins to speak, nearest to its middle; else at its middle. */
export function splitMs({ startMs, endMs }: EditedSpan, captions: readonly Caption[]): number {
  const middleMs = (startMs + endMs) / 2
  const [nearest] = captions
    .map((caption) => caption.startMs)
    .filter((ms) => ms >= startMs + leastSpanMs && ms <= endMs - leastSpanMs)
    .sort((a, b) => Math.abs(a - middleMs) - Math.abs(b - middleMs))
  return nearest ?? middleMs
}
