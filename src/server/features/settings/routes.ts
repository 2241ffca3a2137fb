import type { Router } from 'express'
import { settingsSchema } from '#model/settings'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { basedOn } from '#server/features/guards'
import type { SettingsStore } from './store.ts'

/** `/api/settings`: what the teacher set for all their sessions. */
export function settingsRoutes(store: SettingsStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    const { settings, version } = await store.read()
    response.set('ETag', `"${String(version)}"`).json(settings)
  })

  router.put('/', async (request, response) => {
    const based = basedOn(request)
    const version = await store.write(readAs(settingsSchema, request.body), based)
    response.set('ETag', `"${String(version)}"`).json({ version })
  })

  return closeRouter(router)
}
