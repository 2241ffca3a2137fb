import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import type { HandedRecord } from '#model/handed-file'
import type { LedClassRow, Models } from '#server/db/models'
import { addEvents, answersOf, columnsOf } from './store.ts'

/** A whole record from elsewhere, of a class that ended, under an id that nothing has here. */
export async function bringRecord(
  { ledClasses, ledEvents, ledAsides, observedMarks }: Models,
  { start, events, asides, marks, end }: Omit<HandedRecord, 'format' | 'version' | 'classId' | 'posesLed'>,
  ledBy: string,
  transaction: Transaction,
): Promise<LedClassRow> {
  const { id: classId } = start
  const conductedMs = end.visits.at(-1)?.endMs ?? 0
  const row = await ledClasses.create(
    {
      ...columnsOf(start),
      people: start.people + events.filter(({ event }) => event.type === 'cameLate').length,
      endedAt: new Date(end.endedAt),
      ...{ left: end.left, visits: JSON.stringify(end.visits), note: end.note ?? null, breath: answersOf(end.breath) },
      ...{ conductedMs, ledS: Math.round(conductedMs / 1000), leadsBy: null, ledBy },
    },
    { transaction },
  )
  // In the order in which they stand: a file may number them as it likes.
  const numbered = events.map((event, at) => ({ ...event, n: at + 1 }))
  await addEvents({ ledEvents }, classId, numbered, transaction)
  await ledAsides.bulkCreate(
    asides.map((aside) => ({ classId, document: JSON.stringify(aside) })),
    { transaction },
  )
  await observedMarks.bulkCreate(
    marks.map((mark) => ({ ...mark, id: nanoid(), classId })),
    { transaction },
  )
  return row
}
