import { z } from 'zod'
import { classDriftSchema } from '#model/class-drift'
import type { ClassDrift } from '#model/class-drift'
import type { JournalWish } from '#model/journal'
import type { LedClass } from '#model/led-class'
import { seenTimeSchema } from '#model/seen-time'
import type { SeenTime } from '#model/seen-time'
import { classDrift, lastTaught, mostRecords, seenTimes } from '#core/journal'
import type { LastTaught } from '#core/journal'
import { shippedCatalog } from '#library/shipped'
import type { Database } from '#server/db/open'
import { wished } from './journal.ts'
import { inShort } from './kept-in-short.ts'
import type { InShort } from './kept-in-short.ts'

const times: InShort<readonly SeenTime[]> = {
  column: 'seenTimes',
  schema: z.array(seenTimeSchema),
  of: (led) => seenTimes(led, shippedCatalog.changes),
}
/** Of a class that cannot tell it, nothing is kept. */
const drift: InShort<ClassDrift | null> = {
  column: 'drift',
  schema: classDriftSchema.nullable(),
  of: (led) => classDrift(led) ?? null,
}

type Find = (id: string) => Promise<LedClass>

/** What the classes that ended teach of how long things take, the newest first and no more of a thing than count. */
export async function taught(database: Database, find: Find): Promise<readonly SeenTime[]> {
  const counted = new Map<string, number>()
  // A colleague's pace is not one's own.
  return (await inShort(database, times, { format: 2, ledBy: null }, find)).flat().filter(({ key, level }) => {
    const of = `${key} ${level}`
    const count = counted.get(of) ?? 0
    counted.set(of, count + 1)
    return count < mostRecords
  })
}

/** How plan and class drift apart in those that are wished for, the newest first. */
export async function drifts(database: Database, wish: JournalWish, find: Find): Promise<readonly ClassDrift[]> {
  return (await inShort(database, drift, await wished(database.models, wish), find)).filter((one) => one !== null)
}

/** When each pose, movement and technique was led last. */
export async function lastLed(database: Database, find: Find): Promise<readonly LastTaught[]> {
  return lastTaught(await drifts(database, {}, find))
}

/** What a class tells in short, kept with it as soon as it ended. */
export async function keepTaught({ models, inTransaction }: Database, led: LedClass): Promise<void> {
  const kept = { seenTimes: JSON.stringify(times.of(led)), drift: JSON.stringify(drift.of(led)) }
  await inTransaction((transaction) => models.ledClasses.update(kept, { where: { id: led.id }, transaction }))
}
