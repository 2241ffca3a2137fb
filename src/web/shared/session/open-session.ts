import { until } from '@vueuse/core'
import { shallowRef } from 'vue'
import type { ShallowRef } from 'vue'
import type { Session } from '#model/session'
import { isAsKept, openSaving } from '#core/saving'
import type { Kept } from '#core/saving'
import { applyEdit } from '#core/session'
import type { Edit } from '#core/session'
import type { Reply } from '#web/shared/api/client.ts'
import { readSession, saveSession, setAsideSession } from '#web/shared/api/sessions.ts'
import { makeSaver } from '#web/shared/saving/saver.ts'
import type { Saver, SavingIo } from '#web/shared/saving/saver.ts'
import { draftsOf, dropDraft, knownSession, putDraft, putKnown } from './drafts.ts'
import type { Draft } from './drafts.ts'
import { emptyStacks, popDone, popUndone, pushStep } from './undo.ts'
import type { UndoStacks } from './undo.ts'
import { windowId, windowIsOpen } from './window-id.ts'

/** A session as this window works on it: its saving, and what can be undone; it outlives looking at another one. */
export interface OpenSession {
  readonly id: string
  readonly saver: Saver<Session>
  readonly stacks: ShallowRef<UndoStacks>
}

const ioOf = (id: string, mine: string): SavingIo<Session> => ({
  send: (document, based, over) => saveSession(document, based, over ? 'conflict' : undefined),
  fetch: () => readSession(id),
  setAside: (document, based) => setAsideSession(document, based, 'conflict'),
  putDraft: (document, based) => putDraft({ sessionId: id, windowId: mine, document, based, atMs: Date.now() }),
  dropDraft: () => dropDraft(id, mine),
  know: ({ document, version }) => putKnown(document, version),
})

/**
 * Opens a session that this window has worked on before: as it is here while it is unsaved, or saved and unchanged
 * elsewhere; anew, and without its undo, where another window saved it meanwhile.
 */
export async function openAgain(here: OpenSession): Promise<OpenSession | NotHere> {
  const { status, based } = here.saver.saving.value
  if (status !== 'saved') return here
  const reply = await readSession(here.id)
  const notHere = notHereBy(reply)
  if (notHere) return notHere
  if (reply.kind !== 'ok' || reply.version === based) return here
  const opened = openSaving({ document: reply.value, version: reply.version }, undefined)
  return opened ? withSaver(here.id, makeSaver(opened, ioOf(here.id, await windowId()))) : here
}

const withSaver = (id: string, saver: Saver<Session>): OpenSession => ({ id, saver, stacks: shallowRef(emptyStacks) })

/** The server has no such session, or has it in a form it does not read. */
export type NotHere = 'missing' | 'unreadable'

/** A server in trouble has not lost the session: what this browser knew is shown, as where it does not answer. */
function notHereBy(reply: Reply<unknown>): NotHere | undefined {
  if (reply.kind !== 'problem' || reply.problem.status >= 500) return undefined
  const { code } = reply.problem
  return code === 'SCHEMA_NEWER' || code === 'DOCUMENT_UNREADABLE' ? 'unreadable' : 'missing'
}

/** Reads a session and this window's draft of it; without the server what this browser knew last. */
export async function openSession(id: string): Promise<OpenSession | NotHere | 'away'> {
  // What no session can be called is not asked for.
  if (!/^[\w-]{1,64}$/.test(id)) return 'missing'
  const mine = await windowId()
  const [draft, reply] = await Promise.all([draftFor(id, mine).catch(() => undefined), readSession(id)])
  const notHere = notHereBy(reply)
  if (notHere) return notHere
  const kept = reply.kind === 'ok' ? { document: reply.value, version: reply.version } : await known(id)
  if (reply.kind === 'ok') void putKnown(reply.value, reply.version).catch(() => undefined)
  const written = draft && { document: draft.document, version: draft.based }
  if (isAsKept(written, kept)) void dropDraft(id, mine).catch(() => undefined)
  const opened = openSaving(kept, written)
  if (!opened) return 'away'
  return withSaver(id, makeSaver(opened, ioOf(id, mine)))
}

async function known(id: string): Promise<Kept<Session> | undefined> {
  return knownSession(id).catch(() => undefined)
}

/** When nothing of a session is on its way to the server any more; it may have been away. */
export async function settled({ saver }: OpenSession): Promise<void> {
  await until(() => saver.saving.value.out === null).toBe(true)
}

/** Does an edit as one undo step; false when it cannot be, or may not by `mayBe`. */
export function editSession(
  { saver, stacks }: OpenSession,
  change: Edit,
  words: string,
  mayBe: (before: Session, after: Session) => boolean,
): boolean {
  const before = saver.saving.value.document
  const done = applyEdit(before, change)
  if (!done.ok) return false
  if (done.value.session === before) return true
  if (!mayBe(before, done.value.session)) return false
  stacks.value = pushStep(stacks.value, { inverse: done.value.inverse, words })
  changed(saver, done.value.session)
  return true
}

/** Takes the last step back, or does it again; its words, or undefined where there is none. */
export function turnStep({ saver, stacks }: OpenSession, back: boolean): string | undefined {
  const last = (back ? stacks.value.done : stacks.value.undone).at(-1)
  const done = last && applyEdit(saver.saving.value.document, last.inverse)
  if (!last || !done?.ok) return undefined
  const turned = { inverse: done.value.inverse, words: last.words }
  stacks.value = back ? popDone(stacks.value, turned) : popUndone(stacks.value, turned)
  changed(saver, done.value.session)
  return last.words
}

const changed = (saver: Saver<Session>, document: Session): void => {
  saver.tell({ type: 'edited', document, atMs: performance.now() })
}

/** This window's own draft, else the newest of a window that was closed; those of open windows are theirs. */
async function draftFor(sessionId: string, mine: string): Promise<Draft | undefined> {
  const drafts = await draftsOf(sessionId)
  const own = drafts.find((draft) => draft.windowId === mine)
  if (own) return own
  for (const draft of drafts) {
    if (await windowIsOpen(draft.windowId)) continue
    await putDraft({ ...draft, windowId: mine })
    await dropDraft(sessionId, draft.windowId)
    return draft
  }
  return undefined
}
