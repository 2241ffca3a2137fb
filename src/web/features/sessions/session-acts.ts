import { nanoid } from 'nanoid'
import { markedName } from '#words/text'
import { saveSession, setSessionState, createSession } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { lastOpenedId, rememberOpened } from '#web/shared/session/last-opened.ts'
import type { SessionDesk } from './session-desk.ts'

/** The session that is open in this window, as the list may have to let go of it. */
export interface OpenHere {
  readonly document: { readonly id: string } | undefined
  readonly close: () => Promise<void>
  readonly open: (id: string) => Promise<void>
}

/** What can be done to a session of the list as a whole, each with its way back. */
export function sessionActs(desk: SessionDesk, here: OpenHere) {
  async function duplicate(line: SessionLine): Promise<void> {
    const read = await desk.documentOf(line)
    if (!read) return
    const copy = { ...read.document, id: nanoid(), name: markedName(line.name, ', copy') }
    if (!desk.settled(await createSession(copy))) return
    await desk.done(`${line.name} duplicated`, () => change(copy.id, { deleted: true }, 'The copy is gone again'))
  }

  async function rename(line: SessionLine, typed: string): Promise<void> {
    const name = typed.trim()
    if (name === '' || name === line.name) return
    // One that is open here is opened anew, so that its undo and its saving know of it.
    const isOpen = here.document?.id === line.id
    if (isOpen) await here.close()
    const read = await desk.documentOf(line)
    if (!read || !desk.settled(await saveSession({ ...read.document, name }, read.version))) return
    if (isOpen) await here.open(line.id)
    await desk.done(`${line.name} is now called ${name}`, () => rename({ ...line, name }, line.name))
  }

  async function change(
    id: string,
    next: { archived?: boolean; template?: boolean; deleted?: boolean },
    words: string,
    back?: () => Promise<void>,
  ): Promise<void> {
    if (here.document?.id === id && next.deleted) await here.close()
    if (!desk.settled(await setSessionState(id, next))) return
    if (next.deleted && lastOpenedId() === id) rememberOpened(null)
    await desk.done(words, back)
  }
  /** One of two states, with the words for either. */
  const turn =
    (field: 'archived' | 'template' | 'deleted', on: string, off: string) =>
    ({ id, name }: SessionLine, to = true): Promise<void> =>
      change(id, { [field]: to }, `${name} ${to ? on : off}`, () =>
        change(id, { [field]: !to }, `${name} ${to ? off : on}`),
      )

  return {
    duplicate,
    rename,
    archive: turn('archived', 'is put away', 'is back in the list'),
    makeTemplate: turn('template', 'is a template now', 'is a session again'),
    remove: turn('deleted', 'is deleted', 'is back'),
  }
}
