import { copyFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import type { Session } from '#model/session'
import { openDatabase } from '#server/db/open'
import { aSession } from '#testing/sessions'
import { rootFolder } from '../shared/pages.ts'
import { ask, fileIn, inFolder, kill, over, send, startChild, wait } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

/** A database as the commit before the migrations 006 and 007 wrote it. */
const former = join(rootFolder, 'src', 'server', 'db', 'fixtures', '005.sqlite')

const moments = (seed: number, count: number, fromMs: number, toMs: number) =>
  fc.sample(fc.integer({ min: fromMs, max: toMs }), { seed, numRuns: count })

/** Kills a server while it brings a database up to date: the next start opens it, with all that was there. */
export async function killedMigrations(seed: number, count: number): Promise<Tally> {
  const trials: (string | undefined)[] = []
  for (const [at, afterMs] of moments(seed, count, 0, 160).entries()) {
    trials.push(
      await inFolder(async (folder) => {
        // Every third begins from nothing.
        if (at % 3 > 0) copyFileSync(former, fileIn(folder))
        const child = await startChild('open.ts', folder)
        await wait(afterMs)
        await kill(child)
        return opensWith(folder, at % 3 > 0 ? 4 : 0, afterMs)
      }),
    )
  }
  return tallyOf('killed while the database was brought up to date', trials)
}

async function opensWith(folder: string, records: number, afterMs: number): Promise<string | undefined> {
  try {
    const database = await openDatabase(fileIn(folder))
    const there = await database.models.ledClasses.count()
    await database.close()
    return there === records ? undefined : `after ${String(afterMs)} ms ${String(there)} of ${String(records)} classes`
  } catch (error) {
    return `after ${String(afterMs)} ms: ${error instanceof Error ? error.message : String(error)}`
  }
}

/** Kills a server under writers: nothing it had acknowledged is missing, and the file is whole. */
export async function killedWrites(seed: number, count: number): Promise<Tally> {
  const trials: (string | undefined)[] = []
  let acknowledged = 0
  for (const afterMs of moments(seed + 1, count, 50, 900)) {
    trials.push(
      await inFolder(async (folder) => {
        const child = await startChild('serve.ts', folder)
        const writers = [0, 1, 2].map((writer) => writeUntilGone(child.said, writer))
        await wait(afterMs)
        await kill(child)
        const last = await Promise.all(writers)
        acknowledged += last.reduce((sum, { version }) => sum + version, 0)
        return missing(folder, last)
      }),
    )
  }
  return tallyOf(
    'killed under three writers: nothing acknowledged is missing',
    trials,
    `${String(acknowledged)} writes acknowledged`,
  )
}

interface Written {
  readonly session: Session
  /** The last version the server acknowledged; 0 for none. */
  readonly version: number
}

/** Saves one session again and again, until the server is no more. */
async function writeUntilGone(address: string, writer: number): Promise<Written> {
  const id = `writer-${String(writer)}`
  let last: Written = { session: aSession([], { id, name: 'State 1' }), version: 0 }
  const made = await ask(address, '/api/sessions', send('POST', last.session))
  if (made.status !== 201) return last
  last = { ...last, version: 1 }
  for (;;) {
    const session = { ...last.session, name: `State ${String(last.version + 1)}` }
    const reply = await ask(address, `/api/sessions/${id}`, send('PUT', session, over(last.version)))
    if (reply.status !== 200) return last
    last = { session, version: last.version + 1 }
  }
}

async function missing(folder: string, written: readonly Written[]): Promise<string | undefined> {
  const database = await openDatabase(fileIn(folder))
  try {
    for (const { session, version } of written) {
      const row = await database.models.sessions.findByPk(session.id)
      if (version > 0 && (row === null || row.version < version)) return `${session.id} lost version ${String(version)}`
      if (row?.version === version && row.name !== session.name) return `${session.id} is ${row.name}`
    }
    return undefined
  } finally {
    await database.close()
  }
}
