import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { stampOf } from '#server/clock'
import type { Clock } from '#server/clock'
import { withOffer } from '#server/backup/offer'
import { holdDatabase } from '#server/db/hold'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { ledClassStore } from '#server/features/led-classes/store'
import { longDayStore } from '#server/features/long-days/store'
import { peopleStore } from '#server/features/people/store'
import { plannedClassStore } from '#server/features/planned-classes/store'
import { placeStore } from '#server/features/places/store'
import { seriesStore } from '#server/features/series/store'
import { sessionStore } from '#server/features/sessions/store'
import { bellowsHouse, bellowsPeople } from './bellows-house.ts'
import { demoClasses } from './led-classes.ts'
import { threeHours } from './long-day.ts'
import { plannedClasses } from './planned-classes.ts'
import { demoSeries, joined } from './series.ts'
import { demoSessions } from './sessions.ts'

/** Raised whenever the demo data changes: an older demo database is then put aside and made anew. */
export const seedNumber = 14
const seedNote = 'demo seed'

const minuteMs = 60_000

export async function seedDemo(database: Database, clock: Clock): Promise<void> {
  const { models, inTransaction } = database
  // The first of the list was worked on last.
  for (const [index, document] of demoSessions.toReversed().entries()) {
    const at = new Date(clock.now().getTime() - (demoSessions.length - index) * 90 * minuteMs)
    await sessionStore(database, { now: () => at }).create(document)
  }
  await placeStore(database, clock).put(bellowsHouse, 0)
  for (const person of bellowsPeople(clock.now())) await peopleStore(database).put(person, 0)
  const weeks = joined(demoSeries(clock.now()), plannedClasses(clock.now()))
  for (const series of weeks.series) await seriesStore(database).put(series, 0)
  for (const planned of weeks.planned) await plannedClassStore(database, clock).put(planned, 0)
  await longDayStore(database).put(threeHours(clock.now()), 0)
  const classes = ledClassStore(database)
  for (const { start, events, end } of demoClasses(clock.now())) {
    await classes.begin(start)
    await classes.append(start.id, 0, { events: [...events], conductedMs: 0 })
    await classes.end(start.id, end)
  }
  const note = { name: seedNote, value: String(seedNumber) }
  await inTransaction((transaction) => models.notes.create(note, { transaction }))
}

async function seedOf(file: string): Promise<number> {
  const database = await openDatabase(file)
  const note = await database.models.notes.findByPk(seedNote)
  await database.close()
  return Number(note?.value ?? 0)
}

export interface DemoMade {
  readonly file: string
  /** Where the former demo database lies now, if there was an older one. */
  readonly former: string | undefined
}

/** What the demo's database is called. */
export const demoFile = 'demo.sqlite'

/**
 * The demo database, made when absent or when its seed is older than the shipped one. Throws a CannotOpen where it is in use, and
 * where it is damaged a sentence with the newest backup.
 */
export async function prepareDemo(folder: string, clock: Clock): Promise<DemoMade> {
  const file = join(folder, demoFile)
  // Another Zovrin may have it open: it is not put aside under it.
  const letGo = await holdDatabase(file)
  try {
    return { file, former: await prepared(file, clock) }
  } catch (error) {
    throw await withOffer(error, { file, folder }, true)
  } finally {
    await letGo()
  }
}

/** Says where the former demo database lies, if there was an older one. */
async function prepared(file: string, clock: Clock): Promise<string | undefined> {
  const isThere = existsSync(file)
  if (isThere && (await seedOf(file)) >= seedNumber) return undefined
  const former = isThere ? putAside(file, clock.now()) : undefined
  const database = await openDatabase(file)
  await seedDemo(database, clock)
  await database.close()
  return former
}

/** Moves a database beside itself under its date; its journal files have been folded in by closing it. */
function putAside(file: string, now: Date): string {
  const former = file.replace(/\.sqlite$/, `-${stampOf(now)}.sqlite`)
  renameSync(file, former)
  for (const extra of ['-wal', '-shm']) rmSync(file + extra, { force: true })
  return former
}
