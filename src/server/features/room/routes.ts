import type { Router } from 'express'
import { codeAskedSchema, roomOpenedSchema } from '#model/device'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import type { Who } from '#server/features/teachers/who'
import type { RoomControl } from './control.ts'

/** `/api/room`: other devices, as a teacher lets theirs in and disconnects them; the keeper sees all there are. */
export function roomRoutes(room: RoomControl, who: Who): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await room.read(who))
  })

  router.put('/open', async (request, response) => {
    await room.open(readAs(roomOpenedSchema, request.body).address)
    response.json(await room.read(who))
  })

  router.delete('/open', async (_request, response) => {
    // The answer goes first: it may go to a device that is disconnected by it.
    response.json(await room.read(who, true))
    await room.close()
  })

  router.post('/code', async (request, response) => {
    await room.offer(readAs(codeAskedSchema, request.body).kind, who.id)
    response.json(await room.read(who))
  })

  router.delete('/devices/:id', async (request, response) => {
    await room.disconnect(request.params.id, who)
    response.json(await room.read(who))
  })

  return closeRouter(router)
}
