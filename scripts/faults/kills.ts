import { copyFileSync } from 'node:fs'
import fc from 'fast-check'
import type { Session } from '#model/session'
import { openDatabase } from '#server/db/open'
import { aSession } from '#testing/sessions'
import { formers, opensWith } from './formers.ts'
import { ask, fileIn, inFolder, kill, over, send, startChild, wait } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const moments = (seed: number, count: number, fromMs: number, toMs: number) =>
  fc.sample(fc.integer({ min: fromMs, max: toMs }), { seed, numRuns: count })

/** Kills a server while it brings a database up to date: the next start opens it, with all that was there. */
export async function killedMigrations(seed: number, count: number): Promise<Tally> {
  const trials: (string | undefined)[] = []
  for (const [at, afterMs] of moments(seed, count, 0, 160).entries()) {
    trials.push(
      await inFolder(async (folder) => {
        // Every third begins from nothing.
        const former = at % 3 > 0 ? formers[at % formers.length] : undefined
        if (former) copyFileSync(former.file, fileIn(folder))
        const child = await startChild('open.ts', folder)
        await wait(afterMs)
        await kill(child)
        const broken = await opensWith(folder, former?.classes ?? 0)
        return broken && `after ${String(afterMs)} ms: ${broken}`
      }),
    )
  }
  return tallyOf('killed while the database was brought up to date', trials)
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
