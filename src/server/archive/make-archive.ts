import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { copyFile, mkdir, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Model, ModelStatic, Transaction } from 'sequelize'
import { archiveFormat, archiveList, archiveReadMe, archiveVersion } from '#model/archive'
import type { Archive } from '#model/archive'
import { listedFile, writeListed } from '#server/backup/write-listed'
import type { FileToZip } from '#server/backup/write-listed'
import type { Clock } from '#server/clock'
import { migrations } from '#server/db/migrate'
import type { Models, SoundRow, VoiceRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { peopleStore } from '#server/features/people/store'
import { archiveReadMeText } from '#words/archive'
import { openRow } from './open-row.ts'
import type { OpenRow } from './open-row.ts'
import { shelves } from './shelves.ts'
import type { Shelf } from './shelves.ts'

interface Asked {
  /** What one teacher has. */
  readonly database: Database
  readonly clock: Clock
  /** Where the own sounds are heard from; absent: nowhere. */
  readonly sounds?: string
}

/**
 * All that one teacher has, as of one instant, as a zip of open files in a folder of its own; says where it lies there. What others told
 * of people, and what is signed in, is in none. Rejects where the disk is full.
 */
export async function makeArchive(
  asked: Asked,
  into: string,
): Promise<{ readonly path: string; readonly archive: Archive }> {
  const { database, clock } = asked
  const out = writing(join(into, 'files'))
  const madeAt = clock.now().toISOString()
  await database.inSnapshot(async (transaction) => {
    for (const shelf of shelves) await writeShelf(asked, shelf, out, transaction)
    for (const { person, version } of await peopleStore(database).list(transaction)) {
      const { id, name } = person
      const row = { id, name, version, document: JSON.stringify(person), ownerId: database.ownerId }
      await out.write(`people/${asName(id)}.json`, { people: [openRow(row)] })
    }
  })
  await out.put(archiveReadMe, archiveReadMeText(madeAt))
  const archive: Archive = {
    ...{ format: archiveFormat, version: archiveVersion, madeAt, schema: migrations.at(-1)?.name ?? '' },
    counts: Object.fromEntries(out.counts),
    files: await Promise.all(out.files.map(listedFile)),
  }
  const path = join(into, 'archive.zip')
  const isText = (name: string): boolean => /\.(?:json|txt)$/.test(name)
  await writeListed(path, { name: archiveList, content: archive }, out.files, isText)
  return { path, archive }
}

/** The files as they are written, and how many rows of each table stand in them. */
function writing(folder: string) {
  const files: FileToZip[] = []
  const counts = new Map<string, number>()
  async function at(name: string, write: (path: string) => Promise<void>): Promise<void> {
    const path = join(folder, name)
    await mkdir(dirname(path), { recursive: true, mode: 0o700 })
    await write(path)
    files.push({ name, path })
  }
  return {
    ...{ files, counts },
    put: (name: string, content: string | Buffer) =>
      at(name, (path) => writeFile(path, content, { mode: 0o600, flag: 'wx' })),
    copy: (name: string, from: string) => at(name, (path) => copyFile(from, path)),
    /** Rows by their tables, as one file. */
    async write(name: string, rows: Readonly<Record<string, readonly OpenRow[]>>): Promise<void> {
      for (const [table, some] of Object.entries(rows)) counts.set(table, (counts.get(table) ?? 0) + some.length)
      await this.put(name, `${JSON.stringify(rows, null, 2)}\n`)
    },
  }
}
type Writing = ReturnType<typeof writing>

const modelOf = (models: Models, key: keyof Models): ModelStatic<Model> => models[key] as unknown as ModelStatic<Model>
const plain = (row: Model): OpenRow => row.get({ plain: true }) as OpenRow

async function writeShelf(asked: Asked, shelf: Shelf, out: Writing, transaction: Transaction): Promise<void> {
  const { models } = asked.database
  const model = modelOf(models, shelf.model)
  const order = model.primaryKeyAttributes.map((key): [string, string] => [key, 'ASC'])
  for (const row of await model.findAll({ order, transaction })) {
    const rows: Record<string, readonly OpenRow[]> = {
      [String(model.getTableName())]: [openRow(plain(row), await heardOf(asked, shelf, row, out))],
    }
    for (const part of shelf.parts) {
      const of = modelOf(models, part.model)
      const found = await of.findAll({ where: { [part.of]: row.get('id') }, transaction })
      rows[String(of.getTableName())] = await Promise.all(
        found.map(async (one) => openRow(plain(one), part.model === 'voices' ? await voiceOf(one, out) : undefined)),
      )
    }
    await out.write(`${shelf.folder}/${nameOf(shelf, row)}.json`, rows)
  }
}

/** A file is named by what it is of; settings, of which there are but one, by that. */
function nameOf({ folder }: Shelf, row: Model): string {
  if (folder === 'settings') return 'settings'
  return asName(folder === 'own' ? `${String(row.get('kind'))}-${String(row.get('id'))}` : String(row.get('id')))
}

/** An id that no file may be called by, as the first edition had some, is called by its sum. */
const asName = (id: string): string =>
  /^[\w-]{1,140}$/.test(id) ? id : createHash('sha256').update(id).digest('hex').slice(0, 32)

const endings: Readonly<Record<string, string>> = {
  ...{ 'audio/mp4': 'mp4', 'audio/ogg': 'ogg', 'audio/wav': 'wav', 'audio/mpeg': 'mp3' },
  ...{ 'audio/webm': 'webm', 'audio/flac': 'flac' },
}
const endingOf = (type: string): string => endings[type] ?? 'sound'

async function heardOf({ sounds }: Asked, { folder }: Shelf, row: Model, out: Writing): Promise<string | undefined> {
  if (folder !== 'sounds' || sounds === undefined) return undefined
  const { id, type } = row as SoundRow
  const from = join(sounds, id)
  const name = `sounds/${asName(id)}.${endingOf(type)}`
  // One whose file is gone is told of without it.
  if (!existsSync(from)) return undefined
  await out.copy(name, from)
  return name
}

async function voiceOf(row: Model, out: Writing): Promise<string> {
  const { id, type, heard } = row as VoiceRow
  const name = `voices/${asName(id)}.${endingOf(type)}`
  await out.put(name, heard)
  return name
}
