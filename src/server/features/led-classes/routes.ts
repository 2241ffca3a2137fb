import { Router } from 'express'
import { ledClassSchema } from '#model/classes'
import { documentRefused } from '#server/features/sessions/read-document'
import { ProblemError } from '#server/problems'
import type { LedClassStore } from './store.ts'

/** `/api/led-classes`: the record of each class, written while it runs and read by the journal. */
export function ledClassRoutes(store: LedClassStore): Router {
  const router = Router()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.get('/:id', async (request, response) => {
    response.json(await store.find(request.params.id))
  })

  router.put('/:id', async (request, response) => {
    const read = ledClassSchema.safeParse(request.body)
    if (!read.success) throw documentRefused(read.error)
    if (read.data.id !== request.params.id) {
      throw new ProblemError('ID_MISMATCH', { address: request.params.id, document: read.data.id }, { path: 'id' })
    }
    await store.put(read.data)
    response.status(204).end()
  })

  return router
}
