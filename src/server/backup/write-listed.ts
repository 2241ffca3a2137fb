import { createWriteStream } from 'node:fs'
import { mkdir, open, stat } from 'node:fs/promises'
import { dirname } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import { sha256Of } from './hash.ts'
import type { ListedFile } from './listed-zip.ts'

/** A file on the disk that goes into a zip under a name. */
export interface FileToZip {
  readonly name: string
  readonly path: string
}

/** A file as the list of a zip has it. */
export const listedFile = async ({ name, path }: FileToZip): Promise<ListedFile> => ({
  ...{ name, bytes: (await stat(path)).size, sha256: await sha256Of(path) },
})

/** Writes a zip that begins with the list of all that is in it. Rejects where the disk is full. */
export async function writeListed(
  to: string,
  list: { readonly name: string; readonly content: { readonly madeAt: string } },
  files: readonly FileToZip[],
  isCompressed: (name: string) => boolean,
): Promise<void> {
  await mkdir(dirname(to), { recursive: true })
  const zip = new ZipFile()
  // All of it is of when it was made: the same things make the same zip.
  const mtime = new Date(list.content.madeAt)
  zip.addBuffer(Buffer.from(JSON.stringify(list.content, null, 2)), list.name, { mtime })
  for (const { name, path } of files) zip.addFile(path, name, { compress: isCompressed(name), mtime })
  zip.end()
  await pipeline(zip.outputStream, createWriteStream(to, { mode: 0o600 }))
  const written = await open(to)
  await written.sync()
  await written.close()
}
