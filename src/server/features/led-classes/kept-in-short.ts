import { Op } from 'sequelize'
import type { WhereOptions } from 'sequelize'
import type { ZodType } from 'zod'
import type { LedClass } from '#model/led-class'
import { mostClassesInShort } from '#model/limits'
import type { Database } from '#server/db/open'

/** What is told of a class in short, and kept with it so that its whole record need not be read each time. */
export interface InShort<T> {
  readonly column: 'seenTimes' | 'drift'
  readonly schema: ZodType<T>
  readonly of: (led: LedClass) => T
}

/** What is told of the newest classes that ended and are wished for, the newest first. One that was never asked is read once. */
export async function inShort<T>(
  { models: { ledClasses }, inTransaction }: Database,
  { column, schema, of }: InShort<T>,
  wished: WhereOptions,
  find: (id: string) => Promise<LedClass>,
): Promise<readonly T[]> {
  const rows = (await ledClasses.findAll({
    attributes: ['id', column],
    where: { [Op.and]: [{ deletedAt: null, left: false, endedAt: { [Op.ne]: null } }, wished] },
    order: [['startedAt', 'DESC']],
    limit: mostClassesInShort,
    raw: true,
  })) as unknown as readonly (Record<InShort<T>['column'], string | null> & { readonly id: string })[]
  const all: T[] = []
  const asked: { readonly id: string; readonly text: string }[] = []
  for (const { id, [column]: kept } of rows) {
    const before = kept === null ? undefined : known(kept, schema)
    const told = before ? before.value : of(await find(id))
    if (!before) asked.push({ id, text: JSON.stringify(told) })
    all.push(told)
  }
  if (asked.length > 0)
    await inTransaction(async (transaction) => {
      for (const { id, text } of asked) await ledClasses.update({ [column]: text }, { where: { id }, transaction })
    })
  return all
}

/** What cannot be read any more is asked of the class anew. */
function known<T>(text: string, schema: ZodType<T>): { readonly value: T } | undefined {
  try {
    return { value: schema.parse(JSON.parse(text)) }
  } catch {
    return undefined
  }
}
