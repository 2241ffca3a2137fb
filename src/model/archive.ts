import { z } from 'zod'
import { instantSchema } from './common.ts'

export const archiveFormat = 'zovrin.archive'
export const archiveVersion = 1

/** What stands first in an archive. */
export const archiveList = 'archive.json'
/** What says in words where everything lies. */
export const archiveReadMe = 'README.txt'

/** The folders of an archive: what lies in them is one file a thing, with all that belongs to it. */
export const archiveFolders = [
  ...(['sessions', 'series', 'long-days', 'planned-classes', 'led-classes'] as const),
  ...(['people', 'places', 'own', 'sounds', 'voices', 'settings'] as const),
] as const
export type ArchiveFolder = (typeof archiveFolders)[number]

const names = new RegExp(
  `^(?:${archiveReadMe.replace('.', '\\.')}|(?:${archiveFolders.join('|')})/[\\w-]{1,140}\\.[a-z0-9]{2,5})$`,
)

const fileSchema = z.strictObject({
  name: z.string().max(200).regex(names),
  bytes: z.int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})
export type ArchiveFile = z.infer<typeof fileSchema>

/** All that is in an archive of open files: everything one teacher has. */
export const archiveSchema = z.strictObject({
  format: z.literal(archiveFormat),
  version: z.literal(archiveVersion),
  madeAt: instantSchema,
  /** The newest migration of the database it comes from: by it what is in the files is read. */
  schema: z.string().min(1).max(60),
  /** Rows of each table. */
  counts: z.record(z.string().max(60), z.int().min(0)),
  files: z.array(fileSchema).min(1).max(60_000),
})
export type Archive = z.infer<typeof archiveSchema>

/** What came in from an archive, and what was here already and stays as it is: rows of each table. */
export interface ArchiveCame {
  readonly madeAt: string
  readonly brought: Readonly<Record<string, number>>
  readonly there: Readonly<Record<string, number>>
  /** What stands on something that is not here. */
  readonly left: Readonly<Record<string, number>>
}
