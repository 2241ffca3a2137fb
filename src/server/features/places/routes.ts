import type { Router } from 'express'
import { apiRouter, closeRouter } from '#server/http/api-router'
import type { PlaceStore } from './store.ts'

/** `/api/places`: each place with its rooms, walls and cupboard. */
export function placeRoutes(store: PlaceStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  return closeRouter(router)
}
