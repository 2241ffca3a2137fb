import express from 'express'
import type { Router } from 'express'
import { envelopeFormat, envelopeSchema, voicedEnvelopeVersion } from '#model/envelope'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import type { Exchange } from './store.ts'

/** `/api/exchange`: sessions out as an open document, documents in. */
export function exchangeRoutes(store: Exchange): Router {
  const router = apiRouter()

  router.get('/sessions/:id', async (request, response) => {
    const isVoiced = request.query['voice'] !== undefined
    response.json(await store.exportSessions([request.params.id], isVoiced))
  })

  router.post('/', async (request, response) => {
    response.json(await store.take(readEnvelope(request.body)))
  })

  return closeRouter(router)
}

/** A whole year of sessions with their words takes less; and so do the recordings of one, written as text. */
export const exchangeBody = express.json({ limit: '40mb', strict: true })

/** Throws NOT_SESSIONS for what is something else, SCHEMA_NEWER, and DOCUMENT_REFUSED with where it is wrong. */
function readEnvelope(body: unknown) {
  const { format, version } = (body ?? {}) as Readonly<Record<string, unknown>>
  if (format !== envelopeFormat) throw new ProblemError('NOT_SESSIONS', { format: envelopeFormat }, { path: 'format' })
  if (typeof version === 'number' && version > voicedEnvelopeVersion) {
    throw new ProblemError('SCHEMA_NEWER', { schema: version, known: voicedEnvelopeVersion }, { path: 'version' })
  }
  return readAs(envelopeSchema, body)
}
