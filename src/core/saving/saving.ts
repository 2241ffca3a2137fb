import { isSame } from '#core/session'
import type { Milliseconds } from '#core/units'

/** Where the teacher's last change is: kept by the server, on its way, or still only in this browser. */
export type SaveStatus = 'saved' | 'waiting' | 'saving' | 'retrying' | 'conflict' | 'refused'

/** A document of the server with the version it has there. */
export interface Kept<D> {
  readonly document: D
  readonly version: number
}

/** Something that saves itself: a session, or whatever else has a version at the server. */
export interface Saving<D> {
  /** As the teacher has it. */
  readonly document: D
  /** What the server has, as far as is known; and its version, which a save is based on. */
  readonly saved: D | undefined
  readonly based: number
  readonly status: SaveStatus
  /** The request that is out, by its running number: a reply to any other changes nothing. */
  readonly out: {
    readonly n: number
    readonly asked: 'save' | 'keep mine' | 'theirs' | 'set aside'
    readonly sent: D
  } | null
  readonly asked: number
  /** Since when an edit waits. */
  readonly firstEditMs: Milliseconds | null
  /** Another window's version, when a save was refused because of it. */
  readonly theirs: Kept<D> | null
  /** What the server said where it refused the document itself. */
  readonly refusal: string | null
  /** The browser could not keep the draft: what is unsaved lives in this window only. */
  readonly draftFailed: boolean
  /** The server is there and has no room to write: tried again all the same. */
  readonly isDiskFull: boolean
}

export type SavingEvent<D> =
  | { readonly type: 'edited'; readonly document: D; readonly atMs: Milliseconds }
  /** The time that was asked for has come; or the document is closed, which saves at once. */
  | { readonly type: 'timer' | 'closed' }
  | { readonly type: 'saved'; readonly n: number; readonly version: number }
  | { readonly type: 'stale'; readonly n: number }
  | { readonly type: 'away'; readonly n: number; readonly isDiskFull?: boolean }
  | { readonly type: 'refused'; readonly n: number; readonly refusal: string }
  | { readonly type: 'theirs'; readonly n: number; readonly theirs: Kept<D> }
  | { readonly type: 'set aside'; readonly n: number }
  | { readonly type: 'draft kept' | 'draft failed' | 'keep mine' | 'take theirs' }

export type SavingEffect<D> =
  | { readonly type: 'put draft'; readonly document: D; readonly based: number }
  | { readonly type: 'drop draft' }
  /** What the server has now, kept for when it is away. */
  | { readonly type: 'know'; readonly kept: Kept<D> }
  | {
      readonly type: 'send'
      readonly n: number
      readonly document: D
      readonly based: number
      /** The version saved over is another window's: it is put into history. */
      readonly over: boolean
    }
  | { readonly type: 'fetch theirs'; readonly n: number }
  | { readonly type: 'set aside'; readonly n: number; readonly document: D; readonly based: number }
  | { readonly type: 'wake'; readonly afterMs: Milliseconds }

/** Whether a draft says nothing but what the server has. */
export const isAsKept = <D>(draft: Kept<D> | undefined, kept: Kept<D> | undefined): boolean =>
  draft !== undefined && kept !== undefined && isSame(draft.document, kept.document)

/**
 * A document as it is opened: the server's, or a draft over it with the version it was based on. A draft that says what
 * the server has is none: its save was answered, or went through, just as the window was closed.
 */
export function openSaving<D>(kept: Kept<D> | undefined, written: Kept<D> | undefined): Saving<D> | undefined {
  const draft = isAsKept(written, kept) ? undefined : written
  const document = draft?.document ?? kept?.document
  if (document === undefined) return undefined
  const isMet = draft !== undefined && kept !== undefined && draft.version !== kept.version
  return {
    document,
    saved: kept?.document,
    based: draft?.version ?? kept?.version ?? 0,
    status: isMet ? 'conflict' : draft ? 'waiting' : 'saved',
    out: null,
    asked: 0,
    firstEditMs: null,
    theirs: isMet ? kept : null,
    refusal: null,
    draftFailed: false,
    isDiskFull: false,
  }
}
