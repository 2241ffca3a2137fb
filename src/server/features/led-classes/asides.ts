import type { Transaction } from 'sequelize'
import { ledAsideSchema } from '#model/led-class'
import type { LedAside } from '#model/led-class'
import { leaseMs } from '#core/lead'
import type { Models } from '#server/db/models'

/** What is not in the record itself: an event of the same number that another device told is another one. */
async function notInRecord(models: Models, classId: string, told: LedAside['events'], transaction: Transaction) {
  const rows = await models.ledEvents.findAll({ attributes: ['n', 'by'], where: { classId }, raw: true, transaction })
  const kept = new Set(rows.map(({ n, by }) => `${String(n)} ${by}`))
  return told.filter(({ n, by }) => !kept.has(`${String(n)} ${by}`))
}

/** A device that is told of it at once has nothing to say but that it was there: that is no part of the class. */
const isWorthKeeping = ({ events, conductedMs, note }: LedAside, ledMs: number): boolean =>
  events.length > 0 || note !== undefined || conductedMs - ledMs > leaseMs

/**
 * Keeps what a device told of a class that another has taken over, and led to `ledMs` so far: one aside a device, its events each once, in the
 * order in which they were told.
 */
export async function keptAside(
  models: Models,
  classId: string,
  sent: LedAside,
  ledMs: number,
  transaction: Transaction,
): Promise<void> {
  const told = { ...sent, events: await notInRecord(models, classId, sent.events, transaction) }
  if (!isWorthKeeping(told, ledMs)) return
  const rows = await models.ledAsides.findAll({ where: { classId }, transaction })
  const its = rows.find(({ document }) => read(document)?.by === told.by)
  const before = its && read(its.document)
  if (!its || !before) {
    await models.ledAsides.create({ classId, document: JSON.stringify(asideOf(told)) }, { transaction })
    return
  }
  const document = JSON.stringify(asideOf(told, before))
  if (document !== its.document) await its.update({ document }, { transaction })
}

/** What is told now, after what was told before: events each once, the furthest time, the last note. */
function asideOf({ by, name, keptAt, events, conductedMs, note }: LedAside, before?: LedAside): LedAside {
  const known = new Set(before?.events.map(({ n }) => n))
  const written = note ?? before?.note
  return {
    ...{ by, name, keptAt },
    events: [...(before?.events ?? []), ...events.filter(({ n }) => !known.has(n))],
    conductedMs: Math.max(conductedMs, before?.conductedMs ?? 0),
    ...(written === undefined ? {} : { note: written }),
  }
}

const read = (document: string): LedAside | undefined => ledAsideSchema.safeParse(JSON.parse(document)).data
