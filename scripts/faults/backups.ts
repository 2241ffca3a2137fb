import fc from 'fast-check'
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { makeBackup } from '#server/backup/make-backup'
import { checkBackup } from '#server/backup/read-backup'
import { openDatabase } from '#server/db/open'
import { sessionStore } from '#server/features/sessions/store'
import { benchSession } from '#testing/bench-session'
import { kill, startChild } from '../shared/child.ts'
import { fileIn, inFolder } from './folder.ts'
import { wait } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const clock = { now: () => new Date() }
const made = 40

/** A house with something in it: sessions, and a sound beside them. */
async function furnish(folder: string, from: number): Promise<void> {
  const database = await openDatabase(fileIn(folder))
  const sessions = sessionStore(database, clock)
  for (let at = from; at < from + made; at += 1) await sessions.create({ ...benchSession(), id: `s${String(at)}` })
  await database.close()
  mkdirSync(join(folder, 'sounds'), { recursive: true })
  writeFileSync(join(folder, 'sounds', 'gong'), Buffer.alloc(200_000, 7))
}

const countIn = async (folder: string): Promise<number> => {
  const database = await openDatabase(fileIn(folder))
  const count = await database.models.sessions.count()
  await database.close()
  return count
}

/** Kills a process while it makes a backup: whatever has the name of one is whole, and the database is as it was. */
async function killedMaking(afterMs: number): Promise<string | undefined> {
  return inFolder(async (folder) => {
    await furnish(folder, 0)
    const process = await startChild('faults/backup-child.ts', 'make', folder)
    await wait(afterMs)
    await kill(process)
    const backups = join(folder, 'backups')
    const named = existsSync(backups) ? readdirSync(backups).filter((name) => name.endsWith('.zip')) : []
    for (const name of named)
      if (!(await checkBackup(join(backups, name)).catch(() => undefined))) return `${name} is not whole`
    const count = await countIn(folder)
    return count === made ? undefined : `${String(count)} of ${String(made)} sessions`
  })
}

/** Kills a process while it puts a backup back: the database is the one before, or the one of the backup, whole. */
async function killedRestoring(afterMs: number): Promise<string | undefined> {
  return inFolder(async (folder) => {
    await furnish(folder, 0)
    await makeBackup({ file: fileIn(folder), folder }, 'asked', clock, join(folder, 'good.zip'))
    await furnish(folder, made)
    const process = await startChild('faults/backup-child.ts', 'restore', folder)
    await wait(afterMs)
    await kill(process)
    const count = await countIn(folder)
    return count === made || count === 2 * made ? undefined : `${String(count)} sessions: neither before nor after`
  })
}

export async function killedBackups(seed: number, count: number): Promise<Tally[]> {
  const moments = fc.sample(fc.integer({ min: 0, max: 350 }), { seed: seed + 5, numRuns: count })
  const [making, restoring]: [(string | undefined)[], (string | undefined)[]] = [[], []]
  for (const afterMs of moments) {
    making.push(await killedMaking(afterMs))
    restoring.push(await killedRestoring(afterMs))
  }
  return [
    tallyOf('killed while a backup was made: what is named one is whole', making),
    tallyOf('killed while one was put back: all of before, or all of it', restoring),
  ]
}
