import express from 'express'
import type { ErrorRequestHandler, Request, Response, Router } from 'express'
import { nanoid } from 'nanoid'
import { voiceLimits } from '#model/limits'
import { soundTypes } from '#model/sound'
import { textsWantedSchema, voiceBroughtSchema, voiceSchema } from '#model/voice'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { heardIn, sendHeard } from '#server/http/heard'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import type { VoiceStore } from './store.ts'

const heardBody = express.raw({ type: [...soundTypes], limit: voiceLimits.bytes })

/** Said in the words of recordings, not of documents. */
const tooLarge: ErrorRequestHandler = (error: { readonly status?: number }, _request, _response, next) => {
  next(error.status === 413 ? new ProblemError('VOICE_TOO_LARGE', { mostS: voiceLimits.ms / 1000 }) : error)
}

type Of = Record<'sessionId' | 'id', string>

/** `/api/voices/:sessionId`: sentences of a session in the teacher's voice, each brought in and heard as the file it is. */
export function voiceRoutes(store: VoiceStore): Router {
  const router = apiRouter()

  router.get('/:sessionId', async (request, response) => {
    response.json(await store.list(request.params.sessionId))
  })

  router.post('/:sessionId/taken', async (request, response) => {
    const { texts } = readAs(textsWantedSchema, request.body)
    response.json(await store.take(request.params.sessionId, texts, nanoid))
  })

  router.put('/:sessionId/:id', heardBody, tooLarge, async (request: Request<Of>, response: Response) => {
    const { heard, type } = heardIn(request)
    const brought = readAs(voiceBroughtSchema, request.query)
    const voice = readAs(voiceSchema, { id: request.params.id, ...brought, type, bytes: heard.length })
    await store.put(request.params.sessionId, voice, heard)
    response.json(voice)
  })

  router.delete('/:sessionId/:id', async (request, response) => {
    await store.remove(request.params.sessionId, request.params.id)
    response.status(204).end()
  })

  router.get('/:sessionId/:id/heard', async (request, response) => {
    const { voice, heard } = await store.find(request.params.sessionId, request.params.id)
    sendHeard(response, voice.type).send(heard)
  })

  return closeRouter(router)
}
