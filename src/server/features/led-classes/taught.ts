import type { SeenTime } from '#model/seen-time'
import { seenTimeSchema } from '#model/seen-time'
import { mostRecords, seenTimes } from '#core/journal'
import type { LedClass } from '#model/led-class'
import { shippedCatalog } from '#library/shipped'
import type { Models } from '#server/db/models'
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
  { ledClasses }: Models,
  find: (id: string) => Promise<LedClass>,
): Promise<readonly SeenTime[]> {
  const rows = await ledClasses.findAll({
    attributes: ['id', 'seenTimes'],
    where: { format: 2, left: false, endedAt: { [Op.ne]: null } },
    order: [['startedAt', 'DESC']],
    limit: mostClasses,
    raw: true,
  })
  const counted = new Map<string, number>()
  const all: SeenTime[] = []
  for (const { id, seenTimes: kept } of rows) {
    const seen = (kept === null ? undefined : known(kept)) ?? (await asked(ledClasses, await find(id)))
    for (const one of seen) {
      const of = `${one.key} ${one.level}`
      const before = counted.get(of) ?? 0
      counted.set(of, before + 1)
      if (before < mostRecords) all.push(one)
    }
  }
  return all
}

/** What cannot be read any more is asked of the class anew. */
function known(text: string): readonly SeenTime[] | undefined {
  try {
    return seenSchema.parse(JSON.parse(text))
  } catch {
    return undefined
  }
}

async function asked(ledClasses: Models['ledClasses'], led: LedClass): Promise<readonly SeenTime[]> {
  const seen = seenTimes(led, shippedCatalog.changes)
  await ledClasses.update({ seenTimes: JSON.stringify(seen) }, { where: { id: led.id } })
  return seen
}
