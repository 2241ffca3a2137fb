import { Router } from 'express'
import type { PlaceStore } from './store.ts'

/** `/api/places`: each place with its rooms, walls and cupboard. */
export function placeRoutes(store: PlaceStore): Router {
  const router = Router()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  return router
}
