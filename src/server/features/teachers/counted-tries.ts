import { createHash } from 'node:crypto'
import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { Clock } from '#server/clock'
import type { SignInTryRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'
import { nameKeyOf } from './secrets.ts'
import type { TeacherKind } from './store.ts'
import { addressLimit, isClosed, nameLimit, noTries, tried } from './tries.ts'
import type { Limit, Tries } from './tries.ts'

const dayMs = 24 * 3_600_000

/** Neither names that were tried nor addresses are kept as they are. */
export const keyOf = (kind: 'name' | 'address' | 'pairing', of: string): string =>
  createHash('sha256').update(`${kind} ${of}`).digest('hex')

/** What is counted of a try, each with how often it may be wrong. */
export type Counted = readonly (readonly [key: string, limit: Limit])[]

const counted = (name: string, address: string): Counted => [
  [keyOf('name', nameKeyOf(name)), nameLimit],
  [keyOf('address', address), addressLimit],
]

const kept = (row: SignInTryRow | null): Tries =>
  row ? { wrong: row.wrong, atMs: row.at.getTime(), closedUntilMs: row.closedUntil?.getTime() ?? 0 } : noTries

/** How long nobody is let try; 0 where one may. */
export async function closedForMs(
  { models: { signInTries } }: Pick<Database, 'models'>,
  clock: Clock,
  tries: Counted,
): Promise<number> {
  const nowMs = clock.now().getTime()
  const rows = await Promise.all(tries.map(async ([key]) => kept(await signInTries.findByPk(key))))
  return Math.max(0, ...rows.filter((row) => isClosed(row, nowMs)).map(({ closedUntilMs }) => closedUntilMs - nowMs))
}

/** Counts one that was wrong; says how many more the first of what is counted may be. */
export function countWrong({ models: { signInTries }, inTransaction }: Database, clock: Clock, tries: Counted) {
  const now = clock.now()
  return inTransaction(async (transaction) => {
    await signInTries.destroy({ where: { at: { [Op.lt]: new Date(now.getTime() - dayMs) } }, transaction })
    const left: number[] = []
    for (const [key, limit] of tries) {
      const row = await signInTries.findByPk(key, { transaction })
      const { wrong, closedUntilMs } = tried(kept(row), now.getTime(), limit)
      const columns = { wrong, at: now, closedUntil: closedUntilMs === 0 ? null : new Date(closedUntilMs) }
      await (row ? row.update(columns, { transaction }) : signInTries.create({ key, ...columns }, { transaction }))
      left.push(closedUntilMs === 0 ? limit.most - wrong : 0)
    }
    return left[0] ?? 0
  })
}

/** How often each name, whether anybody has it or not, and each address was tried in vain; all servers of a house know it. */
export function countedTries(database: Database, clock: Clock, kind: TeacherKind) {
  return {
    /** Throws SIGN_IN_CLOSED. */
    async refuseClosed(name: string, address: string): Promise<void> {
      const forMs = await closedForMs(database, clock, counted(name, address))
      if (forMs > 0) throw new ProblemError('SIGN_IN_CLOSED', { minutes: Math.ceil(forMs / 60_000) })
    },
    /** Counts one that was wrong, and throws SIGN_IN_WRONG. */
    async wrong(name: string, address: string): Promise<never> {
      await countWrong(database, clock, counted(name, address))
      throw new ProblemError('SIGN_IN_WRONG', { kind })
    },
    forget: (name: string, transaction: Transaction): Promise<unknown> =>
      database.models.signInTries.destroy({ where: { key: keyOf('name', nameKeyOf(name)) }, transaction }),
  }
}
export type CountedTries = ReturnType<typeof countedTries>
