import type { SeenTime } from '#model/seen-time'
import { seenTimeSchema } from '#model/seen-time'
import { mostRecords, seenTimes } from '#core/journal'
import type { LedClass } from '#model/led-class'
import { shippedCatalog } from '#library/shipped'
import type { Database } from '#server/db/open'
import { Op } from 'sequelize'
import { z } from 'zod'

const seenSchema = z.array(seenTimeSchema)
/** So many of the newest classes are asked: a record older than that would weigh next to nothing. */
const mostClasses = 400

/**
 * What the classes that ended teach of how long things take, the newest first and no more of a thing than count. A class
 * that was never asked is read once, and what it teaches is kept with it.
 */
export async function taught(
  { models: { ledClasses }, inTransaction }: Database,
  find: (id: string) => Promise<LedClass>,
): Promise<readonly SeenTime[]> {
  const rows = await ledClasses.findAll({
    attributes: ['id', 'seenTimes'],
    where: { format: 2, left: false, deletedAt: null, endedAt: { [Op.ne]: null } },
    order: [['startedAt', 'DESC']],
    limit: mostClasses,
    raw: true,
  })
  const counted = new Map<string, number>()
  const all: SeenTime[] = []
  const asked: { readonly id: string; readonly seenTimes: string }[] = []
  for (const { id, seenTimes: kept } of rows) {
    const before = kept === null ? undefined : known(kept)
    const seen = before ?? taughtBy(await find(id))
    if (!before) asked.push({ id, seenTimes: JSON.stringify(seen) })
    for (const one of seen) {
      const of = `${one.key} ${one.level}`
      const count = counted.get(of) ?? 0
      counted.set(of, count + 1)
      if (count < mostRecords) all.push(one)
    }
  }
  if (asked.length > 0)
    await inTransaction(async (transaction) => {
      for (const { id, ...taughtNow } of asked) await ledClasses.update(taughtNow, { where: { id }, transaction })
    })
  return all
}

/** What a class teaches, kept with it as soon as it ended. */
export async function keepTaught({ models, inTransaction }: Database, led: LedClass): Promise<void> {
  const kept = { seenTimes: JSON.stringify(taughtBy(led)) }
  await inTransaction((transaction) => models.ledClasses.update(kept, { where: { id: led.id }, transaction }))
}

const taughtBy = (led: LedClass): readonly SeenTime[] => seenTimes(led, shippedCatalog.changes)

/** What cannot be read any more is asked of the class anew. */
function known(text: string): readonly SeenTime[] | undefined {
  try {
    return seenSchema.parse(JSON.parse(text))
  } catch {
    return undefined
  }
}
