import { openDB, unwrap, wrap } from 'idb'
import type { DBSchema, IDBPDatabase, OpenDBCallbacks, StoreNames, StoreValue } from 'idb'

/**
 * A database of this browser, opened when it is first asked for, and again where the browser has closed it: it may clear what it
 * keeps at any time. Rejects where the browser keeps nothing.
 */
export function browserDatabase<Stores extends DBSchema>(
  name: string,
  version: number,
  upgrade: NonNullable<OpenDBCallbacks<Stores>['upgrade']>,
): () => Promise<IDBPDatabase<Stores>> {
  let opened: Promise<IDBPDatabase<Stores>> | undefined
  const forget = (): void => {
    opened = undefined
  }
  const open = async (): Promise<IDBPDatabase<Stores>> => {
    try {
      return toldOnce(
        await openDB<Stores>(name, version, {
          upgrade(...given) {
            // That it could not be made is told by the opening, which rejects too.
            given[3].done.catch(() => undefined)
            return upgrade(...given)
          },
          terminated: forget,
        }),
      )
    } catch (refused) {
      forget()
      throw refused
    }
  }
  return () => (opened ??= open())
}

/**
 * Where the browser breaks a transaction off, as when what it keeps is cleared, whatever was asked in it rejects; that its end does
 * as well is no error of its own.
 */
function toldOnce<Stores extends DBSchema>(database: IDBPDatabase<Stores>): IDBPDatabase<Stores> {
  const native = unwrap(database)
  const begin = native.transaction.bind(native)
  native.transaction = (...asked) => {
    const transaction = begin(...asked)
    wrap(transaction).done.catch(() => undefined)
    return transaction
  }
  return database
}

/** Puts one thing into the browser and commits it in the same breath: a window may be closed or loaded anew the moment after. */
export async function putAtOnce<Stores extends DBSchema, Name extends StoreNames<Stores>>(
  database: IDBPDatabase<Stores>,
  name: Name,
  value: StoreValue<Stores, Name>,
): Promise<void> {
  const transaction = database.transaction(name, 'readwrite')
  const put = transaction.store.put(value)
  transaction.commit()
  await Promise.all([put, transaction.done])
}

interface Identified {
  readonly id: string
}
/** What is asked of a database for one table of it. */
interface Table<T> {
  readonly put: (one: T) => Promise<unknown>
  readonly delete: (id: string) => Promise<unknown>
  readonly all: () => Promise<readonly T[]>
}

/** A table whose things stay in this window where the browser does not keep them: none is lost while the window is open. */
export function keptOrHere<T extends Identified>(table: Table<T>): Table<T> {
  const here = new Map<string, T>()
  return {
    async put(one) {
      await table.put(one).then(
        () => here.delete(one.id),
        () => here.set(one.id, one),
      )
    },
    async delete(id) {
      here.delete(id)
      await table.delete(id).catch(() => undefined)
    },
    async all() {
      const kept = await table.all().catch(() => [])
      return [...kept.filter(({ id }) => !here.has(id)), ...here.values()]
    },
  }
}
