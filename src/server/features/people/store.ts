import { personSchema } from '#model/person'
import type { Person } from '#model/person'
import type { Database } from '#server/db/open'

/** People, with their health notes kept inside the row and never listed beside others. */
export function peopleStore({ models, inTransaction }: Database) {
  return {
    async add(person: Person): Promise<void> {
      const document = personSchema.parse(person)
      const { id, name, level, statureMm } = document
      const row = { id, name, level, statureMm: statureMm ?? null, document: JSON.stringify(document) }
      await inTransaction((transaction) => models.people.create(row, { transaction }))
    },

    async list(): Promise<Person[]> {
      const rows = await models.people.findAll({ order: [['name', 'ASC']] })
      return rows.map(({ document }) => personSchema.parse(JSON.parse(document)))
    },
  }
}
