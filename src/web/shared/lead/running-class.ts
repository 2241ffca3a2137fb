import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import type { LedClass } from '#model/classes'

/** The class that runs, as it is kept in this browser at every event and every few seconds. */
export interface RunningClass {
  readonly led: LedClass
  /** Class time and wall time when it was last kept: what came after is a gap. */
  readonly keptRunMs: number
  readonly keptEpochMs: number
}

interface Stores extends DBSchema {
  running: { key: string; value: RunningClass; indexes: { session: string } }
}

let opened: Promise<IDBPDatabase<Stores>> | undefined

function database(): Promise<IDBPDatabase<Stores>> {
  opened ??= openDB<Stores>('zovrin-classes', 1, {
    upgrade(db) {
      db.createObjectStore('running', { keyPath: 'led.id' }).createIndex('session', 'led.sessionId')
    },
  })
  return opened
}

export async function keepRunning(running: RunningClass): Promise<void> {
  await (await database()).put('running', running)
}

export async function dropRunning(id: string): Promise<void> {
  await (await database()).delete('running', id)
}

/** The class of a session that was begun in this browser and not finished. */
export async function runningOf(sessionId: string): Promise<RunningClass | undefined> {
  return (await (await database()).getAllFromIndex('running', 'session', sessionId))[0]
}

/** The class that runs, or was left running when its window closed. */
export async function anyRunning(): Promise<RunningClass | undefined> {
  return (await (await database()).getAll('running'))[0]
}
