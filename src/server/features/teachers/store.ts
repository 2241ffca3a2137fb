import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import { firstTeacherId, roleSchema, secretSchemas } from '#model/teacher'
import type { KeptTeacher, Role, SignInKind, Teacher } from '#model/teacher'
import type { Clock } from '#server/clock'
import type { Models, TeacherRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'
import { hashSecret, nameKeyOf, newCode, typedCode, usualWork } from './secrets.ts'
import type { GuessWork } from './secrets.ts'

/** How a house knows its teachers, where it has any. */
export type TeacherKind = Exclude<SignInKind, 'alone'>

/** A code that lets somebody choose a password is good for so long. */
const codeForMs = 7 * 24 * 3_600_000

/** The note that holds what the first keeper of a house begins with. */
export const firstCodeNote = 'first keeper code'

interface Named {
  readonly name: string
  readonly secret?: string | undefined
}
interface Added extends Named {
  readonly role: Role
}
type Change = Pick<KeptTeacher, 'name' | 'role' | 'isClosed'>

/** Who teaches in a house. */
export function teacherStore(database: Database, clock: Clock, kind: TeacherKind, work = usualWork) {
  const { models, inTransaction } = database
  const { teachers } = models
  return {
    kind,
    list: async (): Promise<readonly KeptTeacher[]> =>
      (await teachers.findAll({ order: [['name', 'ASC']] })).map(keptOf),
    count: (): Promise<number> => teachers.count(),
    /** A house that has nobody yet is begun with a code, which is told this once; undefined where there is somebody. */
    beginning: () => beginning(database, work),
    /** A colleague; where passwords are typed they choose theirs by a code, which is told this once. Throws TEACHER_TAKEN, NO_TEACHER_YET. */
    async add(added: Added): Promise<{ readonly teacher: KeptTeacher; readonly code?: string }> {
      const code = kind === 'accounts' ? newCode() : undefined
      const hash = await hashSecret(code === undefined ? checked(kind, added.secret, 'secret') : typedCode(code), work)
      return inTransaction(async (transaction) => {
        // Whose is what is there would be nobody any more.
        if ((await teachers.count({ transaction })) === 0) throw new ProblemError('NO_TEACHER_YET', {})
        await refuseTaken(models, added.name, '', transaction)
        const how = code === undefined ? { secretHash: hash } : { codeHash: hash, codeUntil: codeUntil(clock) }
        const row = await teachers.create({ ...columnsOf(nanoid(), added, clock), ...how }, { transaction })
        return { teacher: keptOf(row), ...(code === undefined ? {} : { code }) }
      })
    },
    /** The second teacher of a machine; all there is until now is the first one's. Throws TEACHERS_THERE, TEACHER_TAKEN. */
    async addSecond(first: Named, second: Named): Promise<Teacher> {
      const secretHash = await hashSecret(checked(kind, first.secret, 'first.secret'), work)
      const othersHash = await hashSecret(checked(kind, second.secret, 'second.secret'), work)
      return inTransaction(async (transaction) => {
        const row = await addFirst(models, { ...columnsOf(firstTeacherId, first, clock), secretHash }, transaction)
        await refuseTaken(models, second.name, '', transaction, 'second.name')
        const other = { ...columnsOf(nanoid(), { ...second, role: 'teacher' }, clock), secretHash: othersHash }
        await teachers.create(other, { transaction })
        return teacherOf(row)
      })
    },
    /** Throws UNKNOWN_TEACHER, VERSION_STALE, TEACHER_TAKEN, LAST_KEEPER. */
    change: (id: string, to: Change, based: number): Promise<KeptTeacher> =>
      inTransaction((transaction) => change({ models, clock }, { id, to, based }, transaction)),
    /** PINs are no passwords: where a house moves from one machine to a server, everybody chooses anew. */
    forgetSecrets: (): Promise<void> =>
      inTransaction(async (transaction) => {
        await models.signIns.destroy({ where: {}, transaction })
        await teachers.update({ secretHash: null }, { where: {}, transaction })
      }),
    /** A code by which somebody who forgot theirs chooses anew; told this once. Throws UNKNOWN_TEACHER. */
    async letChoose(id: string): Promise<string> {
      const code = newCode()
      const codeHash = await hashSecret(typedCode(code), work)
      await inTransaction(async (transaction) => {
        const row = await rowOf(models, id, transaction)
        await row.update({ codeHash, codeUntil: codeUntil(clock), version: row.version + 1 }, { transaction })
      })
      return code
    },
  }
}
export type TeacherStore = ReturnType<typeof teacherStore>

/** A password or PIN that may be chosen. Throws SECRET_WEAK with what it has to be. */
export function checked(kind: TeacherKind, secret: string | undefined, path: string): string {
  const { data } = secretSchemas[kind].safeParse(secret)
  if (data === undefined) throw new ProblemError('SECRET_WEAK', { kind }, { path })
  return data
}

/** The row of a new teacher who has chosen nothing yet. */
export const columnsOf = (id: string, { name, role = 'keeper' }: Partial<Added> & { name: string }, clock: Clock) => ({
  ...{ id, name, nameKey: nameKeyOf(name), role, version: 1, addedAt: clock.now() },
  ...{ secretHash: null, codeHash: null, codeUntil: null, closedAt: null },
})

/** The first teacher of a house, to whom belongs what is there. Throws TEACHERS_THERE: of two who begin at once one is first. */
export async function addFirst(
  { teachers }: Models,
  columns: ReturnType<typeof columnsOf> | (Omit<ReturnType<typeof columnsOf>, 'secretHash'> & { secretHash: string }),
  transaction: Transaction,
): Promise<TeacherRow> {
  if ((await teachers.count({ transaction })) > 0) throw new ProblemError('TEACHERS_THERE', {})
  return teachers.create(columns, { transaction })
}

async function beginning(
  { models: { teachers, notes }, inTransaction }: Database,
  work: GuessWork,
): Promise<string | undefined> {
  if ((await teachers.count()) > 0) return undefined
  const code = newCode()
  const value = await hashSecret(typedCode(code), work)
  await inTransaction(async (transaction) => {
    await notes.destroy({ where: { name: firstCodeNote }, transaction })
    await notes.create({ name: firstCodeNote, value }, { transaction })
  })
  return code
}

async function change(
  { models, clock }: { readonly models: Models; readonly clock: Clock },
  { id, to, based }: { readonly id: string; readonly to: Change; readonly based: number },
  transaction: Transaction,
): Promise<KeptTeacher> {
  const { name, role, isClosed } = to
  const row = await rowOf(models, id, transaction)
  if (row.version !== based) throw new ProblemError('VERSION_STALE', { based, current: row.version })
  await refuseTaken(models, name, id, transaction)
  const keepers = await models.teachers.findAll({ where: { role: 'keeper', closedAt: null }, transaction })
  const staysKeeper = role === 'keeper' && !isClosed
  if (!staysKeeper && keepers.every((keeper) => keeper.id === id)) throw new ProblemError('LAST_KEEPER', {})
  const closedAt = isClosed ? (row.closedAt ?? clock.now()) : null
  await row.update({ name, nameKey: nameKeyOf(name), role, closedAt, version: based + 1 }, { transaction })
  if (isClosed) await models.signIns.destroy({ where: { teacherId: id }, transaction })
  return keptOf(row)
}

async function rowOf({ teachers }: Models, id: string, transaction: Transaction): Promise<TeacherRow> {
  const row = await teachers.findByPk(id, { transaction })
  if (!row) throw new ProblemError('UNKNOWN_TEACHER', {})
  return row
}

async function refuseTaken(
  { teachers }: Models,
  name: string,
  exceptId: string,
  transaction: Transaction,
  path = 'name',
): Promise<void> {
  const there = await teachers.findOne({ where: { nameKey: nameKeyOf(name) }, transaction })
  if (there && there.id !== exceptId) throw new ProblemError('TEACHER_TAKEN', { name }, { path })
}

const codeUntil = (clock: Clock): Date => new Date(clock.now().getTime() + codeForMs)

export const teacherOf = ({ id, name, role }: TeacherRow): Teacher => ({ id, name, role: roleSchema.parse(role) })

const keptOf = (row: TeacherRow): KeptTeacher => ({
  ...teacherOf(row),
  ...{ isClosed: row.closedAt !== null, isNew: row.secretHash === null, version: row.version },
})
