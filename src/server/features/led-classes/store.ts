import { ledClassSchema } from '#model/classes'
import type { LedClass, LedClassLine } from '#model/classes'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

/** Led classes, each with its own full copy of what was led; a shorter log never replaces a longer one. */
export function ledClassStore({ models, inTransaction }: Database) {
  const find = async (id: string): Promise<LedClass> => {
    const row = await models.ledClasses.findByPk(id)
    if (!row) throw new ProblemError('UNKNOWN_CLASS', { id })
    return ledClassSchema.parse(JSON.parse(row.document))
  }

  return {
    find,

    /** Writes the record as it stands; sent again and again while the class runs. */
    async put(led: LedClass): Promise<void> {
      await inTransaction(async (transaction) => {
        const row = await models.ledClasses.findByPk(led.id, { transaction })
        if (row) {
          const kept = (JSON.parse(row.document) as LedClass).log.length
          if (kept > led.log.length) throw new ProblemError('RECORD_OLDER', { sent: led.log.length, kept })
        }
        const columns = columnsOf(led)
        if (row) await row.update(columns, { transaction })
        else await models.ledClasses.create(columns, { transaction })
      })
    },

    async list(): Promise<LedClassLine[]> {
      const rows = await models.ledClasses.findAll({
        attributes: { exclude: ['document'] },
        order: [
          ['startedAt', 'DESC'],
          ['id', 'ASC'],
        ],
      })
      return rows.map(({ id, sessionId, name, startedAt, endedAt, plannedS, ledS, people }) => ({
        id,
        sessionId,
        name,
        startedAt: startedAt.toISOString(),
        endedAt: endedAt?.toISOString() ?? null,
        plannedS,
        ledS,
        people,
      }))
    },
  }
}

export type LedClassStore = ReturnType<typeof ledClassStore>

function columnsOf(led: LedClass) {
  const startedAt = new Date(led.startedAt)
  const endedAt = led.endedAt === undefined ? null : new Date(led.endedAt)
  const lastMs = Math.max(led.conductedMs ?? 0, led.log.at(-1)?.atMs ?? 0)
  return {
    id: led.id,
    sessionId: led.sessionId,
    startedAt,
    endedAt,
    people: led.people,
    name: led.document.name,
    plannedS: Math.round(led.plan.totalMs / 1000),
    ledS: Math.round((endedAt ? endedAt.getTime() - startedAt.getTime() : lastMs) / 1000),
    document: JSON.stringify(led),
  }
}
