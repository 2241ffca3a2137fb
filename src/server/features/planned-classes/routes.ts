import type { Router } from 'express'
import { plannedClassSchema } from '#model/planned-class'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { basedOn, sameId } from '#server/features/guards'
import { documentRefused } from '#server/features/sessions/read-document'
import type { PlannedClassStore } from './store.ts'

/** `/api/planned-classes`: each class that is planned, by day; If-Match `"0"` makes a new one. */
export function plannedClassRoutes(store: PlannedClassStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.put('/:id', async (request, response) => {
    const based = basedOn(request)
    const planned = plannedClassSchema.safeParse(request.body)
    if (!planned.success) throw documentRefused(planned.error)
    sameId(request.params.id, planned.data.id)
    const version = await store.put(planned.data, based)
    response.set('ETag', `"${String(version)}"`).json({ planned: planned.data, version })
  })

  router.delete('/:id', async (request, response) => {
    await store.remove(request.params.id, basedOn(request))
    response.status(204).end()
  })

  return closeRouter(router)
}
