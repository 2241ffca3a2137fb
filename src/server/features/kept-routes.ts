import type { Router } from 'express'
import type { ZodType } from 'zod'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { basedOn, sameId } from './guards.ts'

/** What a store of documents that each stand on a version can do. */
export interface KeptStore<Document> {
  readonly list: () => Promise<readonly unknown[]>
  /** Saves over the version it was based on, and says the new one; 0 makes it. */
  readonly put: (document: Document, based: number) => Promise<number>
  readonly remove: (id: string, based: number) => Promise<void>
}

/**
 * The ways of one kind of kept document: all of them listed, one put, one taken away; If-Match `"0"` makes a new one.
 * What was put is answered under the name the list has it under.
 */
export function keptRoutes<Document extends { readonly id: string }>(
  name: string,
  schema: ZodType<Document>,
  store: KeptStore<Document>,
): Router {
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await store.list())
  })

  router.put('/:id', async (request, response) => {
    const based = basedOn(request)
    const document = readAs(schema, request.body)
    sameId(request.params.id, document.id)
    const version = await store.put(document, based)
    response.set('ETag', `"${String(version)}"`).json({ [name]: document, version })
  })

  router.delete('/:id', async (request, response) => {
    await store.remove(request.params.id, basedOn(request))
    response.status(204).end()
  })

  return closeRouter(router)
}
