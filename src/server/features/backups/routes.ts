import type { Request, Router } from 'express'
import { restoreAskedSchema } from '#model/backup'
import { onlyHere } from '#server/features/room/device-of'
import { onlyKeeper } from '#server/features/teachers/door'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import type { BackupControl } from './control.ts'

/**
 * `/api/backups`: the backups beside the database, made, saved, brought in and restored. A backup holds everything of everybody: this is
 * for this machine, and for whoever keeps the house.
 */
export function backupRoutes(control: BackupControl): Router {
  const router = apiRouter()
  router.use(onlyHere, onlyKeeper)

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

  router.get('/:name/people', async (request, response) => {
    response.json(await control.peopleGone(request.params.name))
  })

  router.post('/:name/restored', async (request, response) => {
    const { without } = readAs(restoreAskedSchema, (request.body as unknown) ?? {})
    await control.restore(request.params.name, without)
    response.status(204).end()
  })

  return closeRouter(router)
}
