import type { DBSchema } from 'idb'
import { browserDatabase, putAtOnce } from '#web/shared/saving/browser-database.ts'
import { lift } from '#model/lift'
import type { Session } from '#model/session'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** A session as a window last had it, with the version of the server it is based on. */
export interface Draft {
  readonly sessionId: string
  readonly windowId: string
  readonly document: Session
  readonly based: number
  readonly atMs: number
}

interface Stores extends DBSchema {
  drafts: { key: [string, string]; value: Draft; indexes: { session: string } }
  /** What the server last said of each session, for opening one while it is away. */
  known: { key: string; value: { document: Session; version: number } }
}

const database = browserDatabase<Stores>(itsOwn('zovrin'), 1, (db) => {
  db.createObjectStore('drafts', { keyPath: ['sessionId', 'windowId'] }).createIndex('session', 'sessionId')
  db.createObjectStore('known')
})

export async function putDraft(draft: Draft): Promise<void> {
  await putAtOnce(await database(), 'drafts', draft)
}

export async function dropDraft(sessionId: string, windowId: string): Promise<void> {
  await (await database()).delete('drafts', [sessionId, windowId])
}

/** What an earlier version of Zovrin kept in this browser is of the schema it had then. */
const lifted = <T extends { document: Session }>(kept: T): T => ({ ...kept, document: lift(kept.document) })

/** Drafts of a session from all windows of this browser, newest first. */
export async function draftsOf(sessionId: string): Promise<Draft[]> {
  const drafts = await (await database()).getAllFromIndex('drafts', 'session', sessionId)
  return drafts.map(lifted).sort((a, b) => b.atMs - a.atMs)
}

export async function putKnown(document: Session, version: number): Promise<void> {
  await (await database()).put('known', { document, version }, document.id)
}

export async function knownSession(id: string) {
  const known = await (await database()).get('known', id)
  return known && lifted(known)
}

export async function allKnown() {
  return (await (await database()).getAll('known')).map(lifted)
}

/** Forgets sessions that the server has no more, so that none of them is offered while it is away. */
export async function keepOnlyKnown(ids: ReadonlySet<string>): Promise<void> {
  const { store, done } = (await database()).transaction('known', 'readwrite')
  for (const id of await store.getAllKeys()) if (!ids.has(id)) await store.delete(id)
  await done
}
