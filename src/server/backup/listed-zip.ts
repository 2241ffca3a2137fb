import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Writable } from 'node:stream'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { open as openWithCallback } from 'yauzl'
import type { Entry, ZipFile } from 'yauzl'
import type { z } from 'zod'
import type { BackupTrouble } from '#model/backup'
import { failureCode, isDiskFull } from '#server/db/failures'
import { CannotBackUp } from './trouble.ts'

const openZip = promisify<string, { lazyEntries: boolean; autoClose: boolean }, ZipFile>(openWithCallback)

/** A file in a zip, as the list in it has it. */
export interface ListedFile {
  readonly name: string
  readonly bytes: number
  readonly sha256: string
}

/** A kind of zip that begins with a list of all that is in it. */
export interface ListedKind<List extends { readonly files: readonly ListedFile[] }> {
  /** The file of the list. */
  readonly listName: string
  readonly format: string
  readonly version: number
  readonly schema: z.ZodType<List>
  /** More than any of its lists takes, and than any has files. */
  readonly mostListBytes: number
  readonly mostEntries: number
  /** More than all its files take together; absent: whatever there is room for. */
  readonly mostBytes?: number
  /** What a file of something else is. */
  readonly notOne: BackupTrouble
}

/** What such a zip says is in it. Throws a CannotBackUp for a file that is none, is cut off, or is of a newer Zovrin. */
export const readList = <List extends { readonly files: readonly ListedFile[] }>(
  kind: ListedKind<List>,
  path: string,
): Promise<List> => withZip(kind, path, async (zip) => listIn(kind, path, zip, await entriesOf(kind, zip)))

/**
 * Unpacks it into a folder, each file looked at whether it is what was saved. Throws a CannotBackUp where anything in it is
 * missing, more, longer or otherwise than its list says; what was unpacked until then is left to the caller.
 */
export const unpackListed = <List extends { readonly files: readonly ListedFile[] }>(
  kind: ListedKind<List>,
  path: string,
  into: string,
): Promise<List> =>
  readAll(kind, path, async ({ name }) => {
    const to = join(into, name)
    await mkdir(dirname(to), { recursive: true, mode: 0o700 })
    return createWriteStream(to, { mode: 0o600, flags: 'wx' })
  })

/** Looks at all of it as unpacking it would. Throws a CannotBackUp. */
export const checkListed = <List extends { readonly files: readonly ListedFile[] }>(
  kind: ListedKind<List>,
  path: string,
): Promise<List> =>
  readAll(kind, path, () => Promise.resolve(new Writable({ write: (_part, _encoding, done) => void done() })))

function readAll<List extends { readonly files: readonly ListedFile[] }>(
  kind: ListedKind<List>,
  path: string,
  into: (file: ListedFile) => Promise<Writable>,
): Promise<List> {
  return withZip(kind, path, async (zip) => {
    const entries = await entriesOf(kind, zip)
    const list = await listIn(kind, path, zip, entries)
    const listed = new Map(list.files.map((file) => [file.name, file]))
    const files = [...entries.values()].filter(({ fileName }) => fileName !== kind.listName)
    const bytes = list.files.reduce((sum, file) => sum + file.bytes, 0)
    if (bytes > (kind.mostBytes ?? Infinity)) throw new CannotBackUp('changed', path)
    if (files.length !== listed.size || files.some(({ fileName }) => !listed.has(fileName)))
      throw new CannotBackUp('changed', path)
    for (const entry of files) {
      const file = listed.get(entry.fileName)
      // What it would grow to stands in the zip itself, and is no more than its list says: nothing swells on the way.
      if (!file || entry.uncompressedSize !== file.bytes) throw new CannotBackUp('changed', path)
      const sum = await pour(zip, entry, await into(file))
      if (sum !== file.sha256) throw new CannotBackUp('changed', path)
    }
    return list
  })
}

type AnyKind = ListedKind<{ readonly files: readonly ListedFile[] }>

async function withZip<T>(kind: Pick<AnyKind, 'notOne'>, path: string, work: (zip: ZipFile) => Promise<T>): Promise<T> {
  let zip: ZipFile
  try {
    zip = await openZip(path, { lazyEntries: true, autoClose: false })
  } catch (error) {
    throw cannotOpen(kind, path, error)
  }
  try {
    return await work(zip)
  } catch (error) {
    if (error instanceof CannotBackUp || isDiskFull(error)) throw error
    throw new CannotBackUp('changed', path, error)
  } finally {
    zip.close()
  }
}

/** A zip's own list stands at its end: where there is none it was cut off, or never one. */
function cannotOpen({ notOne }: Pick<AnyKind, 'notOne'>, path: string, error: unknown): CannotBackUp {
  const isThere = !['ENOENT', 'EACCES', 'EPERM', 'EISDIR'].includes(failureCode(error) ?? '')
  if (!isThere) return new CannotBackUp('not readable', path, error)
  const isCut =
    error instanceof Error && /end of central directory|invalid central directory|unexpected EOF/i.test(error.message)
  return new CannotBackUp(isCut ? 'cut off' : notOne, path, error)
}

/** Every entry by its name; of one name twice the second is none of ours. */
function entriesOf({ mostEntries }: Pick<AnyKind, 'mostEntries'>, zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const entries = new Map<string, Entry>()
  return new Promise((settle, fail) => {
    zip.on('entry', (entry: Entry) => {
      if (entries.has(entry.fileName) || entries.size > mostEntries) {
        fail(new Error('an entry that is there twice, or more than any has'))
        return
      }
      entries.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.on('end', () => {
      settle(entries)
    })
    zip.on('error', fail)
    zip.readEntry()
  })
}

async function listIn<List extends { readonly files: readonly ListedFile[] }>(
  kind: ListedKind<List>,
  path: string,
  zip: ZipFile,
  entries: ReadonlyMap<string, Entry>,
): Promise<List> {
  const { listName, mostListBytes, notOne, schema } = kind
  const entry = entries.get(listName)
  if (!entry || entry.uncompressedSize > mostListBytes) throw new CannotBackUp(notOne, path)
  const parts: Buffer[] = []
  for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer)
  const list: unknown = JSON.parse(Buffer.concat(parts).toString('utf8'))
  if (isNewer(kind, list)) throw new CannotBackUp('from the future', path)
  const read = schema.safeParse(list)
  if (!read.success) throw new CannotBackUp(notOne, path, read.error)
  return read.data
}

const isNewer = ({ format, version }: Pick<AnyKind, 'format' | 'version'>, list: unknown): boolean =>
  typeof list === 'object' &&
  list !== null &&
  'format' in list &&
  list.format === format &&
  'version' in list &&
  typeof list.version === 'number' &&
  list.version > version

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((settle, fail) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) fail(error)
      else settle(stream)
    })
  })

/**
 * Pours an entry out, and says the sum of what went through. What it is poured into is there before it is opened: it is
 * unpacked from then on, and what it fails with would be heard by nobody.
 */
async function pour(zip: ZipFile, entry: Entry, into: Writable): Promise<string> {
  const hash = createHash('sha256')
  const from = await streamOf(zip, entry).catch((error: unknown) => {
    into.destroy()
    throw error
  })
  await pipeline(
    from,
    async function* (source: AsyncIterable<Buffer>) {
      for await (const part of source) {
        hash.update(part)
        yield part
      }
    },
    into,
  )
  return hash.digest('hex')
}
