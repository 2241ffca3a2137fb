import type { Transaction } from 'sequelize'
import { longDaySchema } from '#model/long-day'
import { personSchema } from '#model/person'
import type { KeptPerson, Person } from '#model/person'
import { plannedClassSchema } from '#model/planned-class'
import type { PlannedClass } from '#model/planned-class'
import { seriesSchema } from '#model/series'
import type { Database } from '#server/db/open'
import { refuseStale } from '#server/features/guards'

/** People, with what they told kept inside the row, never in a column, a log or an error. */
export function peopleStore(database: Database) {
  const { inTransaction } = database
  return {
    list: (): Promise<KeptPerson[]> => list(database),
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

async function list({ models }: Database): Promise<KeptPerson[]> {
  const rows = await models.people.findAll({
    order: [
      ['name', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map(({ document, version }) => ({ person: personSchema.parse(JSON.parse(document)), version }))
}

async function put({ models }: Database, person: Person, based: number, transaction: Transaction): Promise<number> {
  const { id, name } = person
  const version = based + 1
  const columns = { name, version, document: JSON.stringify(person) }
  const there = await models.people.findByPk(id, { transaction })
  if (!there && based === 0) {
    await models.people.create({ id, ...columns }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_PERSON', id, there, based)
  await models.people.update(columns, { where: { id, version: based }, transaction })
  return version
}

async function remove({ models }: Database, id: string, based: number, transaction: Transaction): Promise<void> {
  refuseStale('UNKNOWN_PERSON', id, await models.people.findByPk(id, { transaction }), based)
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
