import type { Router } from 'express'
import { ZodError } from 'zod'
import { ownKinds, readOwn } from '#model/own'
import type { OwnDocument, OwnKind } from '#model/own'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { basedOn, sameId } from '#server/features/guards'
import { slipsIn } from '#core/session'
import { refuseSlips } from '#server/features/sessions/read-document'
import { documentRefused } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import type { OwnStore } from './store.ts'

/** `/api/own`: the teacher's own poses, variants, schools, pieces and set-ups; If-Match `"0"` makes a new one. */
export function ownRoutes(store: OwnStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.put('/:kind/:id', async (request, response) => {
    const kind = kindOf(request.params.kind)
    const based = basedOn(request)
    const own = readBody(kind, request.body)
    sameId(request.params.id, own.document.id)
    const stored = await store.put(own, based)
    response.set('ETag', `"${String(stored.version)}"`).json(stored)
  })

  router.delete('/:kind/:id', async (request, response) => {
    await store.remove(kindOf(request.params.kind), request.params.id, basedOn(request))
    response.status(204).end()
  })

  router.post('/:kind/:id/back', async (request, response) => {
    await store.bringBack(kindOf(request.params.kind), request.params.id)
    response.status(204).end()
  })

  return closeRouter(router)
}

function readBody(kind: OwnKind, body: unknown): OwnDocument {
  try {
    const own = readOwn(kind, body)
    if (own.kind === 'piece') refuseSlips(slipsIn(own.document))
    return own
  } catch (error) {
    throw error instanceof ZodError ? documentRefused(error) : error
  }
}

function kindOf(named: string): OwnKind {
  const kind = ownKinds.find((one) => one === named)
  if (!kind) throw new ProblemError('UNKNOWN_ADDRESS', { path: `/api/own/${named}` })
  return kind
}
