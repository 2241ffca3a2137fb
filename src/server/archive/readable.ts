import type { Model, ModelStatic, WhereOptions } from 'sequelize'
import { ZodError } from 'zod'
import { slipsIn, unknownInOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { inTheWayOf } from '#core/timeline'
import { observedMarkSchema } from '#model/observed-mark'
import { personSchema } from '#model/person'
import { remarkSentSchema } from '#model/remark'
import { settingsSchema } from '#model/settings'
import type { Clock } from '#server/clock'
import type { CupboardRow, Models, PlaceRow, SoundRow, VoiceRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ledClassStore } from '#server/features/led-classes/store'
import { readLongDay } from '#server/features/long-days/store'
import { readThing } from '#server/features/own/store'
import { readPlace } from '#server/features/places/store'
import { plannedIn } from '#server/features/planned-classes/planned-row'
import { readSeries } from '#server/features/series/store'
import { migrateDocument } from '#server/features/sessions/migrate-document'
import { soundOf } from '#server/features/sounds/store'
import { voiceOf } from '#server/features/voices/store'
import { ProblemError } from '#server/problems'
import type { OpenRow } from './open-row.ts'
import { shelves } from './shelves.ts'
import type { Shelf } from './shelves.ts'

/** What a thing of an archive is read with. */
export interface Reading {
  /** The archive as a database. */
  readonly from: Database
  readonly clock: Clock
  /** All that a session of it may name. */
  readonly catalog: Catalog
}

/** What of an archive cannot be read here by whoever reads it: it would stand in the way of all else of its kind. */
export interface Unreadable {
  has(model: keyof Models, row: OpenRow): boolean
}

/** Looks at all of it, thing by thing: what is heard is much. */
export async function unreadableIn(at: Reading): Promise<Unreadable> {
  const unreadable = new Set<string>()
  const all = (model: keyof Models, where: WhereOptions = {}): Promise<Model[]> =>
    (at.from.models[model] as unknown as ModelStatic<Model>).findAll({ where })
  async function look(model: keyof Models, row: Model, isReadable: () => boolean | Promise<boolean>): Promise<void> {
    if (!(await holds(isReadable))) unreadable.add(keyOf(model, plain(row)))
  }
  for (const row of await all('people')) await look('people', row, () => isOfPerson(row))
  for (const { folder, model, parts } of shelves)
    for (const row of await all(model)) {
      await look(model, row, () => readers[folder](at, plain(row), String(row.get('document'))))
      for (const part of parts)
        for (const its of await all(part.model, { [part.of]: row.get('id') }))
          await look(part.model, its, () => partReaders[part.model]?.(its) ?? true)
    }
  return { has: (model, row) => unreadable.has(keyOf(model, row)) }
}

const isOfPerson = (row: Model): boolean =>
  personSchema.parse(JSON.parse(String(row.get('document')))).id === row.get('id')
const plain = (row: Model): OpenRow => row.get({ plain: true }) as OpenRow
/** One's settings have no id: there is but one row of them. */
const keyOf = (model: keyof Models, { kind, id }: OpenRow): string => JSON.stringify([model, kind, id])

async function holds(read: () => boolean | Promise<boolean>): Promise<boolean> {
  try {
    return await read()
  } catch (error) {
    if (error instanceof ProblemError || error instanceof ZodError || error instanceof SyntaxError) return false
    throw error
  }
}

type Reader = (at: Reading, row: OpenRow, document: string) => boolean | Promise<boolean>
const readers: Readonly<Record<Shelf['folder'], Reader>> = {
  async places({ from }, row) {
    const cupboard = await from.models.cupboard.findAll({ where: { placeId: String(row['id']) } })
    return readPlace(row as unknown as PlaceRow, cupboard as readonly CupboardRow[]).id === row['id']
  },
  own({ catalog }, { kind, id }, document) {
    const [thing] = readThing(String(kind), 1, document, false)
    return thing !== undefined && thing.document.id === id && unknownInOwn(thing, catalog).length === 0
  },
  sounds: (_at, row) => soundOf(row as unknown as SoundRow) !== undefined,
  sessions({ catalog }, { id }, stored) {
    const document = migrateDocument(stored)
    return document.id === id && slipsIn(document).length === 0 && inTheWayOf(document, catalog).length === 0
  },
  series: (_at, { id, baseId }, document) => {
    const series = readSeries(document)
    return series.id === id && series.baseId === baseId
  },
  'long-days': (_at, { id }, document) => readLongDay(document).id === id,
  'planned-classes': (_at, { id }, document) => plannedIn(document).id === id,
  async 'led-classes'({ from, clock }, { id }) {
    const classes = ledClassStore(from, clock)
    await classes.incident(String(id))
    return (await classes.find(String(id))).id === id
  },
  settings: (_at, _row, document) => settingsSchema.safeParse(JSON.parse(document)).success,
}

/** The parts that are read by themselves; the others are read with what they belong to. */
const partReaders: Readonly<Partial<Record<keyof Models, (row: Model) => boolean>>> = {
  history: (row) => migrateDocument(String(row.get('document'))).id === row.get('sessionId'),
  voices: (row) => voiceOf(row as VoiceRow)?.bytes === (row as VoiceRow).heard.length,
  remarks: (row) => {
    const [blockId, text] = [row.get('blockId'), row.get('text')]
    return remarkSentSchema.safeParse({ blockId, text }).success
  },
  observedMarks: (row) => {
    const [by, atMs, text] = [row.get('by'), row.get('atMs'), row.get('text')]
    return observedMarkSchema.safeParse({ by, atMs, text }).success
  },
}
