import { z } from 'zod'
import { idSchema, nameSchema } from './common.ts'

/** A keeper may add teachers, restore and change what colleagues made; a teacher has all that is their own [decisions, Keeping it]. */
export const roles = ['teacher', 'keeper'] as const
export const roleSchema = z.enum(roles)
export type Role = z.infer<typeof roleSchema>

/**
 * How a house knows who teaches: `accounts`, by a name and a password that is typed; `machine`, chosen from those on this
 * machine, by a PIN; `alone`, there is one teacher, and nobody is asked.
 */
export type SignInKind = 'accounts' | 'machine' | 'alone'

/** Whose everything is while there is one teacher; of several, the first one's. */
export const firstTeacherId = 'owner'

export interface Teacher {
  readonly id: string
  readonly name: string
  readonly role: Role
}

/** A teacher as the others and the keeper see them. */
export interface KeptTeacher extends Teacher {
  /** Nobody signs in by it any more; all that is theirs stays. */
  readonly isClosed: boolean
  /** They have chosen no password or PIN yet. */
  readonly isNew: boolean
  readonly version: number
}

/** Who is signed in here, and how others do. */
export interface SignedIn {
  readonly kind: SignInKind
  /** Null: nobody. */
  readonly teacher: Teacher | null
  /** Who can be chosen; with accounts nobody is told. */
  readonly names: readonly string[]
  /** There is no teacher at all yet: the first one begins with the code that was printed at the start. */
  readonly isNew: boolean
}

/** Ten signs or more; a PIN has four to twelve digits. */
const passwordSchema = z.string().min(10).max(200)
const pinSchema = z.string().regex(/^\d{4,12}$/)
export const secretSchemas = { accounts: passwordSchema, machine: pinSchema, alone: pinSchema } as const

/** What was typed, however long it is: whether it is right is found out, not whether it could be. */
const typedSchema = z.string().max(500)
export const signInSchema = z.strictObject({ name: typedSchema, secret: typedSchema })
export const codeUsedSchema = z.strictObject({ name: nameSchema, code: typedSchema, secret: typedSchema })
export const secretChangedSchema = z.strictObject({ secret: typedSchema, next: typedSchema })

export const teacherAddedSchema = z.strictObject({ name: nameSchema, role: roleSchema, secret: typedSchema.optional() })
/** The second teacher of a machine, and with them the first one's own name. */
export const secondAddedSchema = z.strictObject({
  first: z.strictObject({ name: nameSchema, secret: typedSchema }),
  second: z.strictObject({ name: nameSchema, secret: typedSchema }),
})
export const teacherChangedSchema = z.strictObject({ name: nameSchema, role: roleSchema, isClosed: z.boolean() })
export const teacherIdSchema = idSchema
