import type { Request, Response, Router } from 'express'
import { remarkSentSchema, shownSchema } from '#model/remark'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import type { RemarkStore } from './store.ts'

type Of = Record<'sessionId' | 'id', string>

/** `/api/remarks/:sessionId`: what colleagues say beside the blocks of a session they were shown. */
export function remarkRoutes(store: RemarkStore): Router {
  const router = apiRouter()

  router.get('/:sessionId', async (request, response) => {
    response.json(await store.of(request.params.sessionId))
  })

  router.post('/:sessionId/shown', async (request, response) => {
    await store.show(request.params.sessionId, readAs(shownSchema, request.body).to)
    response.json(await store.of(request.params.sessionId))
  })

  router.put('/:sessionId/:id', async (request: Request<Of>, response: Response) => {
    const { sessionId, id } = request.params
    response.json(await store.put(sessionId, id, readAs(remarkSentSchema, request.body)))
  })

  router.delete('/:sessionId/:id', async (request: Request<Of>, response: Response) => {
    await store.remove(request.params.sessionId, request.params.id)
    response.status(204).end()
  })

  return closeRouter(router)
}
