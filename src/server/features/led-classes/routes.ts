import express from 'express'
import type { Response, Router } from 'express'
import { z } from 'zod'
import { idSchema, instantSchema } from '#model/common'
import { ledClassPage } from '#model/limits'
import { breathAnswersSchema, eventsSchema, ledEndSchema, ledNoteSchema, ledStartSchema } from '#model/led-class'
import type { EventsSent } from '#model/led-class'
import { incidentWriteSchema } from '#model/incident'
import { observedMarkSchema } from '#model/observed-mark'
import { journalWishSchema } from '#model/journal'
import { told } from '#model/refusal'
import { firstRecordSchema } from '#server/db/migrations/first-edition/first-record'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { basedOn, sameId } from '#server/features/guards'
import { deviceName } from '#server/features/room/device-of'
import type { LedClassStore } from './store.ts'

/** A session of two hundred blocks with every cue on both sides, twice over: its document, and the plan made of it. */
const mostBodyMb = 8
export const ledClassBody = express.json({ limit: `${String(mostBodyMb)}mb`, strict: true })

/** A page of the journal: so many, after the class with this start and id; without them the newest. */
const pageSchema = journalWishSchema.extend({
  most: z.coerce.number().int().min(1).max(ledClassPage.most).default(ledClassPage.usual),
  startedAt: instantSchema.optional(),
  id: idSchema.optional(),
})

/** What there is to read: a page of the journal, what classes taught, one class. */
function reading(router: Router, store: LedClassStore): void {
  router.get('/', async ({ query }, response) => {
    const { most, startedAt, id, ...wish } = readAs(pageSchema, query)
    const after = startedAt !== undefined && id !== undefined ? { startedAt: new Date(startedAt), id } : undefined
    response.json(await store.list(most, wish, after))
  })

  router.get('/choices', async (_request, response) => {
    response.json(await store.choices())
  })

  router.get('/times', async (_request, response) => {
    response.json(await store.taught())
  })

  router.get('/last-taught', async (_request, response) => {
    response.json(await store.lastLed())
  })

  router.get('/drifts', async ({ query }, response) => {
    response.json(await store.drifts(readAs(journalWishSchema, query)))
  })

  router.get('/:id', async (request, response) => {
    response.json(await store.find(request.params.id))
  })

  router.get('/:id/incident', async (request, response) => {
    response.json(await store.incident(request.params.id))
  })
}

/** `/api/led-classes`: the record of each class, begun, added to while it runs, ended, and read by the journal. */
export function ledClassRoutes(store: LedClassStore): Router {
  const router = apiRouter()
  reading(router, store)

  router.put('/:id', async (request, response) => {
    const led = readAs(ledStartSchema, request.body)
    sameId(request.params.id, led.id)
    await store.begin(led, tellerOf(response, readAs(byQuerySchema, request.query).by))
    response.status(204).end()
  })

  router.post('/:id/events', async (request, response) => {
    const after = readAs(z.coerce.number().int().min(0), request.query['after'] ?? 0)
    const sent = readAs(
      eventsSchema.refine((body) => follow(after, body), { path: ['events'], ...told('EVENTS_OUT_OF_ORDER', {}) }),
      request.body,
    )
    response.json({ kept: await store.append(request.params.id, after, sent, tellerOf(response, sent.by)) })
  })

  router.put('/:id/end', async (request, response) => {
    const ended = readAs(ledEndSchema, request.body)
    await store.end(request.params.id, ended, tellerOf(response, ended.by))
    response.status(204).end()
  })

  router.put('/:id/deleted', async (request, response) => {
    const { deleted } = readAs(z.strictObject({ deleted: z.boolean() }), request.body)
    await store.setDeleted(request.params.id, deleted)
    response.status(204).end()
  })

  router.put('/:id/leads', async (request, response) => {
    const { by } = readAs(leadsSchema, request.body)
    response.json(await store.takeOver(request.params.id, { by, name: deviceName(response) }))
  })

  writing(router, store)
  marking(router, store)

  router.post('/former', async (request, response) => {
    await store.takeFormer(readAs(firstRecordSchema, request.body), request.body)
    response.status(204).end()
  })

  return closeRouter(router)
}

/** What those mark who look on while another device leads; sent again it changes nothing. */
function marking(router: Router, store: LedClassStore): void {
  router.put('/:id/marks/:mark', async (request, response) => {
    const id = readAs(idSchema, request.params.mark)
    const mark = readAs(observedMarkSchema, request.body)
    await store.keepMark(request.params.id, { ...mark, id, name: deviceName(response) })
    response.status(204).end()
  })

  router.delete('/:id/marks/:mark', async (request, response) => {
    await store.dropMark(request.params.id, request.params.mark)
    response.status(204).end()
  })
}

/** What is written of a class beside what was led: over what was read, so that no window writes over another's. */
function writing(router: Router, store: LedClassStore): void {
  const written = (response: Response, version: number) =>
    response.set('ETag', `"${String(version)}"`).json({ version })

  router.put('/:id/note', async (request, response) => {
    const based = basedOn(request)
    const { note } = readAs(ledNoteSchema, request.body)
    const version = await store.writeNote(request.params.id, note, based)
    written(response, version)
  })

  router.put('/:id/breath', async (request, response) => {
    const based = basedOn(request)
    const version = await store.writeBreath(request.params.id, readAs(breathAnswersSchema, request.body), based)
    written(response, version)
  })

  router.put('/:id/incident', async (request, response) => {
    const { incident } = readAs(incidentWriteSchema, request.body)
    written(response, await store.writeIncident(request.params.id, incident, basedOn(request)))
  })
}

const leadsSchema = z.strictObject({ by: idSchema })
const byQuerySchema = z.strictObject({ by: idSchema.optional() })

const tellerOf = (response: Response, by: string | undefined) =>
  by === undefined ? undefined : { by, name: deviceName(response) }

/** Numbers go on from `after` without a gap. */
const follow = (after: number, { events }: EventsSent): boolean =>
  events.every(({ n }, index) => n === after + index + 1)
