import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { Teacher } from '#model/teacher'
import type { Clock } from '#server/clock'
import type { TeacherRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { firstTeacherId } from '#model/teacher'
import { ProblemError } from '#server/problems'
import { hashSecret, isSecret, nameKeyOf, newToken, tokenHash, typedCode, usualWork } from './secrets.ts'
import type { GuessWork } from './secrets.ts'
import { addFirst, checked, columnsOf, firstCodeNote, teacherOf } from './store.ts'
import type { TeacherKind } from './store.ts'
import { countedTries } from './counted-tries.ts'
import type { CountedTries } from './counted-tries.ts'

const hourMs = 3_600_000
/** A browser stays signed in for so long after it was heard of last; on a machine several use, for an evening. */
export const signedInMs: Readonly<Record<TeacherKind, number>> = { accounts: 30 * 24 * hourMs, machine: 12 * hourMs }
const seenEveryMs = 60_000

/** Whoever signed in, and what their browser is known by from now on. */
export interface LetIn {
  readonly teacher: Teacher
  readonly token: string
}

interface At {
  readonly database: Database
  readonly clock: Clock
  readonly kind: TeacherKind
  readonly tries: CountedTries
  readonly work: GuessWork
}

/** What was typed, and the address it came from. */
interface Typed {
  readonly name: string
  readonly secret: string
  readonly address: string
}

/** Signing in and out: by a password or PIN, or by a code with which one is chosen. */
export function signInStore(database: Database, clock: Clock, kind: TeacherKind, work = usualWork) {
  const { models, inTransaction } = database
  const at: At = { database, clock, kind, tries: countedTries(database, clock, kind), work }
  return {
    /** Throws SIGN_IN_WRONG, whether it is the name or the secret that is; SIGN_IN_CLOSED after too many. */
    signIn: (typed: Typed) => signIn(at, typed),
    /** Chooses a password or PIN by a code that was told, the first keeper's too, and signs in. Throws as `signIn`, and SECRET_WEAK. */
    signInByCode: (typed: Typed & { readonly code: string }) => signInByCode(at, typed),
    /** Whoever a browser is signed in as; undefined where nobody is, or not any more. */
    whoIs: (token: string) => whoIs(at, token),
    signOut: (token: string): Promise<unknown> =>
      inTransaction((transaction) => models.signIns.destroy({ where: { tokenHash: tokenHash(token) }, transaction })),
    /** Signs in whoever was just added, with no secret asked for. Throws UNKNOWN_TEACHER. */
    signInAs: (id: string): Promise<LetIn> =>
      inTransaction(async (transaction) => letIn(at, await rowOf(at, id, transaction), transaction)),
    /** Chooses another password or PIN; every browser but this one is signed out. Throws SIGN_IN_WRONG, SECRET_WEAK. */
    async changeSecret(id: string, { secret, next, address }: Omit<Typed, 'name'> & { readonly next: string }) {
      checked(kind, next, 'next')
      const row = await rowOf(at, id)
      await at.tries.refuseClosed(row.name, address)
      if (!(await isSecret(secret, row.secretHash, work))) return at.tries.wrong(row.name, address)
      const secretHash = await hashSecret(next, work)
      return inTransaction(async (transaction) => {
        await models.signIns.destroy({ where: { teacherId: id }, transaction })
        return letIn(at, await row.update({ secretHash, version: row.version + 1 }, { transaction }), transaction)
      })
    },
  }
}
export type SignInStore = ReturnType<typeof signInStore>

const called = ({ database }: At, name: string): Promise<TeacherRow | null> =>
  database.models.teachers.findOne({ where: { nameKey: nameKeyOf(name), closedAt: null } })

async function rowOf({ database }: At, id: string, transaction?: Transaction): Promise<TeacherRow> {
  const row = await database.models.teachers.findByPk(id, { transaction })
  if (!row) throw new ProblemError('UNKNOWN_TEACHER', {})
  return row
}

/** A browser is known from now on; those nobody used for long are forgotten. */
async function letIn({ database, clock, kind }: At, row: TeacherRow, transaction: Transaction): Promise<LetIn> {
  const { signIns } = database.models
  const [token, now] = [newToken(), clock.now()]
  await signIns.destroy({ where: { seenAt: { [Op.lt]: new Date(now.getTime() - signedInMs[kind]) } }, transaction })
  await signIns.create({ tokenHash: tokenHash(token), teacherId: row.id, madeAt: now, seenAt: now }, { transaction })
  return { teacher: teacherOf(row), token }
}

async function signIn(at: At, { name, secret, address }: Typed): Promise<LetIn> {
  await at.tries.refuseClosed(name, address)
  const row = await called(at, name)
  if (!(await isSecret(secret, row?.secretHash ?? null, at.work)) || !row) return at.tries.wrong(name, address)
  return at.database.inTransaction(async (transaction) => {
    await at.tries.forget(name, transaction)
    return letIn(at, row, transaction)
  })
}

async function signInByCode(
  at: At,
  { name, secret, address, code }: Typed & { readonly code: string },
): Promise<LetIn> {
  const { database, clock, kind, tries, work } = at
  const { models, inTransaction } = database
  checked(kind, secret, 'secret')
  await tries.refuseClosed(name, address)
  const isBeginning = (await models.teachers.count()) === 0
  const row = await called(at, name)
  const first = isBeginning ? await models.notes.findByPk(firstCodeNote) : null
  const isGood = (row?.codeUntil?.getTime() ?? 0) > clock.now().getTime()
  const kept = isBeginning ? first?.value : isGood ? row?.codeHash : undefined
  if (!(await isSecret(typedCode(code), kept ?? null, work))) return tries.wrong(name, address)
  const secretHash = await hashSecret(secret, work)
  const chosen = await inTransaction(async (transaction) => {
    // Good once: of two who use it at once the second comes too late.
    if (row && (await row.reload({ transaction })).codeHash !== kept) return undefined
    await tries.forget(name, transaction)
    if (isBeginning || !row) {
      await models.notes.destroy({ where: { name: firstCodeNote }, transaction })
      const columns = { ...columnsOf(firstTeacherId, { name }, clock), secretHash }
      return letIn(at, await addFirst(models, columns, transaction), transaction)
    }
    await models.signIns.destroy({ where: { teacherId: row.id }, transaction })
    const columns = { secretHash, codeHash: null, codeUntil: null, version: row.version + 1 }
    return letIn(at, await row.update(columns, { transaction }), transaction)
  })
  return chosen ?? tries.wrong(name, address)
}

async function whoIs({ database, clock, kind }: At, token: string): Promise<Teacher | undefined> {
  const { models, inTransaction } = database
  const now = clock.now()
  const signed = await models.signIns.findByPk(tokenHash(token))
  if (!signed || now.getTime() - signed.seenAt.getTime() > signedInMs[kind]) return undefined
  const row = await models.teachers.findByPk(signed.teacherId)
  if (!row || row.closedAt) return undefined
  if (Math.abs(now.getTime() - signed.seenAt.getTime()) > seenEveryMs)
    await inTransaction((transaction) => signed.update({ seenAt: now }, { transaction }))
  return teacherOf(row)
}
