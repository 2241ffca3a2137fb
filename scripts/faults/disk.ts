import { spawnSync } from 'node:child_process'
import {
  chmodSync,
  copyFileSync,
  existsSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { openDatabase } from '#server/db/open'
import { aSession } from '#testing/sessions'
import { pagesFolder } from '../shared/pages.ts'
import { formers, opensWith } from './formers.ts'
import { kill, startChild } from '../shared/child.ts'
import { fileIn, inFolder } from './folder.ts'
import { ask, endOf, over, send } from './house.ts'
import { notTried, tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const mount = (...args: string[]): boolean => spawnSync('mount', args, { stdio: 'ignore' }).status === 0

/** Does work with a small file system of its own; undefined where this user may not mount one. */
async function onSmallDisk<T>(sizeKb: number, work: (folder: string) => Promise<T>): Promise<T | undefined> {
  return inFolder(async (folder) => {
    if (!mount('-t', 'tmpfs', '-o', `size=${String(sizeKb)}k`, 'tmpfs', folder)) return undefined
    try {
      return await work(folder)
    } finally {
      spawnSync('umount', ['-l', folder], { stdio: 'ignore' })
    }
  })
}
const why = 'not tried: this user may not mount a file system'

const sentence = /no room|full or failing|in use/
const failure = (error: unknown) => (error instanceof Error ? error.message : String(error))
const opens = async (folder: string): Promise<string | undefined> =>
  openDatabase(fileIn(folder))
    .then((database) => database.close())
    .then(() => undefined, failure)

/** First starts on disks of many sizes that are too small: with room, each starts. */
export async function fullAtStart(): Promise<Tally> {
  const what = 'disk full at the first start, at 12 sizes: with room it starts'
  const trials: (string | undefined)[] = []
  for (let sizeKb = 32; sizeKb <= 296; sizeKb += 24) {
    const trial = await onSmallDisk(sizeKb, async (folder) => {
      const first = await opens(folder)
      mount('-o', 'remount,size=8m', folder)
      const second = await opens(folder)
      if (second !== undefined) return { broken: `${String(sizeKb)} kB: ${second}` }
      return { broken: first === undefined || sentence.test(first) ? undefined : `${String(sizeKb)} kB said: ${first}` }
    })
    if (!trial) return notTried(what, why)
    trials.push(trial.broken)
  }
  return tallyOf(what, trials)
}

/** With so much room beside the file a migration goes through. */
const mostRoomKb = 660

/**
 * Databases of the commits before each migration, on disks with a little room beside them: what does not fit is told in
 * a sentence and leaves the file with all that was in it, and with room the next start opens.
 */
export async function fullAtMigration(sizes: number): Promise<Tally> {
  const what = `disk full at a migration, at ${String(sizes)} sizes of two older files`
  const trials: (string | undefined)[] = []
  let told = 0
  for (const former of formers) {
    const sizeKb = Math.ceil(statSync(former.file).size / 1024)
    for (let at = 0; at < sizes; at += 1) {
      const roomKb = Math.round((at * mostRoomKb) / sizes)
      const trial = await onSmallDisk(sizeKb + roomKb, async (folder) => {
        copyFileSync(former.file, fileIn(folder))
        const first = await opens(folder)
        if (first !== undefined) told += 1
        mount('-o', 'remount,size=16m', folder)
        const broken = await opensWith(folder, former.classes)
        if (broken !== undefined) return { broken: `${String(roomKb)} kB: ${broken}` }
        return { broken: first === undefined || sentence.test(first) ? undefined : `${String(roomKb)} kB: ${first}` }
      })
      if (!trial) return notTried(what, why)
      trials.push(trial.broken)
    }
  }
  return tallyOf(what, trials, `${String(told)} told, the others had room`)
}

/** Files and folders that may not be written to: told in a sentence, and untouched. */
export async function notWritable(): Promise<Tally> {
  const what = 'a database that may not be written to: told, and untouched'
  const nobody = process.getuid?.() === 0 ? 65_534 : undefined
  const trials: (string | undefined)[] = []
  const modes: readonly (readonly [file: number, folder: number])[] = [
    [0o444, 0o755],
    [0o444, 0o555],
    [0o000, 0o700],
    // Only to somebody else.
    ...(nobody === undefined ? [] : ([[0o600, 0o755]] as const)),
  ]
  for (const [fileMode, folderMode] of modes) {
    await inFolder(async (folder) => {
      const file = fileIn(folder)
      copyFileSync(formers[0].file, file)
      const before = readFileSync(file)
      chmodSync(file, fileMode)
      chmodSync(folder, folderMode)
      const said = await endOf('faults/open.ts', folder, nobody)
      chmodSync(folder, 0o700)
      chmodSync(file, 0o600)
      const name = `${fileMode.toString(8)} in ${folderMode.toString(8)}`
      const told = said.includes('cannot be opened for writing')
      trials.push(told && readFileSync(file).equals(before) ? undefined : `${name}: ${said}`)
      trials.push(readdirSync(folder).length === 1 ? undefined : `${name}: left ${readdirSync(folder).join(', ')}`)
    })
  }
  return tallyOf(what, trials)
}

/** What a server that is asked may open for a while; each failed save would leave two. */
const someMore = 12

/** A disk that is full for hundreds of saves, then has room: the same server saves and serves again. */
export async function fullWhileRunning(saves: number): Promise<Tally[]> {
  const what = `disk full for ${String(saves)} saves`
  const tallies = await onSmallDisk(1024, async (folder) => {
    const child = await startChild('faults/serve.ts', folder, ...pagesWhereBuilt())
    const address = child.said
    try {
      const made = await ask(address, '/api/sessions', send('POST', aSession()))
      const filler = join(folder, 'filler')
      fill(filler)
      let version = 1
      const save = async () => {
        const purpose = 'x'.repeat(15_000)
        const reply = await ask(
          address,
          '/api/sessions/session-1',
          send('PUT', aSession([], { purpose }), over(version)),
        )
        if (reply.status === 200) version = reply.version
        return reply
      }
      const openBefore = openFiles(child.process.pid)
      const told: (string | undefined)[] = [made.status === 201 ? undefined : `made: ${String(made.status)}`]
      let full = 0
      for (let at = 0; at < saves; at += 1) {
        const { status } = await save()
        if (status === 507) full += 1
        told.push(status === 507 || status === 200 ? undefined : `save ${String(at)}: ${String(status)}`)
      }
      const openAfter = openFiles(child.process.pid)
      const noBackup = [await backsUp(address, 507), nothingHalf(folder)]
      rmSync(filler)
      const again = await save()
      const read = await ask(address, '/api/sessions/session-1')
      const page = await ask(address, '/api/health')
      // A backup takes more than all of this disk.
      mount('-o', 'remount,size=8m', folder)
      const backup = await backsUp(address, 201)
      return [
        tallyOf(`${what}: each is kept, or told that the disk is full`, told, `${String(full)} told`),
        tallyOf(
          'with room again: saved, read and served without a restart',
          [again, read, page].map(({ status }) => (status === 200 ? undefined : `status ${String(status)}`)),
        ),
        tallyOf('a backup then: told that the disk is full, nothing of it left; with room it is made', [
          ...noBackup,
          backup,
        ]),
        tallyOf(
          'no descriptor is left open by what failed',
          [openAfter < openBefore + someMore ? undefined : `${String(openBefore)} before, ${String(openAfter)} after`],
          `${String(openBefore)} before, ${String(openAfter)} after`,
        ),
      ]
    } finally {
      await kill(child)
    }
  })
  return tallies ?? [notTried(what, why)]
}

const pagesWhereBuilt = (): string[] => (existsSync(join(pagesFolder, 'index.html')) ? [pagesFolder] : [])

async function backsUp(address: string, wanted: number): Promise<string | undefined> {
  const { status } = await ask(address, '/api/backups', { method: 'POST' })
  return status === wanted ? undefined : `status ${String(status)} in place of ${String(wanted)}`
}

/** Whether nothing is left of a backup that was begun. */
function nothingHalf(folder: string): string | undefined {
  const left = readdirSync(folder, { recursive: true })
    .map(String)
    .filter((name) => name.includes('.zip'))
  return left.length === 0 ? undefined : `left ${left.join(', ')}`
}

/** Writes until not a byte more goes in. */
function fill(file: string): void {
  for (let size = 64 * 1024; size >= 512; size = Math.floor(size / 2)) {
    for (;;) {
      const before = existsSync(file) ? readFileSync(file).length : 0
      try {
        writeFileSync(file, Buffer.alloc(size), { flag: 'a' })
      } catch {
        break
      }
      if (readFileSync(file).length <= before) break
    }
  }
}

const openFiles = (pid: number | undefined): number => readdirSync(`/proc/${String(pid)}/fd`).length
