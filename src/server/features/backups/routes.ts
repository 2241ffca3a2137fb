import type { Request, RequestHandler, Router } from 'express'
import { deviceOf } from '#server/features/room/device-of'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { ProblemError } from '#server/problems'
import type { BackupControl } from './control.ts'

/** A backup holds everything of everybody: only whoever is at this machine makes, saves and restores one. */
const onlyHere: RequestHandler = (_request, response, next) => {
  if (deviceOf(response)) throw new ProblemError('NOT_FOR_THIS_DEVICE', {})
  next()
}

/** `/api/backups`: the backups beside the database, made, saved, brought in and restored. */
export function backupRoutes(control: BackupControl): Router {
  const router = apiRouter()
  router.use(onlyHere)

  router.get('/', async (_request, response) => {
    response.json({ isLate: control.isLate(), backups: await control.list() })
  })

  router.post('/', async (_request, response) => {
    response.status(201).json(await control.make())
  })

  router.put('/', async (request: Request, response) => {
    response.json(await control.bring(request))
  })

  router.get('/:name', async (request, response) => {
    const path = await control.pathOf(request.params.name)
    response.set({ 'Content-Type': 'application/zip', 'X-Content-Type-Options': 'nosniff' })
    response.sendFile(path, { dotfiles: 'allow', cacheControl: false })
  })

  router.post('/:name/restored', async (request, response) => {
    await control.restore(request.params.name)
    response.status(204).end()
  })

  return closeRouter(router)
}
