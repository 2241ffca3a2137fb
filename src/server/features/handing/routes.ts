import type { Request, Response, Router } from 'express'
import { handOverSchema } from '#model/planned-class'
import { basedOn } from '#server/features/guards'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import type { HandingStore } from './store.ts'

/** `/api/planned-classes/:id/handed`: a class handed over to a colleague for its day, and taken back. */
export function handingRoutes(store: HandingStore): Router {
  const router = apiRouter()

  router.put('/:id/handed', async (request: Request<{ id: string }>, response: Response) => {
    const handed = readAs(handOverSchema, request.body)
    response.json(await store.handOver(request.params.id, handed, basedOn(request)))
  })

  router.delete('/:id/handed', async (request: Request<{ id: string }>, response: Response) => {
    response.json(await store.takeBack(request.params.id, basedOn(request)))
  })

  return closeRouter(router)
}
