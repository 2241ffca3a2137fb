import { z } from 'zod'
import { idSchema, instantSchema } from './common.ts'

export const backupFormat = 'zovrin.backup'
export const backupVersion = 1

/** Why a backup was made: it was asked for, its day came, or something is put in the place of what it holds. */
export const backupReasons = ['asked', 'daily', 'beforeRestore'] as const
export type BackupReason = (typeof backupReasons)[number]

/** The database as a backup has it, and the folder of the own sounds. */
export const backupDatabase = 'zovrin.sqlite'
export const backupSounds = 'sounds/'

const fileSchema = z.strictObject({
  name: z.union([
    z.literal(backupDatabase),
    z
      .string()
      .startsWith(backupSounds)
      .refine((name) => idSchema.safeParse(name.slice(backupSounds.length)).success),
  ]),
  bytes: z.int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})
export type BackupFile = z.infer<typeof fileSchema>

/** Somebody who is in a backup and is here no more: deleted since, or before what is here came to be. */
export interface PersonGone {
  readonly id: string
  readonly name: string
}

/** Whoever of them is deleted again as soon as a backup is put back. */
export const restoreAskedSchema = z.strictObject({ without: z.array(idSchema).max(5000).default([]) })

/** What stands first in a backup: when and why it was made, and all that is in it. */
export const backupSchema = z.strictObject({
  format: z.literal(backupFormat),
  version: z.literal(backupVersion),
  madeAt: instantSchema,
  why: z.enum(backupReasons),
  /** The newest migration of its database. */
  schema: z.string().min(1).max(60),
  /** Rows of each table. */
  counts: z.record(z.string().max(60), z.int().min(0)),
  files: z.array(fileSchema).min(1).max(2000),
})
export type Backup = z.infer<typeof backupSchema>

/** A backup as the application tells of it; what is in one that is not whole is not known. */
export interface BackupTold {
  readonly name: string
  readonly why: BackupReason
  readonly madeAt: string
  readonly bytes: number
  readonly counts?: Readonly<Record<string, number>>
  readonly sounds?: number
}

/** Why a backup is not read, made or put back. */
export type BackupTrouble =
  | 'not a backup'
  | 'not an archive'
  | 'cut off'
  | 'changed'
  | 'from the future'
  | 'database damaged'
  | 'disk full'
  | 'not readable'
  | 'folder closed'
