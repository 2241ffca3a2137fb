import { nanoid } from 'nanoid'
import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { PlannedClass } from '#model/planned-class'
import type { LedClassRow, Models } from '#server/db/models'
import type { Database } from '#server/db/open'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'

/**
 * The record of a class that was led in a colleague's place comes back to them once it ended: all of it but what happened to
 * somebody [settled, an incident goes with no record]. What is written of it afterwards follows, until they write themselves.
 */
export async function comesBack({ all }: Database, ledClassId: string, transaction: Transaction): Promise<void> {
  const led = await all.ledClasses.findByPk(ledClassId, { transaction })
  if (!led?.endedAt) return
  const theirs = await plannedFor(all, led, transaction)
  // One that came as a file goes back as one.
  const isOfColleague = theirs?.handedFrom?.teacherId !== undefined
  const whose =
    isOfColleague &&
    theirs.handedFrom &&
    (await all.plannedClasses.findByPk(theirs.handedFrom.classId, { transaction }))
  if (!theirs || !whose) return
  const planned = plannedIn(whose.document)
  const { handedTo } = planned
  if (handedTo?.classId !== theirs.id) return
  const record = handedTo.record
    ? await writtenSince(all, handedTo.record, led, transaction)
    : await copied(all, led, { planned, ownerId: whose.ownerId }, transaction)
  if (!record) return
  const back: PlannedClass = {
    ...planned,
    ledClassId: planned.ledClassId ?? record.id,
    posesLed: planned.posesLed ?? theirs.posesLed ?? [],
    handedTo: { ...handedTo, record },
  }
  await whose.update(columnsOf(back, whose.version + 1), { transaction })
}

export type Came = NonNullable<NonNullable<PlannedClass['handedTo']>['record']>

/** The planned class a record is of: one of whoever led it, whatever another one says. */
export async function plannedFor(
  { plannedClasses }: Models,
  { id, ownerId }: Pick<LedClassRow, 'id' | 'ownerId'>,
  transaction: Transaction,
) {
  const document = { [Op.like]: `%"${id}"%` }
  const rows = await plannedClasses.findAll({ where: { isLed: true, ownerId, document }, transaction })
  return rows.map((row) => plannedIn(row.document)).find((one) => one.ledClassId === id)
}

async function copied(
  { ledClasses, ledEvents, ledAsides, observedMarks }: Models,
  led: LedClassRow,
  { planned, ownerId }: { readonly planned: PlannedClass; readonly ownerId: string },
  transaction: Transaction,
): Promise<Came> {
  const id = nanoid()
  const { sessionId, handedTo } = planned
  const document = { ...(JSON.parse(led.document) as object), id, sessionId }
  const nobodyLeads = { leadsBy: null, leadsName: null, leadsUntil: null }
  const own = { id, sessionId, ownerId, ledBy: handedTo?.name ?? '', document: JSON.stringify(document), version: 1 }
  await ledClasses.create({ ...led.get(), ...own, ...nobodyLeads, incident: null }, { transaction })
  const where = { classId: led.id }
  const events = await ledEvents.findAll({ where, raw: true, transaction })
  await ledEvents.bulkCreate(
    events.map(({ n, by, event }) => ({ classId: id, n, by, event })),
    { transaction },
  )
  const asides = await ledAsides.findAll({ where, raw: true, transaction })
  await ledAsides.bulkCreate(
    asides.map((aside) => ({ classId: id, document: aside.document })),
    { transaction },
  )
  const marks = await observedMarks.findAll({ where, raw: true, transaction })
  await observedMarks.bulkCreate(
    marks.map((mark) => ({ ...mark, id: nanoid(), classId: id })),
    { transaction },
  )
  return { id, version: 1 }
}

/** What stands in the record since, unless whoever got it has written in theirs. */
export async function writtenSince(
  { ledClasses }: Models,
  { id, version }: Came,
  { note, breath }: Pick<LedClassRow, 'note' | 'breath'>,
  transaction: Transaction,
): Promise<Came | undefined> {
  const next = version + 1
  const [written] = await ledClasses.update({ note, breath, version: next }, { where: { id, version }, transaction })
  return written > 0 ? { id, version: next } : undefined
}
