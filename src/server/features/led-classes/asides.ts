import type { Transaction } from 'sequelize'
import { ledAsideSchema } from '#model/led-class'
import type { LedAside } from '#model/led-class'
import type { Models } from '#server/db/models'

/**
 * Keeps what a device told of a class that another has taken over: one aside a device, its events each once, in the
 * order in which they were told.
 */
export async function keptAside(models: Models, classId: string, told: LedAside, transaction: Transaction): Promise<void> {
  const rows = await models.ledAsides.findAll({ where: { classId }, transaction })
  const its = rows.find(({ document }) => read(document)?.by === told.by)
  const before = its && read(its.document)
  if (!its || !before) {
    await models.ledAsides.create({ classId, document: JSON.stringify(asideOf(told, [])) }, { transaction })
    return
  }
  const conductedMs = Math.max(before.conductedMs, told.conductedMs)
  const document = JSON.stringify({ ...asideOf(told, before.events), conductedMs })
  if (document !== its.document) await its.update({ document }, { transaction })
}

function asideOf({ by, name, keptAt, events, conductedMs }: LedAside, before: LedAside['events']): LedAside {
  const known = new Set(before.map(({ n }) => n))
  return { by, name, keptAt, events: [...before, ...events.filter(({ n }) => !known.has(n))], conductedMs }
}

const read = (document: string): LedAside | undefined => ledAsideSchema.safeParse(JSON.parse(document)).data
