import type { Transaction } from 'sequelize'
import { longDaySchema } from '#model/long-day'
import { personSchema } from '#model/person'
import type { KeptPerson, Person } from '#model/person'
import { plannedClassSchema } from '#model/planned-class'
import type { PlannedClass } from '#model/planned-class'
import { seriesSchema } from '#model/series'
import type { PersonRow, PersonToldRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { isOwn } from '#server/db/owned'
import { refuseStale } from '#server/features/guards'
import { apart, isNothing, ownOf, readTold, seenWith } from './told.ts'
import type { Told } from './told.ts'

/** People, with what they told kept inside the row, never in a column, a log or an error. */
export function peopleStore(database: Database) {
  const { inTransaction } = database
  return {
    list: (transaction?: Transaction): Promise<KeptPerson[]> => list(database, transaction),
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_PERSON. */
    put: (person: Person, based: number): Promise<number> =>
      inTransaction((transaction) => put(database, person, based, transaction)),
    /** Takes somebody away for good: their page, and them in every planned class, series and long day. Throws as `put` does. */
    async remove(id: string, based: number): Promise<void> {
      await inTransaction((transaction) => remove(database, id, based, transaction))
      await database.forgetRemoved()
    },
  }
}

export type PeopleStore = ReturnType<typeof peopleStore>

async function list(database: Database, transaction?: Transaction): Promise<KeptPerson[]> {
  const rows = await database.models.people.findAll({
    transaction,
    order: [
      ['name', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  const toldOthers = await database.models.peopleTold.findAll({ transaction })
  return rows.map((row) => {
    const { shared, own, others } = pageOf(
      database,
      row,
      toldOthers.filter(({ personId }) => personId === row.id),
    )
    return { person: seenWith(shared, own, others), version: row.version }
  })
}

interface Page {
  readonly shared: Person
  /** What this teacher was told, and what the others were. */
  readonly own: Told
  readonly others: readonly Told[]
}

/** A page with what was told apart, by whom it was told to: the one whose page it is has it in the page. */
function pageOf(database: Database, row: PersonRow, rows: readonly PersonToldRow[]): Page {
  const { shared, told } = apart(personSchema.parse(JSON.parse(row.document)))
  const all = [
    { ownerId: row.ownerId, told },
    ...rows.map((one) => ({ ownerId: one.ownerId, told: readTold(one.document) })),
  ]
  const own = all.find((one) => isOwn(database, one))?.told ?? { conditions: [], consents: [] }
  return { shared, own, others: all.filter((one) => one.told !== own).map((one) => one.told) }
}

async function put(database: Database, person: Person, based: number, transaction: Transaction): Promise<number> {
  const { models } = database
  const { id, name } = person
  const version = based + 1
  const there = await models.people.findByPk(id, { transaction })
  if (!there && based === 0) {
    await models.people.create({ id, name, version, document: JSON.stringify(person) }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_PERSON', id, there, based)
  const page = pageOf(database, there, await models.peopleTold.findAll({ where: { personId: id }, transaction }))
  const sent = apart(person)
  const own = ownOf(sent.told, page.others)
  const isTheirs = isOwn(database, there)
  const kept = { ...sent.shared, ...(isTheirs ? own : apart(personSchema.parse(JSON.parse(there.document))).told) }
  await models.people.update(
    { name, version, document: JSON.stringify(kept) },
    { where: { id, version: based }, transaction },
  )
  if (!isTheirs) await keepTold(database, id, own, transaction)
  return version
}

/** What somebody told a teacher whose page of them it is not. */
async function keepTold({ models, ownerId = '' }: Database, personId: string, told: Told, transaction: Transaction) {
  await models.peopleTold.destroy({ where: { personId, ownerId }, transaction })
  if (isNothing(told)) return
  await models.peopleTold.create({ personId, ownerId, document: JSON.stringify(told) }, { transaction })
}

/** Out of what everybody plans, not only of whoever takes them away. */
async function remove({ all: models }: Database, id: string, based: number, transaction: Transaction): Promise<void> {
  refuseStale('UNKNOWN_PERSON', id, await models.people.findByPk(id, { transaction }), based)
  await models.peopleTold.destroy({ where: { personId: id }, transaction })
  await models.people.destroy({ where: { id }, transaction })
  for (const row of await models.plannedClasses.findAll({ transaction })) {
    const planned = plannedClassSchema.parse(JSON.parse(row.document))
    const left = without(planned, id)
    const document = JSON.stringify(left)
    if (document === row.document) continue
    await models.plannedClasses.update({ document, version: row.version + 1 }, { where: { id: row.id }, transaction })
  }
  for (const row of await models.series.findAll({ transaction })) {
    const series = seriesSchema.parse(JSON.parse(row.document))
    if (!series.people.includes(id)) continue
    const document = JSON.stringify({ ...series, people: series.people.filter((one) => one !== id) })
    await models.series.update({ document, version: row.version + 1 }, { where: { id: row.id }, transaction })
  }
  for (const row of await models.longDays.findAll({ transaction })) {
    const longDay = longDaySchema.parse(JSON.parse(row.document))
    if (!longDay.people.includes(id)) continue
    const document = JSON.stringify({ ...longDay, people: longDay.people.filter((one) => one !== id) })
    await models.longDays.update({ document, version: row.version + 1 }, { where: { id: row.id }, transaction })
  }
}

/** A planned class as it is without somebody: neither they nor anything that was theirs. */
const without = (planned: PlannedClass, id: string): PlannedClass => ({
  ...planned,
  people: planned.people.filter(({ personId }) => personId !== id),
  forms: planned.forms.filter(({ personId }) => personId !== id),
  substitutes: planned.substitutes.flatMap((taken) => withoutOne(taken, id)),
  ...(planned.setUps ? { setUps: planned.setUps.flatMap((setUp) => withoutOne(setUp, id)) } : {}),
})

/** What some have, without one of them; nothing where it was theirs alone. */
function withoutOne<T extends { who?: string[] | undefined }>(some: T, id: string): T[] {
  if (!some.who?.includes(id)) return [some]
  const who = some.who.filter((one) => one !== id)
  return who.length === 0 ? [] : [{ ...some, who }]
}
