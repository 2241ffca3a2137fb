import { copyFileSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { openDatabase } from '#server/db/open'
import { clients } from './clients.ts'
import type { Acknowledged } from './clients.ts'
import { formers, opensWith } from './formers.ts'
import { kill, startChild } from '../shared/child.ts'
import { fileIn, inFolder } from './folder.ts'
import { wait } from './house.ts'
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
        const child = await startChild('faults/open.ts', folder)
        await wait(afterMs)
        await kill(child)
        const broken = await opensWith(folder, former?.classes ?? 0)
        return broken && `after ${String(afterMs)} ms: ${broken}`
      }),
    )
  }
  return tallyOf('killed while the database was brought up to date', trials)
}

/** Kills a server under clients that write at once: nothing it had acknowledged is missing, and the file is whole. */
export async function killedWrites(seed: number, count: number): Promise<Tally> {
  const trials: (string | undefined)[] = []
  let acknowledged = 0
  for (const [at, afterMs] of moments(seed + 1, count, 0, 300).entries()) {
    trials.push(
      await inFolder(async (folder) => {
        copyFileSync(await emptyHouse(), fileIn(folder))
        const child = await startChild('faults/serve.ts', folder)
        const begun: (() => void)[] = []
        const first = new Promise<void>((settle) => begun.push(settle))
        const writing = clients.map((client) => client(child.said, () => begun.pop()?.()))
        // Most are killed among writes, some before the first.
        if (at % 5 > 0) await first
        await wait(afterMs)
        await kill(child)
        const written = await Promise.all(writing)
        acknowledged += written.reduce((sum, { writes }) => sum + writes, 0)
        const broken = await lookedAt(folder, written)
        return broken && `after ${String(afterMs)} ms: ${broken}`
      }),
    )
  }
  return tallyOf(
    `killed under ${String(clients.length)} clients: nothing acknowledged is missing`,
    trials,
    `${String(acknowledged)} writes acknowledged`,
  )
}

let empty: Promise<string> | undefined
/** A database with all its tables, so that a server that is to be killed starts at once. */
function emptyHouse(): Promise<string> {
  empty ??= (async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'zovrin-empty-')), 'zovrin.sqlite')
    await (await openDatabase(file)).close()
    return file
  })()
  return empty
}

async function lookedAt(
  folder: string,
  written: readonly { readonly look: Acknowledged }[],
): Promise<string | undefined> {
  const database = await openDatabase(fileIn(folder))
  try {
    for (const { look } of written) {
      const broken = await look(database)
      if (broken !== undefined) return broken
    }
    return undefined
  } finally {
    await database.close()
  }
}
