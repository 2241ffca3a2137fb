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
const keyOf = (kind: 'name' | 'address', of: string): string =>
  createHash('sha256').update(`${kind} ${of}`).digest('hex')

const counted = (name: string, address: string): readonly (readonly [key: string, limit: Limit])[] => [
  [keyOf('name', nameKeyOf(name)), nameLimit],
  [keyOf('address', address), addressLimit],
]

const kept = (row: SignInTryRow | null): Tries =>
  row ? { wrong: row.wrong, atMs: row.at.getTime(), closedUntilMs: row.closedUntil?.getTime() ?? 0 } : noTries

/** How often each name, whether anybody has it or not, and each address was tried in vain; all servers of a house know it. */
export function countedTries({ models: { signInTries }, inTransaction }: Database, clock: Clock, kind: TeacherKind) {
  return {
    /** Throws SIGN_IN_CLOSED. */
    async refuseClosed(name: string, address: string): Promise<void> {
      const nowMs = clock.now().getTime()
      for (const [key] of counted(name, address)) {
        const tries = kept(await signInTries.findByPk(key))
        if (isClosed(tries, nowMs))
          throw new ProblemError('SIGN_IN_CLOSED', { minutes: Math.ceil((tries.closedUntilMs - nowMs) / 60_000) })
      }
    },
    /** Counts one that was wrong, and throws SIGN_IN_WRONG. */
    async wrong(name: string, address: string): Promise<never> {
      const now = clock.now()
      await inTransaction(async (transaction) => {
        await signInTries.destroy({ where: { at: { [Op.lt]: new Date(now.getTime() - dayMs) } }, transaction })
        for (const [key, limit] of counted(name, address)) {
          const row = await signInTries.findByPk(key, { transaction })
          const { wrong, closedUntilMs } = tried(kept(row), now.getTime(), limit)
          const columns = { wrong, at: now, closedUntil: closedUntilMs === 0 ? null : new Date(closedUntilMs) }
          await (row ? row.update(columns, { transaction }) : signInTries.create({ key, ...columns }, { transaction }))
        }
      })
      throw new ProblemError('SIGN_IN_WRONG', { kind })
    },
    forget: (name: string, transaction: Transaction): Promise<unknown> =>
      signInTries.destroy({ where: { key: keyOf('name', nameKeyOf(name)) }, transaction }),
  }
}
export type CountedTries = ReturnType<typeof countedTries>
