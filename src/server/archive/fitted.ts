import type { Transaction } from 'sequelize'
import type { ArchiveFolder } from '#model/archive'
import type { PlannedClass } from '#model/planned-class'
import type { Database } from '#server/db/open'
import { readLongDay } from '#server/features/long-days/store'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'
import { readSeries } from '#server/features/series/store'
import type { OpenRow } from './open-row.ts'

/** To which colleague it was handed, and by whom, is of the house it comes from; as a file it comes and goes between houses. */
function ofThisHouse({ handedTo, handedFrom, ...planned }: PlannedClass): PlannedClass {
  return {
    ...planned,
    ...(handedTo && handedTo.teacherId === undefined ? { handedTo } : {}),
    ...(handedFrom && handedFrom.teacherId === undefined ? { handedFrom } : {}),
  }
}

/** A row as it may stand here; undefined where what it stands on is not here. */
export async function fitted(
  database: Database,
  folder: ArchiveFolder,
  row: OpenRow,
  transaction: Transaction,
): Promise<OpenRow | undefined> {
  const { models } = database
  const hasSession = async (id: string) => (await models.sessions.count({ where: { id }, transaction })) > 0
  const hasPlace = async (id = ''): Promise<boolean> =>
    id === '' || (await models.places.count({ where: { id }, transaction })) > 0
  const hasAll = async (people: readonly string[]): Promise<boolean> =>
    (await models.people.count({ where: { id: [...people] }, transaction })) === new Set(people).size
  const document = String(row['document'])
  if (folder === 'places') {
    // There is one usual place.
    const isUsual =
      row['isUsual'] === true && (await models.places.count({ where: { isUsual: true }, transaction })) === 0
    return { ...row, isUsual }
  }
  if (folder === 'series') {
    const { baseId, placeId, people } = readSeries(document)
    return (await hasSession(baseId)) && (await hasPlace(placeId)) && (await hasAll(people)) ? row : undefined
  }
  if (folder === 'long-days') {
    const { placeId, people } = readLongDay(document)
    return (await hasPlace(placeId)) && (await hasAll(people)) ? row : undefined
  }
  // Whoever led it then does not lead it here; what it teaches is asked of it anew.
  if (folder === 'led-classes')
    return { ...row, leadsBy: null, leadsName: null, leadsUntil: null, seenTimes: null, drift: null }
  if (folder !== 'planned-classes') return row
  const planned = ofThisHouse(plannedIn(document))
  const stands =
    (await hasSession(planned.sessionId)) &&
    (await hasPlace(planned.placeId)) &&
    (await hasAll(planned.people.map(({ personId }) => personId)))
  return stands ? { ...row, ...columnsOf(planned, Number(row['version'])) } : undefined
}
