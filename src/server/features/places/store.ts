import { placeSchema } from '#model/place'
import type { Place } from '#model/place'
import type { Database } from '#server/db/open'

/** Places with their rooms and the cupboard's items as rows. */
export function placeStore({ models, inTransaction }: Database) {
  return {
    async add(place: Place): Promise<void> {
      await inTransaction(async (transaction) => {
        const { id, name, lengthUnit, rooms, cupboard } = placeSchema.parse(place)
        await models.places.create({ id, name, lengthUnit, rooms: JSON.stringify(rooms) }, { transaction })
        await models.cupboard.bulkCreate(
          cupboard.map((item) => ({
            id: item.id,
            placeId: id,
            kind: item.kind,
            count: item.count,
            sizeMm: item.sizeMm ? JSON.stringify(item.sizeMm) : null,
          })),
          { transaction },
        )
      })
    },

    async list(): Promise<Place[]> {
      const rows = await models.places.findAll({ order: [['name', 'ASC']] })
      const items = await models.cupboard.findAll({ order: [['id', 'ASC']] })
      return rows.map(({ id, name, lengthUnit, rooms }) =>
        placeSchema.parse({
          id,
          name,
          lengthUnit,
          rooms: JSON.parse(rooms),
          cupboard: items
            .filter((item) => item.placeId === id)
            .map(({ id: itemId, kind, count, sizeMm }) => ({
              id: itemId,
              kind,
              count,
              ...(sizeMm === null ? {} : { sizeMm: JSON.parse(sizeMm) as unknown }),
            })),
        }),
      )
    },
  }
}

export type PlaceStore = ReturnType<typeof placeStore>
