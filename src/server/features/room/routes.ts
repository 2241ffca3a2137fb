import type { Router } from 'express'
import { codeAskedSchema, roomOpenedSchema } from '#model/device'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import type { RoomControl } from './control.ts'

/** `/api/room`: other devices, as the teacher lets them in and disconnects them. */
export function roomRoutes(room: RoomControl): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await room.read())
  })

  router.put('/open', async (request, response) => {
    await room.open(readAs(roomOpenedSchema, request.body).address)
    response.json(await room.read())
  })

  router.delete('/open', async (_request, response) => {
    // The answer goes first: it may go to a device that is disconnected by it.
    response.json(await room.read(true))
    await room.close()
  })

  router.post('/code', async (request, response) => {
    room.offer(readAs(codeAskedSchema, request.body).kind)
    response.json(await room.read())
  })

  router.delete('/devices/:id', async (request, response) => {
    await room.disconnect(request.params.id)
    response.json(await room.read())
  })

  return closeRouter(router)
}
