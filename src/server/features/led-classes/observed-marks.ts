import type { Transaction } from 'sequelize'
import type { ObservedMark } from '#model/observed-mark'
import type { Models } from '#server/db/models'
import { ProblemError } from '#server/problems'

/** What those who looked on marked in a class, in the order of its time. */
export async function observedMarks({ observedMarks: marks }: Models, classId: string): Promise<ObservedMark[]> {
  const order: [string, string][] = [
    ['atMs', 'ASC'],
    ['id', 'ASC'],
  ]
  const rows = await marks.findAll({ where: { classId }, order, raw: true })
  return rows.map(({ id, by, name, atMs, text }) => ({ id, by, name, atMs, text }))
}

/**
 * Keeps a mark of somebody who looks on, or what is written to it now. Sent again it changes nothing. Throws MARK_TAKEN where
 * another device, or another class, has one of this id.
 */
export async function keepMark(
  { observedMarks: marks }: Models,
  classId: string,
  mark: ObservedMark,
  transaction: Transaction,
): Promise<void> {
  const row = await marks.findByPk(mark.id, { transaction })
  if (!row) {
    await marks.create({ ...mark, classId }, { transaction })
    return
  }
  if (row.classId !== classId || row.by !== mark.by) throw new ProblemError('MARK_TAKEN', { id: mark.id })
  await row.update({ text: mark.text }, { transaction })
}

/** Takes a mark away; one that is not there is away already. */
export async function dropMark(
  { observedMarks: marks }: Models,
  classId: string,
  id: string,
  transaction: Transaction,
): Promise<void> {
  await marks.destroy({ where: { id, classId }, transaction })
}
