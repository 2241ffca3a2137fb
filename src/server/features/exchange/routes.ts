import express, { Router } from 'express'
import { envelopeSchema, envelopeVersion } from '#model/envelope'
import { documentRefused } from '#server/features/sessions/read-document'
import { ProblemError } from '#server/problems'
import type { Exchange } from './store.ts'

/** `/api/exchange`: sessions out as an open document, documents in. */
export function exchangeRoutes(store: Exchange): Router {
  const router = Router()

  router.get('/sessions/:id', async (request, response) => {
    response.set('Cache-Control', 'no-store').json(await store.exportSessions([request.params.id]))
  })

  router.post('/', async (request, response) => {
    response.json(await store.take(readEnvelope(request.body)))
  })

  return router
}

/** A whole year of sessions with their words takes less. */
export const exchangeBody = express.json({ limit: '8mb', strict: true })

function readEnvelope(body: unknown) {
  const version = typeof body === 'object' && body !== null && 'version' in body ? body.version : undefined
  if (typeof version === 'number' && version > envelopeVersion) {
    throw new ProblemError('SCHEMA_NEWER', { schema: version, known: envelopeVersion }, { path: 'version' })
  }
  const read = envelopeSchema.safeParse(body)
  if (!read.success) throw documentRefused(read.error)
  return read.data
}
