import type { Request, Response, Router } from 'express'
import { z } from 'zod'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { basedOn, sameId } from '#server/features/guards'
import { ProblemError } from '#server/problems'
import { readSessionDocument } from './read-document.ts'
import type { KeepReason, SessionStore, StoredSession } from './store.ts'

const stateSchema = z.strictObject({
  archived: z.boolean().optional(),
  template: z.boolean().optional(),
  deleted: z.boolean().optional(),
})

const reasons: readonly KeepReason[] = ['saved', 'conflict', 'fit', 'version', 'lead', 'restored']

/** `/api/sessions`: documents with ETag and If-Match, and the versions kept of them. */
export function sessionRoutes(store: SessionStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.post('/', async (request, response) => {
    const stored = await store.create(readSessionDocument(request.body))
    reply(response.status(201).location(`/api/sessions/${stored.document.id}`), stored)
  })

  router.get('/:id', async (request, response) => {
    reply(response, await store.find(request.params.id))
  })

  router.put('/:id', async (request, response) => {
    const based = basedOn(request)
    const document = readSessionDocument(request.body)
    sameId(request.params.id, document.id)
    reply(response, await store.save(document, based, keepReason(request) ?? 'saved'))
  })

  router.post('/:id/state', async (request, response) => {
    await store.setState(request.params.id, readAs(stateSchema, request.body))
    response.status(204).end()
  })

  router.get('/:id/history', async (request, response) => {
    response.json(await store.history(request.params.id))
  })

  router.post('/:id/history', async (request, response) => {
    const document = readSessionDocument(request.body)
    sameId(request.params.id, document.id)
    await store.setAside(document, basedOn(request), keepReason(request) ?? 'conflict')
    response.status(204).end()
  })

  router.get('/:id/history/:version', async (request, response) => {
    const { id, version } = request.params
    if (!/^\d{1,9}$/.test(version)) throw new ProblemError('UNKNOWN_VERSION', { id, version })
    response.json(await store.keptDocument(id, Number(version)))
  })

  return closeRouter(router)
}

function reply(response: Response, { document, version }: StoredSession): void {
  response
    .set('ETag', `"${String(version)}"`)
    .set('Cache-Control', 'no-store')
    .json(document)
}

/** Why a version is kept, where the window says so. */
function keepReason(request: Request): KeepReason | undefined {
  const named = request.get('X-Keep-Former')
  return reasons.find((known) => known === named)
}
