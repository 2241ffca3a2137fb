import express from 'express'
import type { ErrorRequestHandler, Request, Response, Router } from 'express'
import { soundLimits } from '#model/limits'
import { ownSoundSchema, soundBroughtSchema, soundTypes } from '#model/sound'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { heardIn, sendHeard } from '#server/http/heard'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import type { SoundStore } from './store.ts'

const heardBody = express.raw({ type: [...soundTypes], limit: soundLimits.bytes })

/** Said in the words of sounds, not of documents. */
const tooLarge: ErrorRequestHandler = (error: { readonly status?: number }, _request, _response, next) => {
  next(error.status === 413 ? new ProblemError('SOUND_TOO_LARGE', { mostMb: soundLimits.bytes / 1024 ** 2 }) : error)
}

/** `/api/sounds`: the teacher's own sounds; each is brought in and heard as the file it is. */
export function soundRoutes(store: SoundStore): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.put('/:id', heardBody, tooLarge, async (request: Request<{ id: string }>, response: Response) => {
    const { heard, type } = heardIn(request)
    const brought = readAs(soundBroughtSchema, request.query)
    const sound = readAs(ownSoundSchema, { id: request.params.id, ...brought, type, bytes: heard.length })
    await store.put(sound, heard)
    response.json(sound)
  })

  router.delete('/:id', async (request, response) => {
    await store.remove(request.params.id)
    response.status(204).end()
  })

  router.get('/:id/heard', async (request, response) => {
    const { sound, file } = await store.find(request.params.id)
    sendHeard(response, sound.type).sendFile(file, {
      dotfiles: 'allow',
      headers: { 'Content-Type': sound.type },
      cacheControl: false,
    })
  })

  return closeRouter(router)
}
