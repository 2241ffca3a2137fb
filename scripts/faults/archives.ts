import fc from 'fast-check'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { archiveList } from '#model/archive'
import type { Archive } from '#model/archive'
import { firstTeacherId } from '#model/teacher'
import { archiveKind } from '#server/archive/archive-kind'
import { makeArchive } from '#server/archive/make-archive'
import { unpackListed } from '#server/backup/listed-zip'
import { listedFile, writeListed } from '#server/backup/write-listed'
import { openDatabase } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { seedDemo } from '#server/demo/seed'
import { fileIn, inFolder } from './folder.ts'
import { ask, over, send, withServer } from './house.ts'
import { changes, mutated } from './mutations.ts'
import type { Change } from './mutations.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

interface Unpacked {
  readonly list: Archive
  readonly files: ReadonlyMap<string, Buffer>
}

/** Everything of the demo's house, as the files of an archive. */
async function demoFiles(folder: string): Promise<Unpacked> {
  const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
  const database = await openDatabase(fileIn(folder), clock)
  await seedDemo(database, clock)
  const { path } = await makeArchive({ database: ownedBy(database, firstTeacherId), clock }, folder)
  await database.close()
  const into = join(folder, 'unpacked')
  const list = await unpackListed(archiveKind, path, into)
  return { list, files: new Map(list.files.map(({ name }) => [name, readFileSync(join(into, name))])) }
}

/** One file with something of it otherwise; or all of them, each in one of its documents: of what can be laid down, all that is read. */
function changed({ files }: Unpacked, by: readonly Change[], isEach: boolean): ReadonlyMap<string, Buffer> {
  const names = [...files.keys()].filter((name) => name.endsWith('.json'))
  const first = names[(by[0]?.where ?? 0) % names.length]
  return new Map(
    [...files].map(([name, bytes], at) => {
      if (!name.endsWith('.json') || (!isEach && name !== first)) return [name, bytes]
      const rows = JSON.parse(bytes.toString()) as Record<string, Record<string, unknown>[]>
      if (!isEach) return [name, Buffer.from(JSON.stringify(mutated(rows, by)))]
      for (const row of Object.values(rows).flat()) {
        const { document } = row
        const its = by.map((one) => ({ ...one, where: (one.where + at * 7919) % 1_000_000 }))
        if (typeof document === 'object' && document !== null) row['document'] = mutated(document, its)
      }
      return [name, Buffer.from(JSON.stringify(rows))]
    }),
  )
}

async function zipOf({ list }: Unpacked, files: ReadonlyMap<string, Buffer>, folder: string): Promise<Buffer> {
  const laid = [...files].map(([name, bytes]) => {
    const path = join(folder, 'laid', name)
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, bytes)
    return { name, path }
  })
  const content = { ...list, files: await Promise.all(laid.map(listedFile)) }
  const to = join(folder, 'mutated.zip')
  await writeListed(to, { name: archiveList, content }, laid, () => false)
  return readFileSync(to)
}

const lists = ['sessions', 'series', 'long-days', 'planned-classes', 'people', 'places', 'own', 'sounds', 'settings']

/** What of a house cannot be read, or saved back as it is; nothing where all can. */
async function unusable(address: string): Promise<string | undefined> {
  for (const list of [...lists, 'led-classes', 'led-classes/times', 'led-classes/drifts', 'led-classes/last-taught']) {
    const { status } = await ask(address, `/api/${list}`)
    if (status !== 200) return `${list}: ${String(status)}`
  }
  const sessions = (await ask(address, '/api/sessions')).body as readonly { readonly id: string }[]
  for (const { id } of sessions) {
    const read = await ask(address, `/api/sessions/${id}`)
    const saved = await ask(address, `/api/sessions/${id}`, send('PUT', read.body, over(read.version)))
    if (saved.status !== 200) return `session ${id}: ${String(saved.status)}`
  }
  const led = (await ask(address, '/api/led-classes')).body as readonly { readonly id: string }[]
  for (const { id } of led) {
    const { status } = await ask(address, `/api/led-classes/${id}`)
    if (status !== 200) return `class ${id}: ${String(status)}`
  }
  return undefined
}

/** Mutations of an archive of open files, each brought into an empty house: none breaks it, and what came in can be used. */
export async function mutatedArchives(seed: number, count: number): Promise<Tally[]> {
  return inFolder(async (folder) => {
    const demo = await demoFiles(folder)
    const [taken, used]: [(string | undefined)[], (string | undefined)[]] = [[], []]
    let cameIn = 0
    for (const [at, by] of fc.sample(changes, { seed: seed + 7, numRuns: count }).entries()) {
      const body = await zipOf(demo, changed(demo, by, at % 2 === 1), folder)
      await withServer(async (address) => {
        const headers = { 'Content-Type': 'application/zip' }
        const reply = await ask(address, '/api/archive', {
          method: 'PUT',
          headers,
          body: new Uint8Array(body),
          patienceMs: 60_000,
        })
        if (reply.status === 200) cameIn += 1
        taken.push([200, 422].includes(reply.status) ? undefined : `${JSON.stringify(by)}: ${String(reply.status)}`)
        const broken = await unusable(address)
        used.push(broken && `${JSON.stringify(by)}: ${broken}`)
      })
    }
    return [
      tallyOf('mutated archives of open files: taken or told', taken, `${String(cameIn)} came in`),
      tallyOf('the houses they came into: all of it can be used', used),
    ]
  })
}
