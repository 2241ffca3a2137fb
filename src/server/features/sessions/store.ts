import { col, fn, Op } from 'sequelize'
import type { CreationAttributes, Transaction } from 'sequelize'
import type { Session } from '#model/session'
import type { Clock } from '#server/clock'
import type { HistoryRow, Models } from '#server/db/models'
import type { Database } from '#server/db/open'
import { daysToCome } from '#server/features/planned-classes/to-come'
import { ProblemError } from '#server/problems'
import { classOn } from '#words/dates'
import { migrateDocument } from './migrate-document.ts'
import type { PlanCheck } from './read-document.ts'

/** A kept version is made at most this often, unless something decisive happens [decisions]. */
const keepEveryMs = 5 * 60_000
/** Kept versions stay at least this long, and at least the last of them do [decisions]. */
const keepForMs = 90 * 24 * 3_600_000
/**
 * So many stay whatever their age: a clock that is set wrong for one save must not clear what years have kept. Counted
 * in the order in which they were kept, never by what the clock said then.
 */
export const keptAtLeast = 200
/** As many deleted sessions stay to be brought back, whatever their age. */
export const deletedKeptAtLeast = 100

export type KeepReason = 'saved' | 'conflict' | 'fit' | 'version' | 'lead' | 'restored'

export interface SessionSummary {
  readonly id: string
  readonly name: string
  readonly practice: string
  readonly lengthS: number
  readonly savedAt: string
  readonly archived: boolean
  readonly template: boolean
  /** When it was led last; null when never. */
  readonly lastLed: string | null
}

/** What can be set about a session without touching its document. */
export interface SessionState {
  readonly archived?: boolean | undefined
  readonly template?: boolean | undefined
  readonly deleted?: boolean | undefined
}
export interface StoredSession {
  readonly document: Session
  readonly version: number
}
export interface KeptVersion {
  readonly id: number
  readonly version: number
  readonly reason: string
  readonly keptAt: string
}

/** What every act on the sessions needs. */
type At = Pick<Database, 'models'> & { readonly clock: Clock; readonly check: PlanCheck }

/** Takes whatever it is given: for documents that come with the program. */
const unchecked: PlanCheck = () => Promise.resolve()

/**
 * Sessions as documents with optimistic locking; every save keeps what was there for a while. `check` is asked within
 * the transaction that writes, so that nothing a document names can go in between.
 */
export function sessionStore({ models, inTransaction }: Database, clock: Clock, check: PlanCheck = unchecked) {
  const at: At = { models, clock, check }
  return {
    find: (id: string) => find(at, id),
    list: () => list(at),
    /** Puts a session away, makes it a template, deletes it, or takes any of these back. */
    setState: (id: string, state: SessionState) => inTransaction((transaction) => setState(at, id, state, transaction)),
    /** Adds a session; within another transaction where one is given. */
    create: (document: Session, within?: Transaction) =>
      within ? add(at, document, within) : inTransaction((transaction) => add(at, document, transaction)),
    /** Saves over the version it was based on; the former document goes to history when due or asked. */
    save: (document: Session, based: number, reason: KeepReason) =>
      inTransaction((transaction) => save(at, document, { based, reason }, transaction)),
    /** Puts a document into history: given up in a conflict, or as it stood before something decisive. */
    setAside: (document: Session, based: number, reason: KeepReason) =>
      inTransaction((transaction) => setAside(at, document, { based, reason }, transaction)),
    history: (sessionId: string) => history(at, sessionId),
    keptDocument: (sessionId: string, id: number) => keptDocument(at, sessionId, id),
  }
}

export type SessionStore = ReturnType<typeof sessionStore>

async function find({ models }: At, id: string, transaction?: Transaction): Promise<StoredSession> {
  const row = await models.sessions.findByPk(id, { transaction })
  if (!row || row.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id })
  return { document: migrateDocument(row.document), version: row.version }
}

async function list({ models }: At): Promise<SessionSummary[]> {
  const rows = await models.sessions.findAll({
    attributes: ['id', 'name', 'practice', 'lengthS', 'savedAt', 'archivedAt', 'isTemplate'],
    where: { deletedAt: null },
    order: [
      ['savedAt', 'DESC'],
      ['id', 'ASC'],
    ],
  })
  const led = await lastLed(models)
  return rows.map(({ id, name, practice, lengthS, savedAt, archivedAt, isTemplate }) => ({
    id,
    name,
    practice,
    lengthS,
    savedAt: savedAt.toISOString(),
    archived: archivedAt !== null,
    template: isTemplate,
    lastLed: led.get(id) ?? null,
  }))
}

async function lastLed(models: Models): Promise<Map<string, string>> {
  const rows = await models.ledClasses.findAll({
    attributes: ['sessionId', [fn('MAX', col('startedAt')), 'startedAt']],
    where: { deletedAt: null },
    group: ['sessionId'],
  })
  return new Map(rows.map(({ sessionId, startedAt }) => [sessionId, new Date(startedAt).toISOString()]))
}

async function setState(
  { models, clock }: At,
  id: string,
  { archived, template, deleted }: SessionState,
  transaction: Transaction,
) {
  const row = await models.sessions.findByPk(id, { transaction })
  if (!row || (row.deletedAt && deleted !== false)) throw new ProblemError('UNKNOWN_SESSION', { id })
  if (deleted) await refuseToCome({ models, clock }, row, transaction)
  const now = clock.now()
  const change = {
    ...(archived === undefined ? {} : { archivedAt: archived ? now : null }),
    ...(template === undefined ? {} : { isTemplate: template }),
    ...(deleted === undefined ? {} : { deletedAt: deleted ? now : null }),
  }
  await row.update(change, { transaction })
  if (deleted) await clearDeleted(models, now, transaction)
}

/** Throws IN_USE where a class to come is planned with it. */
async function refuseToCome(
  { models, clock }: Pick<At, 'models' | 'clock'>,
  { id, name }: { readonly id: string; readonly name: string },
  transaction: Transaction,
): Promise<void> {
  const days = await daysToCome(models, { sessionId: id }, clock, transaction)
  if (days.length > 0) throw new ProblemError('IN_USE', { name, where: days.map(classOn).join(', '), sessions: [] })
}

/** A deleted session can be brought back for as long as its history is kept; then it goes, and what was recorded for it. */
async function clearDeleted({ sessions, voices }: Models, now: Date, transaction: Transaction): Promise<void> {
  const past = await sessions.findAll({
    attributes: ['id', 'deletedAt'],
    where: { deletedAt: { [Op.ne]: null } },
    order: [['deletedAt', 'DESC']],
    offset: deletedKeptAtLeast,
    transaction,
  })
  const before = now.getTime() - keepForMs
  const gone = past.filter(({ deletedAt }) => deletedAt && deletedAt.getTime() < before).map(({ id }) => id)
  await sessions.destroy({ where: { id: gone }, transaction })
  await voices.destroy({ where: { sessionId: gone }, transaction })
}

const columnsOf = (document: Session, savedAt: Date) => ({
  id: document.id,
  name: document.name,
  practice: document.practice,
  lengthS: document.lengthS,
  document: JSON.stringify(document),
  savedAt,
})

async function add({ models, clock, check }: At, document: Session, transaction: Transaction): Promise<StoredSession> {
  const taken = await models.sessions.findByPk(document.id, { transaction })
  if (taken) throw new ProblemError('ID_TAKEN', { id: document.id })
  await check(document, transaction)
  await models.sessions.create(
    { ...columnsOf(document, clock.now()), version: 1, archivedAt: null, deletedAt: null },
    { transaction },
  )
  return { document, version: 1 }
}

/** What a document was when it went to history, and why. */
interface Former {
  readonly based: number
  readonly reason: KeepReason
}

async function save(
  at: At,
  document: Session,
  { based, reason }: Former,
  transaction: Transaction,
): Promise<StoredSession> {
  const { id } = document
  const row = await at.models.sessions.findByPk(id, { transaction })
  if (!row || row.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id })
  await at.check(document, transaction)
  const version = based + 1
  // The database itself looks at the version as it writes, whatever it locks meanwhile.
  const [saved] = await at.models.sessions.update(
    { ...columnsOf(document, at.clock.now()), version },
    { where: { id, version: based, deletedAt: null }, transaction },
  )
  if (saved === 0) throw new ProblemError('VERSION_STALE', { based, current: row.version })
  if (reason !== 'saved' || (await isDue(at, id, transaction)))
    await keep(at, { sessionId: id, version: based, document: row.document, reason }, transaction)
  return { document, version }
}

async function isDue({ models, clock }: At, sessionId: string, transaction: Transaction): Promise<boolean> {
  const [last] = await models.history.findAll({
    attributes: ['keptAt'],
    where: { sessionId, reason: 'saved' },
    order: [['id', 'DESC']],
    limit: 1,
    transaction,
  })
  // Also where the clock was set back since: what lies in the future was not kept just now.
  return !last || Math.abs(clock.now().getTime() - last.keptAt.getTime()) > keepEveryMs
}

async function keep(
  { models, clock }: At,
  former: Pick<CreationAttributes<HistoryRow>, 'sessionId' | 'version' | 'document' | 'reason'>,
  transaction: Transaction,
): Promise<void> {
  const now = clock.now()
  const { sessionId } = former
  await models.history.create({ ...former, keptAt: now }, { transaction })
  const past = await models.history.findAll({
    attributes: ['id'],
    where: { sessionId },
    order: [['id', 'DESC']],
    offset: keptAtLeast,
    transaction,
  })
  const tooOld = { [Op.lt]: new Date(now.getTime() - keepForMs) }
  await models.history.destroy({ where: { id: past.map(({ id }) => id), keptAt: tooOld }, transaction })
}

async function setAside(at: At, document: Session, { based, reason }: Former, transaction: Transaction): Promise<void> {
  const { version: current } = await find(at, document.id, transaction)
  // What was never there can be based on nothing.
  if (based > current) throw new ProblemError('VERSION_STALE', { based, current })
  await at.check(document, transaction)
  const former = { sessionId: document.id, version: based, document: JSON.stringify(document), reason }
  await keep(at, former, transaction)
}

async function history(at: At, sessionId: string): Promise<KeptVersion[]> {
  await find(at, sessionId)
  const rows = await at.models.history.findAll({
    where: { sessionId },
    attributes: ['id', 'version', 'reason', 'keptAt'],
    order: [['id', 'DESC']],
  })
  return rows.map(({ id, version, reason, keptAt }) => ({ id, version, reason, keptAt: keptAt.toISOString() }))
}

async function keptDocument(at: At, sessionId: string, id: number): Promise<Session> {
  await find(at, sessionId)
  const row = await at.models.history.findOne({ where: { sessionId, id } })
  if (!row) throw new ProblemError('UNKNOWN_VERSION', { id: sessionId, version: id })
  return migrateDocument(row.document)
}
