import type { DBSchema } from 'idb'
import { browserDatabase, keptOrHere, putAtOnce } from '#web/shared/saving/browser-database.ts'
import { ledStartSchema } from '#model/led-class'
import type { KeptEvent, LedEnd, LedStart } from '#model/led-class'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** A class that was begun in this browser and is not wholly on the server yet. */
export interface RunningClass {
  readonly id: string
  readonly sessionId: string
  readonly start: LedStart
  readonly events: readonly KeptEvent[]
  /** Class time at which it was last kept: what came after is a gap. */
  readonly keptRunMs: number
  /** Once it is over: how it ended, until the server has it. */
  readonly end?: LedEnd
}

interface Stores extends DBSchema {
  classes: { key: string; value: RunningClass; indexes: { session: string } }
  /** Records of the first edition that were left unfinished or unsent: handed to the server as they are. */
  former: { key: number; value: { readonly led: unknown } }
  /** Where the first edition kept its running class. */
  running: { key: string; value: { readonly led: unknown } }
}

const database = browserDatabase<Stores>(itsOwn('zovrin-classes'), 2, async (db, from, _to, transaction) => {
  db.createObjectStore('classes', { keyPath: 'id' }).createIndex('session', 'sessionId')
  db.createObjectStore('former', { autoIncrement: true })
  if (from < 1) return
  for (const record of await transaction.objectStore('running').getAll())
    await transaction.objectStore('former').add(record)
  db.deleteObjectStore('running')
})

const classes = keptOrHere<RunningClass>({
  put: async (running) => putAtOnce(await database(), 'classes', running),
  delete: async (id) => (await database()).delete('classes', id),
  all: async () => (await database()).getAll('classes'),
})

export async function keepRunning(running: RunningClass): Promise<void> {
  await classes.put(running)
}

export async function dropRunning(id: string): Promise<void> {
  await classes.delete(id)
}

/** One that an earlier version of Zovrin began is led on as this one has it; one that cannot be read stays as it is. */
function lifted(running: RunningClass | undefined): RunningClass | undefined {
  const start = ledStartSchema.safeParse(running?.start)
  return running && start.success ? { ...running, start: start.data } : running
}

/** The class of a session that was begun in this browser and is not over. */
export async function runningOf(sessionId: string): Promise<RunningClass | undefined> {
  const all = await classes.all()
  return lifted(all.find((one) => one.sessionId === sessionId && one.end === undefined))
}

/** The class that runs, or was left running when its window closed. */
export async function anyRunning(): Promise<RunningClass | undefined> {
  return lifted((await classes.all()).find(({ end }) => end === undefined))
}

/** Classes that are over and not wholly sent. */
export async function unsentClasses(): Promise<readonly RunningClass[]> {
  return (await classes.all()).filter(({ end }) => end !== undefined)
}

/** What the first edition kept and never sent, each with a way to forget it. */
export async function formerClasses(): Promise<readonly { led: unknown; forget: () => Promise<void> }[]> {
  const db = await database().catch(() => undefined)
  if (!db) return []
  const keys = await db.getAllKeys('former')
  return Promise.all(
    keys.map(async (key) => ({ led: (await db.get('former', key))?.led, forget: () => db.delete('former', key) })),
  )
}
