import { isDeepStrictEqual } from 'node:util'
import { incidentSchema } from '#model/incident'
import type { Incident, KeptIncident } from '#model/incident'
import { breathAnswersSchema, leadEventSchema, ledAsideSchema, ledStartSchema, visitSchema } from '#model/led-class'
import type { BreathAnswers, EventsSent, KeptEvent, LedClass, LedEnd, LedStart } from '#model/led-class'
import { leasedTo, renewed } from '#core/lead'
import type { Lease } from '#core/lead'
import type { ObservedMark } from '#model/observed-mark'
import type { JournalWish } from '#model/journal'
import { lift } from '#model/lift'
import type { FormerSession, Session } from '#model/session'
import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { z } from 'zod'
import { systemClock } from '#server/clock'
import type { Clock } from '#server/clock'
import type { LedClassRow, Models } from '#server/db/models'
import type { Database } from '#server/db/open'
import { firstRecordSchema, liftFirstRecord } from '#server/db/migrations/first-edition/first-record'
import type { FirstRecord } from '#server/db/migrations/first-edition/first-record'
import { makeHub } from '#server/features/following/hub'
import type { Hub } from '#server/features/following/hub'
import { comesBack } from '#server/features/handing/comes-back'
import { readKept } from '#server/features/read-kept'
import { ProblemError } from '#server/problems'
import { keptAside } from './asides.ts'
import { journalOf } from './journal.ts'
import { dropMark, keepMark, observedMarks } from './observed-marks.ts'
import { drifts, keepTaught, lastLed, taught } from './taught.ts'

const visitsSchema = z.array(visitSchema)

/** A device that tells of a class: by the id it gives itself, and as it is called. */
export interface Teller {
  readonly by: string
  readonly name: string
}

/** Led classes: what each was led from, once; its events, appended; what was conducted, when it ended; who leads it. */
export function ledClassStore(database: Database, clock: Clock = systemClock, hub: Hub = makeHub()) {
  const { models, inTransaction } = database
  /** Written over in this record, and in the one that came back of it. */
  const toldBack = (id: string, change: Parameters<typeof writeOver>[2], based: number) =>
    inTransaction(async (transaction) => {
      const version = await writeOver(models, id, change, based, transaction)
      await comesBack(database, id, transaction)
      return version
    })
  return {
    find: (id: string) => find(models, id),
    /** What the classes that ended teach of how long things take. */
    taught: () => taught(database, (id) => find(models, id)),
    /** How plan and class drift apart in those that are wished for. */
    drifts: (wish: JournalWish) => drifts(database, wish, (id) => find(models, id)),
    /** When each thing of the shelf was led last. */
    lastLed: () => lastLed(database, (id) => find(models, id)),
    /** The events alone: all that changes of a class while it runs. */
    events: async (id: string) => {
      await rowOf(models, id)
      return eventsOf(models, id)
    },
    ...journalOf(database),
    /** The class that runs: the newest that nobody ended, for as long as one may last; undefined where there is none. */
    running: () => running(models, clock),
    ...conducting(database, clock, hub),
    /** Writes the note over the version it was based on, and says the new one. */
    writeNote: (id: string, note: string, based: number) =>
      toldBack(id, { note: note.trim() === '' ? null : note }, based),
    /** Writes how the breath was, as it does the note. */
    writeBreath: (id: string, breath: BreathAnswers, based: number) =>
      toldBack(id, { breath: answersOf(breath) }, based),
    /** What happened in a class, which no record carries. */
    incident: (id: string) => incidentOf(models, id),
    /** Writes it down, as it does the note; none takes it away. */
    writeIncident: (id: string, incident: Incident | null, based: number) =>
      inTransaction((transaction) =>
        writeOver(models, id, { incident: incident && JSON.stringify(incident) }, based, transaction),
      ),
    /** What somebody marks who looks on. */
    keepMark: (id: string, mark: ObservedMark) =>
      inTransaction(async (transaction) => {
        await rowOf(models, id, transaction)
        await keepMark(models, id, mark, transaction)
      }),
    dropMark: (id: string, markId: string) =>
      inTransaction(async (transaction) => {
        await rowOf(models, id, transaction)
        await dropMark(models, id, markId, transaction)
      }),
    /** Takes in a record of the first edition that a browser still kept; a fuller one that is here stays. */
    takeFormer: (record: FirstRecord, whole: unknown) =>
      inTransaction((transaction) => takeFormer(models, record, whole, transaction)),
  }
}

/** What the device that leads tells of a class; the hub hears of all of it. */
function conducting(database: Database, clock: Clock, hub: Hub) {
  const { models, inTransaction } = database
  /** What is told by another device than the one that leads is kept beside the record, and it is told who leads. */
  async function counted<T>(work: (transaction: Transaction) => Promise<T | Elsewhere>): Promise<T> {
    const done = await inTransaction(work)
    hub.changed()
    if (done instanceof Elsewhere) throw new ProblemError('LED_ELSEWHERE', { name: done.name })
    return done
  }
  const nowMs = (): number => clock.now().getTime()
  return {
    /** Begins a record. Sent again it changes nothing; another class of the same id is refused. */
    begin: (led: LedStart, teller?: Teller) =>
      counted(async (transaction) => {
        const row = await begin(models, led, transaction)
        if (teller && row.leadsBy === null) await row.update(leadsOf(teller, clock), { transaction })
      }),
    /** Another device leads from here on. What the one before has not told yet is kept beside the record. */
    takeOver: async (id: string, teller: Teller) => {
      const row = await counted(async (transaction) => {
        const there = await rowOf(models, id, transaction)
        if (there.endedAt) throw new ProblemError('CLASS_ENDED', { id })
        return there.update(leadsOf(teller, clock), { transaction })
      })
      return { conductedMs: row.conductedMs }
    },
    /**
     * Appends events that follow the first `after` of them, and says how many are kept then. Those that are kept
     * already are passed over, so that a batch may be sent again; a gap before them is refused with what is kept.
     */
    append: (id: string, after: number, sent: EventsSent, teller?: Teller) =>
      counted(async (transaction) => {
        const aside = await ledElsewhere(models, id, teller, nowMs(), transaction)
        if (aside) {
          await keptAside(models, id, { ...aside.told, ...sent }, aside.ledMs, transaction)
          return aside.elsewhere
        }
        const kept = await append(models, id, { after, ...sent }, transaction)
        hub.heard(id, nowMs(), sent.conductedMs, teller?.by)
        return kept
      }),
    /** Ends a record with what was conducted. Sent again it changes nothing; an end that differs is refused. */
    end: async (id: string, ended: LedEnd, teller?: Teller) => {
      await counted(async (transaction) => {
        const aside = await ledElsewhere(models, id, teller, nowMs(), transaction)
        if (!aside) {
          await end(models, id, ended, transaction)
          await comesBack(database, id, transaction)
          return
        }
        const conductedMs = ended.visits.at(-1)?.endMs ?? 0
        const note = ended.note === undefined ? {} : { note: ended.note }
        await keptAside(models, id, { ...aside.told, events: [], conductedMs, ...note }, aside.ledMs, transaction)
        return aside.elsewhere
      })
      await keepTaught(database, await find(models, id))
    },
  }
}

export type LedClassStore = ReturnType<typeof ledClassStore>

async function rowOf(models: Models, id: string, transaction?: Transaction): Promise<LedClassRow> {
  const row = await models.ledClasses.findByPk(id, { transaction })
  if (!row) throw new ProblemError('UNKNOWN_CLASS', { id })
  return row
}

/** Another device leads: it is said which. */
class Elsewhere {
  constructor(readonly name: string) {}
}

const leadsOf = ({ by, name }: Teller, clock: Clock) => ({
  leadsBy: by,
  leadsName: name,
  leadsUntil: new Date(leasedTo(by, clock.now().getTime()).untilMs),
})

/** The device that leads a class, as it is kept with it. */
export const leaseOf = ({ leadsBy, leadsUntil }: Pick<LedClassRow, 'leadsBy' | 'leadsUntil'>): Lease | undefined =>
  leadsBy === null || leadsUntil === null ? undefined : { by: leadsBy, untilMs: leadsUntil.getTime() }

/** Whoever tells of a class leads on by it; where another device leads, what is told is put beside. */
async function ledElsewhere(
  models: Models,
  id: string,
  teller: Teller | undefined,
  nowMs: number,
  transaction: Transaction,
) {
  if (!teller) return undefined
  const row = await rowOf(models, id, transaction)
  const lease = renewed(leaseOf(row), teller.by, nowMs)
  if (!lease)
    return {
      elsewhere: new Elsewhere(row.leadsName ?? ''),
      told: { ...teller, keptAt: new Date(nowMs).toISOString() },
      ledMs: row.conductedMs,
    }
  if (!row.endedAt)
    await row.update(
      { leadsBy: lease.by, leadsName: teller.name, leadsUntil: new Date(lease.untilMs) },
      { transaction },
    )
  return undefined
}

/** A class lasts no longer than this, whoever forgot to end it. */
const longestMs = 12 * 3_600_000

const running = (models: Models, clock: Clock): Promise<LedClassRow | null> =>
  models.ledClasses.findOne({
    where: {
      format: 2,
      endedAt: null,
      deletedAt: null,
      startedAt: { [Op.gt]: new Date(clock.now().getTime() - longestMs) },
    },
    order: [['startedAt', 'DESC']],
  })

async function find(models: Models, id: string): Promise<LedClass> {
  const row = await rowOf(models, id)
  const where = { classId: id }
  const asides = await models.ledAsides.findAll({ where, order: [['id', 'ASC']], raw: true })
  return readClass(row, {
    events: await eventsOf(models, id),
    asides: asides.map(({ document }) => kept(document, ledAsideSchema)),
    marks: await observedMarks(models, id),
  })
}

async function eventsOf({ ledEvents }: Models, classId: string): Promise<LedClass['events']> {
  const rows = await ledEvents.findAll({ where: { classId }, order: [['n', 'ASC']], raw: true })
  return rows.map(({ n, by, event }) => ({ n, by, event: kept(event, leadEventSchema) }))
}

async function begin(models: Models, led: LedStart, transaction: Transaction): Promise<LedClassRow> {
  const row = await models.ledClasses.findByPk(led.id, { transaction })
  if (row && !(row.format === 2 && isDeepStrictEqual(JSON.parse(row.document), led)))
    throw new ProblemError('CLASS_TAKEN', { id: led.id })
  return row ?? models.ledClasses.create({ ...columnsOf(led), leadsBy: null }, { transaction })
}

async function append(
  models: Models,
  id: string,
  { after, events, conductedMs }: EventsSent & { readonly after: number },
  transaction: Transaction,
): Promise<number> {
  const row = await rowOf(models, id, transaction)
  const kept = await models.ledEvents.count({ where: { classId: id }, transaction })
  if (after > kept) throw new ProblemError('EVENTS_MISSING', { after, kept })
  const fresh = events.filter(({ n }) => n > kept)
  if (fresh.length > 0 && row.endedAt) throw new ProblemError('CLASS_ENDED', { id })
  await addEvents(models, id, fresh, transaction)
  const late = fresh.filter(({ event }) => event.type === 'cameLate').length
  if (late > 0) await row.update({ people: row.people + late }, { transaction })
  if (!row.endedAt && conductedMs > row.conductedMs)
    await row.update({ conductedMs, ledS: Math.round(conductedMs / 1000) }, { transaction })
  return kept + fresh.length
}

export async function addEvents(
  { ledEvents }: Pick<Models, 'ledEvents'>,
  classId: string,
  events: readonly KeptEvent[],
  transaction: Transaction,
) {
  const rows = events.map(({ n, by, event }) => ({ classId, n, by, event: JSON.stringify(event) }))
  await ledEvents.bulkCreate(rows, { transaction })
}

async function end(
  models: Models,
  id: string,
  { endedAt, left, visits, note, breath }: LedEnd,
  transaction: Transaction,
): Promise<void> {
  const row = await rowOf(models, id, transaction)
  // One that was written before, of a class nobody had ended, stays with it.
  const notes = [row.note, note].filter((one) => typeof one === 'string').join('\n')
  const ended = { endedAt: new Date(endedAt), left, visits: JSON.stringify(visits), note: notes === '' ? null : notes }
  // What was answered before of a class nobody had ended stays.
  const answers = answersOf(breath) ?? row.breath
  if (row.endedAt) {
    const isSame = row.endedAt.getTime() === ended.endedAt.getTime() && row.visits === ended.visits
    if (!isSame) throw new ProblemError('CLASS_ENDED', { id })
    return
  }
  const ledMs = visits.at(-1)?.endMs ?? 0
  const version = row.version + 1
  await row.update(
    { ...ended, breath: answers, conductedMs: ledMs, ledS: Math.round(ledMs / 1000), version },
    { transaction },
  )
}

/** Nothing answered is kept as nothing. */
export const answersOf = (breath: BreathAnswers | undefined): string | null =>
  breath?.was === undefined && breath?.freedFor === undefined ? null : JSON.stringify(breath)

async function incidentOf(models: Models, id: string): Promise<KeptIncident> {
  const { incident, version } = await rowOf(models, id)
  return { incident: incident === null ? null : kept(incident, incidentSchema), version }
}

async function writeOver(
  models: Models,
  id: string,
  change: { readonly note?: string | null; readonly breath?: string | null; readonly incident?: string | null },
  based: number,
  transaction: Transaction,
): Promise<number> {
  const version = based + 1
  const [written] = await models.ledClasses.update(
    { ...change, version },
    { where: { id, version: based }, transaction },
  )
  if (written > 0) return version
  const { version: current } = await rowOf(models, id, transaction)
  throw new ProblemError('VERSION_STALE', { based, current })
}

async function takeFormer(
  models: Models,
  record: FirstRecord,
  whole: unknown,
  transaction: Transaction,
): Promise<void> {
  const row = await models.ledClasses.findByPk(record.id, { transaction })
  if (row && (row.format !== 1 || row.endedAt)) return
  const { conductedMs, visits, left, isAbout, events } = liftFirstRecord(record)
  if (row && row.conductedMs >= conductedMs) return
  await row?.destroy({ transaction })
  const { document: of } = whole as { readonly document?: { readonly practice?: string; readonly placeId?: string } }
  await models.ledClasses.create(
    {
      ...headOf({ ...record, name: record.document.name, plannedMs: record.plan.totalMs }),
      endedAt: record.endedAt === undefined ? null : new Date(record.endedAt),
      ledS: Math.round(conductedMs / 1000),
      practice: of?.practice ?? null,
      placeId: of?.placeId ?? null,
      document: JSON.stringify(whole),
      format: 1,
      conductedMs,
      left,
      isAbout,
      visits: JSON.stringify(visits),
      note: record.note ?? null,
      version: 1,
    },
    { transaction },
  )
  await addEvents(models, record.id, events, transaction)
}

/** A part of a record as it is kept. Throws DOCUMENT_UNREADABLE: the journal tells it of the one class it is. */
const kept = <T extends z.ZodType>(stored: string, schema: T): z.infer<T> =>
  readKept(stored, { kind: 'class' }, (document) => schema.safeParse(document))

function readClass(row: LedClassRow, beside: Pick<LedClass, 'events' | 'asides' | 'marks'>): LedClass {
  const { conductedMs, left, note, version, visits, isAbout, ledBy } = row
  const breath = row.breath === null ? null : kept(row.breath, breathAnswersSchema)
  const told = {
    ...beside,
    conductedMs,
    left,
    note,
    breath,
    version,
    ledBy,
    endedAt: row.endedAt?.toISOString() ?? null,
  }
  const conducted = visits === null ? null : kept(visits, visitsSchema)
  if (row.format === 2) return { ...kept(row.document, ledStartSchema), ...told, format: 2, visits: conducted }
  const { resolved, ...record } = kept(row.document, firstRecordSchema)
  const whole = JSON.parse(row.document) as { readonly document: Session | FormerSession }
  const { plan } = liftFirstRecord({ ...record, resolved, log: [] })
  return {
    id: record.id,
    sessionId: record.sessionId,
    startedAt: record.startedAt,
    promisedEnd: record.promisedEnd,
    people: record.people,
    document: lift(whole.document),
    blocks: resolved,
    ...told,
    format: 1,
    plan,
    visits: conducted ?? [],
    isAbout,
  }
}

interface Head {
  readonly id: string
  readonly sessionId: string
  readonly startedAt: string
  readonly people: number
  readonly name: string
  readonly plannedMs: number
}

const headOf = ({ id, sessionId, startedAt, people, name, plannedMs }: Head) => ({
  id,
  sessionId,
  startedAt: new Date(startedAt),
  people,
  name,
  plannedS: Math.round(plannedMs / 1000),
})

export const columnsOf = (led: LedStart) => ({
  ...headOf({ ...led, name: led.document.name, plannedMs: led.plan.totalMs }),
  endedAt: null,
  ledS: 0,
  practice: led.document.practice,
  placeId: led.placeId ?? led.document.placeId ?? null,
  document: JSON.stringify(led),
  format: 2,
  conductedMs: 0,
  left: false,
  isAbout: false,
  visits: null,
  note: null,
  version: 1,
})
