import { nanoid } from 'nanoid'
import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { handedClassFormat, handedFileVersion, handedRecordFormat } from '#model/handed-file'
import type { HandedClass, HandedRecord } from '#model/handed-file'
import type { Place } from '#model/place'
import type { HandOverByFile, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { makeEnvelope, pointForm } from '#formats/session-envelope'
import type { Ids } from '#formats/session-envelope'
import type { Clock } from '#server/clock'
import type { PlannedClassRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import type { Exchange } from '#server/features/exchange/store'
import { refuseStale } from '#server/features/guards'
import { bringRecord } from '#server/features/led-classes/bring-record'
import { answersOf, ledClassStore } from '#server/features/led-classes/store'
import type { OwnStore } from '#server/features/own/store'
import { putPlace, readPlace } from '#server/features/places/store'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'
import { migrateDocument } from '#server/features/sessions/migrate-document'
import { ProblemError } from '#server/problems'
import { plannedFor, writtenSince } from './comes-back.ts'
import { countedIn } from './counted-in.ts'
import { written } from './store.ts'

interface Stores {
  readonly own: OwnStore
  readonly exchange: Exchange
}

/**
 * Planned classes handed over as a file, to somebody who has no account here, and their records back by one [decisions,
 * Keeping it].
 */
export function handedFiles(database: Database, stores: Stores, clock: Clock) {
  const { inTransaction } = database
  return {
    /** Asked for again it is a file anew. Throws UNKNOWN_PLANNED, VERSION_STALE, CLASS_LED, CLASS_HANDED, UNKNOWN_SESSION. */
    handOver: (id: string, asked: HandOverByFile, based: number) =>
      inTransaction((transaction) => handOver({ database, stores, clock }, id, asked, based, transaction)),
    /** Takes a class that one leads in somebody's place; a newer file of the same takes the place of the one before. Throws CLASS_LED. */
    takeClass: (file: HandedClass) =>
      inTransaction((transaction) => takeClass({ database, stores }, file, transaction)),
    /** The record of such a class. Throws UNKNOWN_CLASS, NOT_HANDED. */
    recordOf: (ledClassId: string) => recordOf(database, ledClassId),
    /** Takes the record of a class that somebody else led; once more, what was written in it since. Throws NOT_HANDED. */
    takeRecord: (file: HandedRecord) => inTransaction((transaction) => takeRecord(database, file, transaction)),
  }
}
export type HandedFiles = ReturnType<typeof handedFiles>

interface At {
  readonly database: Database
  readonly stores: Stores
}

async function handOver(
  { database, stores, clock }: At & { readonly clock: Clock },
  id: string,
  { name, from, words, forms }: HandOverByFile,
  based: number,
  transaction: Transaction,
): Promise<KeptPlannedClass & { readonly file: HandedClass }> {
  const { models } = database
  const row = await models.plannedClasses.findByPk(id, { transaction })
  refuseStale('UNKNOWN_PLANNED', id, row, based)
  const planned = plannedIn(row.document)
  const { sessionId, placeId, handedTo } = planned
  if (planned.ledClassId !== undefined || handedTo?.record) throw new ProblemError('CLASS_LED', {})
  if (handedTo?.teacherId !== undefined) throw new ProblemError('CLASS_HANDED', { name: handedTo.name })
  const session = await models.sessions.findByPk(sessionId, { transaction })
  if (!session || session.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: sessionId })
  const { versionOf: _of, ...document } = migrateDocument(session.document)
  const place = await placeOf(database, placeId, transaction)
  const said = words === undefined ? {} : { words }
  const counted = countedIn({ ...planned, forms })
  const taken = counted.forms.map(({ takes }) => takes)
  const file: HandedClass = {
    ...{ format: handedClassFormat, version: handedFileVersion, from, ...said, place, planned: counted },
    session: makeEnvelope({ sessions: [document] }, await stores.own.list(transaction), taken),
  }
  const to = { name, at: clock.now().toISOString(), ...said }
  return { ...(await written(row, { ...planned, handedTo: to }, transaction)), file }
}

async function placeOf({ models }: Database, id: string, transaction: Transaction): Promise<Place> {
  const row = await models.places.findByPk(id, { transaction })
  if (!row) throw new ProblemError('UNKNOWN_PLACE', { id })
  return readPlace(row, await models.cupboard.findAll({ where: { placeId: id }, order: [['id', 'ASC']], transaction }))
}

async function takeClass(
  { database, stores }: At,
  { from, words, session: envelope, place, planned }: HandedClass,
  transaction: Transaction,
): Promise<{ readonly sessionId: string; readonly classId: string }> {
  const { models } = database
  const here = await placeHere(database, place, transaction)
  const sessions = (envelope.sessions ?? []).map((one) =>
    one.placeId === place.id ? { ...one, placeId: here.id } : one,
  )
  const taken = await stores.exchange.takeWithin({ ...envelope, sessions }, transaction)
  const sessionId = [...taken.sessions, ...taken.alreadyHere][0]
  if (sessionId === undefined) throw new ProblemError('UNKNOWN_SESSION', { id: sessions[0]?.id ?? '' })
  const before = await takenBefore(database, planned.id, transaction)
  if (before?.isLed) throw new ProblemError('CLASS_LED', {})
  const { id: classId, roomId, forms, ...ofTheDay } = planned
  const room = roomHere(place, here, roomId)
  const its: PlannedClass = {
    ...{ ...ofTheDay, id: before?.id ?? nanoid(), sessionId, placeId: here.id, people: [], setAside: [] },
    ...(room === undefined ? {} : { roomId: room }),
    forms: forms.map((form) => pointed(form, taken.ids)),
    handedFrom: { name: from, classId, ...(words === undefined ? {} : { words }) },
  }
  if (before) await before.update(columnsOf(its, before.version + 1), { transaction })
  else await models.plannedClasses.create({ id: its.id, ...columnsOf(its, 1) }, { transaction })
  return { sessionId, classId: its.id }
}

type HandedForm = HandedClass['planned']['forms'][number]
const pointed = ({ poseId, takes, ...form }: HandedForm, ids: Ids): HandedForm => ({
  ...form,
  ...(poseId === undefined ? {} : { poseId: ids.pose.get(poseId) ?? poseId }),
  takes: pointForm(takes, ids),
})

/** The class that came by an earlier file of the same. */
async function takenBefore(
  { models }: Database,
  classId: string,
  transaction: Transaction,
): Promise<PlannedClassRow | undefined> {
  const document = { [Op.like]: `%"${classId}"%` }
  const rows = await models.plannedClasses.findAll({ where: { document }, transaction })
  return rows.find((row) => {
    const { handedFrom } = plannedIn(row.document)
    return handedFrom?.classId === classId && handedFrom.teacherId === undefined
  })
}

/** The place of a file as it is here: the same, one that is called the same, or it comes in with its cupboard. */
async function placeHere(database: Database, place: Place, transaction: Transaction): Promise<Place> {
  const rows = await database.models.places.findAll({ transaction })
  const called = (name: string): string => name.trim().toLowerCase()
  const row = rows.find(({ id }) => id === place.id) ?? rows.find(({ name }) => called(name) === called(place.name))
  if (row) return placeOf(database, row.id, transaction)
  const { usual: _usual, ...coming } = place
  await putPlace(database, coming, 0, transaction)
  return coming
}

/** Its room by what it is called: rooms have ids of their own in each house. */
function roomHere(there: Place, here: Place, roomId: string | undefined): string | undefined {
  const name = there.rooms.find(({ id }) => id === roomId)?.name
  return here.rooms.find((room) => room.name === name)?.id
}

async function recordOf(database: Database, id: string): Promise<HandedRecord> {
  const { models, inTransaction } = database
  const led = await ledClassStore(database).find(id)
  const row = await models.ledClasses.findByPk(id)
  const planned = row && (await inTransaction((transaction) => plannedFor(models, row, transaction)))
  const { handedFrom, posesLed = [] } = planned ?? {}
  const { format, visits, endedAt, events, asides, left, note, breath } = led
  if (!row || !handedFrom || handedFrom.teacherId !== undefined || format !== 2 || !visits || endedAt === null)
    throw new ProblemError('NOT_HANDED', {})
  return {
    ...{ format: handedRecordFormat, version: handedFileVersion, classId: handedFrom.classId },
    start: JSON.parse(row.document) as HandedRecord['start'],
    ...{ events: [...events], asides: [...asides], posesLed },
    marks: led.marks.map(({ by, name, atMs, text }) => ({ by, name, atMs, text })),
    end: { endedAt, left, visits: [...visits], ...(note === null ? {} : { note }), ...(breath ? { breath } : {}) },
  }
}

async function takeRecord(
  database: Database,
  { classId, start, posesLed, ...record }: HandedRecord,
  transaction: Transaction,
): Promise<{ readonly ledClassId: string }> {
  const { models } = database
  const row = await models.plannedClasses.findByPk(classId, { transaction })
  const planned = row && plannedIn(row.document)
  const handedTo = planned?.handedTo
  if (!row || !planned || !handedTo || handedTo.teacherId !== undefined) throw new ProblemError('NOT_HANDED', {})
  const { sessionId, placeId } = planned
  const { note, breath } = record.end
  const came = handedTo.record
    ? await writtenSince(models, handedTo.record, { note: note ?? null, breath: answersOf(breath) }, transaction)
    : await bringRecord(
        models,
        { ...record, start: { ...start, id: nanoid(), sessionId, placeId } },
        handedTo.name,
        transaction,
      )
  // Where one has written in it oneself, that stays.
  const { id, version } = came ?? handedTo.record ?? { id: '', version: 0 }
  const back: PlannedClass = {
    ...planned,
    ...{ ledClassId: planned.ledClassId ?? id, posesLed: planned.posesLed ?? posesLed },
    handedTo: { ...handedTo, record: { id, version } },
  }
  await written(row, back, transaction)
  return { ledClassId: id }
}
