import type { Request, Router } from 'express'
import { onlyHere } from '#server/features/room/device-of'
import { apiRouter, closeRouter } from '#server/http/api-router'
import type { ArchiveControl } from './control.ts'

/** `/api/archive`: all of one's own as a zip of open files, saved and brought in. It holds what people told: no device has it. */
export function archiveRoutes(control: ArchiveControl): Router {
  const router = apiRouter()
  router.use(onlyHere)

  router.get('/', async (_request, response) => {
    await control.send(() => response.set({ 'Content-Type': 'application/zip', 'X-Content-Type-Options': 'nosniff' }))
  })

  router.put('/', async (request: Request, response) => {
    response.json(await control.take(request))
  })

  return closeRouter(router)
}
