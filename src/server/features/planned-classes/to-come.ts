import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { Clock } from '#server/clock'
import type { Models } from '#server/db/models'

/** The days of the classes to come that are planned with a session or at a place; what was led or is past keeps neither. */
export async function daysToCome(
  models: Models,
  of: { readonly sessionId: string } | { readonly placeId: string },
  clock: Clock,
  transaction: Transaction,
): Promise<readonly string[]> {
  const rows = await models.plannedClasses.findAll({
    attributes: ['day'],
    where: { ...of, isLed: false, day: { [Op.gte]: today(clock.now()) } },
    order: [['day', 'ASC']],
    transaction,
  })
  return rows.map(({ day }) => day)
}

const two = (n: number): string => String(n).padStart(2, '0')
/** The day it is where this machine stands. */
export const today = (now: Date): string =>
  `${String(now.getFullYear())}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
