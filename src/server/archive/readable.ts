import type { Model } from 'sequelize'
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
import type { Shelf } from './shelves.ts'

/** What a thing of an archive is read with. */
export interface Reading {
  /** The archive as a database. */
  readonly from: Database
  readonly clock: Clock
  /** All that a session of it may name. */
  readonly catalog: Catalog
}

/** Whether what lies in an archive can be read here by whoever reads it: what cannot would stand in the way of all else of its kind. */
export async function isReadable(at: Reading, folder: Shelf['folder'], row: Model): Promise<boolean> {
  const values = row.get({ plain: true }) as OpenRow
  return holds(() => readers[folder](at, values, String(values['document'])))
}

/** The same of what belongs to one. */
export const isPartReadable = (model: keyof Models, row: Model): Promise<boolean> =>
  holds(() => partReaders[model]?.(row) ?? true)

/** Whether somebody of an archive can be read here. */
export const isPersonReadable = (id: string, document: string): Promise<boolean> =>
  holds(() => personSchema.parse(JSON.parse(document)).id === id)

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
