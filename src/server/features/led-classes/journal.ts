import type { JournalChoices, JournalWish, LedClassLine } from '#model/journal'
import { breathAnswersSchema } from '#model/led-class'
import { plannedClassSchema } from '#model/planned-class'
import { seriesSchema } from '#model/series'
import { Op } from 'sequelize'
import type { WhereOptions } from 'sequelize'
import { alike } from '#server/db/alike'
import type { Models } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

/** Where a page of the journal goes on: after the class with this start and id. */
export interface Cursor {
  readonly startedAt: Date
  readonly id: string
}

/** A line as it lies in its row; read without making a model of each. */
type LineRow = Omit<LedClassLine, 'startedAt' | 'endedAt' | 'note' | 'breath'> & {
  readonly note: string | null
  /** As JSON. */
  readonly breath: string | null
  readonly startedAt: string
  readonly endedAt: string | null
}

const ofLine = [
  ...(['id', 'sessionId', 'name', 'startedAt', 'endedAt', 'plannedS', 'ledS'] as const),
  ...(['people', 'note', 'breath', 'ledBy'] as const),
]

/** The journal: what was led, found again, and deleted with a way back. */
export function journalOf({ models, inTransaction }: Database) {
  const { ledClasses } = models
  return {
    /** The newest first, so many of those that are wished for; those after the one a cursor names. */
    async list(most: number, wish: JournalWish, after?: Cursor): Promise<LedClassLine[]> {
      const rows = await ledClasses.findAll({
        attributes: [...ofLine],
        where: { [Op.and]: [await wished(models, wish), ...(after ? [earlierThan(after)] : [])] },
        order: [
          ['startedAt', 'DESC'],
          ['id', 'ASC'],
        ],
        limit: most,
        raw: true,
      })
      return (rows as unknown as LineRow[]).map((row) => ({
        ...row,
        note: row.note ?? '',
        breath: row.breath === null ? null : breathAnswersSchema.parse(JSON.parse(row.breath)),
        startedAt: new Date(row.startedAt).toISOString(),
        endedAt: row.endedAt === null ? null : new Date(row.endedAt).toISOString(),
      }))
    },
    /** What classes can be found by: the sessions, practices and places there are any of. */
    async choices(): Promise<JournalChoices> {
      const rows = await ledClasses.findAll({
        attributes: ['sessionId', 'name', 'practice', 'placeId'],
        where: { deletedAt: null },
        order: [['startedAt', 'ASC']],
        raw: true,
      })
      const series = await models.series.findAll({ attributes: ['id', 'name'], order: [['name', 'ASC']], raw: true })
      return {
        series: series.map(({ id, name }) => ({ id, name })),
        // As they were called last.
        sessions: [...new Map(rows.map(({ sessionId, name }) => [sessionId, name]))]
          .map(([id, name]) => ({ id, name }))
          .sort((a, b) => a.name.localeCompare(b.name)),
        practices: [...new Set(rows.flatMap(({ practice }) => practice ?? []))].sort(),
        placeIds: [...new Set(rows.flatMap(({ placeId }) => placeId ?? []))].sort(),
      }
    },
    /** Deletes a record that ended, or takes that back. Throws UNKNOWN_CLASS. */
    setDeleted: (id: string, deleted: boolean) =>
      inTransaction(async (transaction) => {
        const row = await ledClasses.findByPk(id, { transaction })
        if (!row || (deleted && !row.endedAt)) throw new ProblemError('UNKNOWN_CLASS', { id })
        await row.update({ deletedAt: deleted ? new Date() : null }, { transaction })
      }),
  }
}

/** Letters of a search are taken as they are typed. */
const asTyped = (text: string): string => text.replaceAll(/[\\%_]/g, (letter) => `\\${letter}`)

/** The classes of a series: planned for it, or led from a session of its own, or from its base since it began. */
async function ofSeries({ series, plannedClasses }: Models, id: string): Promise<WhereOptions> {
  const row = await series.findByPk(id, { raw: true })
  if (!row) return { id: [] }
  const { baseId, firstDay, classes } = seriesSchema.parse(JSON.parse(row.document))
  const planned = await plannedClasses.findAll({ where: { isLed: true }, attributes: ['document'], raw: true })
  const led = planned
    .map(({ document }) => plannedClassSchema.parse(JSON.parse(document)))
    .flatMap((one) => (one.series?.id === id && one.ledClassId !== undefined ? [one.ledClassId] : []))
  return {
    [Op.or]: [
      { id: led },
      { sessionId: classes.flatMap(({ sessionId }) => sessionId ?? []) },
      { sessionId: baseId, startedAt: { [Op.gte]: new Date(`${firstDay}T00:00`) } },
    ],
  }
}

/** The classes that are wished for, as a query has it. */
export async function wished(
  models: Models,
  { find, sessionId, seriesId, practice, placeId, from, to }: JournalWish,
): Promise<WhereOptions> {
  return {
    deletedAt: null,
    ...(sessionId === undefined ? {} : { sessionId }),
    ...(practice === undefined ? {} : { practice }),
    ...(placeId === undefined ? {} : { placeId }),
    [Op.and]: [
      ...(seriesId === undefined ? [] : [await ofSeries(models, seriesId)]),
      ...(from === undefined ? [] : [{ startedAt: { [Op.gte]: new Date(from) } }]),
      ...(to === undefined ? [] : [{ startedAt: { [Op.lt]: new Date(to) } }]),
      ...(find ?? '')
        .split(/\s+/)
        .filter((word) => word !== '')
        .map((word) => ({
          [Op.or]: ['name', 'note'].map((column) => ({
            [column]: { [alike(models.ledClasses)]: `%${asTyped(word)}%` },
          })),
        })),
    ],
  }
}

const earlierThan = ({ startedAt, id }: Cursor): WhereOptions => ({
  [Op.or]: [{ startedAt: { [Op.lt]: startedAt } }, { startedAt, id: { [Op.gt]: id } }],
})
