import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, mkdtemp, readdir, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import type { Readable, Writable } from 'node:stream'
import type { ArchiveCame } from '#model/archive'
import { archiveLimits } from '#model/limits'
import { makeArchive } from '#server/archive/make-archive'
import { takeArchive } from '#server/archive/take-archive'
import { CannotBackUp } from '#server/backup/trouble'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

interface Parts {
  readonly database: Database
  readonly clock: Clock
  /** The folder of the data, with the own sounds; absent: there are none. */
  readonly folder?: string
}

/** All of one teacher's as open files, out and in. */
export function archiveControl(parts: Parts) {
  const { database, clock, folder } = parts
  const asked = { database, clock, ...(folder === undefined ? {} : { sounds: join(folder, 'sounds') }) }
  return {
    /** Writes the zip to whoever asked, once it is whole. */
    send: (begin: () => Writable): Promise<void> =>
      inFolder(parts, async (beside) => {
        const { path } = await makeArchive(asked, beside)
        await pipeline(createReadStream(path), begin())
      }),
    /** Brings in what is not here yet. Throws ARCHIVE_TROUBLE. */
    take: (file: Readable): Promise<ArchiveCame> =>
      inFolder(parts, async (beside) => {
        const path = join(beside, 'coming.zip')
        await pipeline(file, noMoreThan(archiveLimits.bytes), createWriteStream(path, { mode: 0o600 }))
        return takeArchive(asked, path, beside)
      }),
  }
}
export type ArchiveControl = ReturnType<typeof archiveControl>

/** Passes on what comes, and breaks off once it is more. */
const noMoreThan = (mostBytes: number) =>
  async function* (source: AsyncIterable<Buffer>) {
    let bytes = 0
    for await (const part of source) {
      bytes += part.length
      if (bytes > mostBytes) throw new ProblemError('ARCHIVE_TOO_LARGE', { mostMb: mostBytes / 1024 ** 2 })
      yield part
    }
  }

const laidOut = 'open-files-'
/** No work of this takes as long. */
const leftMs = 3_600_000

/** What a Zovrin that was killed in the middle left lying: it is what people told. */
async function clearLeft(folder: string, nowMs: number): Promise<void> {
  for (const name of (await readdir(folder)).filter((one) => one.startsWith(laidOut))) {
    const path = join(folder, name)
    const { mtimeMs = nowMs } = (await stat(path).catch(() => undefined)) ?? {}
    if (nowMs - mtimeMs > leftMs) await rm(path, { recursive: true, force: true })
  }
}

/** Work in a folder of its own beside the data, which goes with it: what lies there is what people told. */
async function inFolder<T>(
  { folder, clock }: Pick<Parts, 'folder' | 'clock'>,
  work: (beside: string) => Promise<T>,
): Promise<T> {
  if (folder !== undefined) {
    await mkdir(folder, { recursive: true })
    await clearLeft(folder, clock.now().getTime())
  }
  const beside = await mkdtemp(join(folder ?? tmpdir(), laidOut))
  try {
    return await work(beside)
  } catch (error) {
    throw error instanceof CannotBackUp ? new ProblemError('ARCHIVE_TROUBLE', { trouble: error.trouble }) : error
  } finally {
    await rm(beside, { recursive: true, force: true })
  }
}
