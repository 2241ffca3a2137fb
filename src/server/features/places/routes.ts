import type { Router } from 'express'
import { placeSchema } from '#model/place'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { basedOn, sameId } from '#server/features/guards'
import { documentRefused } from '#server/features/sessions/read-document'
import type { PlaceStore } from './store.ts'

/** `/api/places`: each place with its rooms, walls and cupboard; If-Match `"0"` makes a new one. */
export function placeRoutes(store: PlaceStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.put('/:id', async (request, response) => {
    const based = basedOn(request)
    const place = placeSchema.safeParse(request.body)
    if (!place.success) throw documentRefused(place.error)
    sameId(request.params.id, place.data.id)
    const version = await store.put(place.data, based)
    response.set('ETag', `"${String(version)}"`).json({ place: place.data, version })
  })

  router.delete('/:id', async (request, response) => {
    await store.remove(request.params.id, basedOn(request))
    response.status(204).end()
  })

  return closeRouter(router)
}
