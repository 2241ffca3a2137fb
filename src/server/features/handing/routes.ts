import type { Request, Response, Router } from 'express'
import {
  handedClassFormat,
  handedClassSchema,
  handedFileVersion,
  handedRecordFormat,
  handedRecordSchema,
} from '#model/handed-file'
import { handOverByFileSchema, handOverSchema } from '#model/planned-class'
import { basedOn } from '#server/features/guards'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import type { HandedFiles } from './by-file.ts'
import type { HandingStore } from './store.ts'

/** `/api/planned-classes/:id/handed`: a class handed over for its day, to a colleague or as a file, and taken back. */
export function handingRoutes(store: HandingStore, files: HandedFiles): Router {
  const router = apiRouter()

  router.put('/:id/handed', async (request: Request<{ id: string }>, response: Response) => {
    const handed = readAs(handOverSchema, request.body)
    response.json(await store.handOver(request.params.id, handed, basedOn(request)))
  })

  router.delete('/:id/handed', async (request: Request<{ id: string }>, response: Response) => {
    response.json(await store.takeBack(request.params.id, basedOn(request)))
  })

  router.put('/:id/handed/file', async (request: Request<{ id: string }>, response: Response) => {
    const handed = readAs(handOverByFileSchema, request.body)
    response.json(await files.handOver(request.params.id, handed, basedOn(request)))
  })

  return closeRouter(router)
}

/** `/api/handed`: classes that somebody hands over as a file taken in, and the records of such classes out and in. */
export function handedRoutes(files: HandedFiles): Router {
  const router = apiRouter()

  router.post('/classes', async (request, response) => {
    refuseOther(request.body, handedClassFormat)
    response.json(await files.takeClass(readAs(handedClassSchema, request.body)))
  })

  router.get('/records/:id', async (request, response) => {
    response.json(await files.recordOf(request.params.id))
  })

  router.post('/records', async (request, response) => {
    refuseOther(request.body, handedRecordFormat)
    response.json(await files.takeRecord(readAs(handedRecordSchema, request.body)))
  })

  return closeRouter(router)
}

/** Throws NOT_SESSIONS for a file of something else, SCHEMA_NEWER for one of a newer Zovrin. */
function refuseOther(body: unknown, wanted: string): void {
  const { format, version } = (body ?? {}) as Readonly<Record<string, unknown>>
  if (format !== wanted) throw new ProblemError('NOT_SESSIONS', { format: wanted }, { path: 'format' })
  if (typeof version === 'number' && version > handedFileVersion)
    throw new ProblemError('SCHEMA_NEWER', { schema: version, known: handedFileVersion }, { path: 'version' })
}
