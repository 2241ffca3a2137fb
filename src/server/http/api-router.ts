import { Router } from 'express'
import type { RequestParamHandler } from 'express'
import { idSchema } from '#model/common'
import { ProblemError } from '#server/problems'

const onlyIds: RequestParamHandler = (request, _response, next, id: unknown) => {
  if (!idSchema.safeParse(id).success) throw new ProblemError('UNKNOWN_ADDRESS', { path: request.originalUrl })
  next()
}

/** A router whose ids are ids: what no document can be called is at no address, and is never looked for. */
export function apiRouter(): Router {
  const router = Router()
  router.param('id', onlyIds)
  router.param('sessionId', onlyIds)
  router.param('mark', onlyIds)
  return router
}

/**
 * Answers what is asked of an address in a way it does not know: 405, with the ways it does. To be called when all the
 * router's ways are there.
 */
export function closeRouter(router: Router): Router {
  const ways = new Map<string, Set<string>>()
  for (const { route } of router.stack) {
    if (!route) continue
    const known = ways.get(route.path) ?? new Set()
    for (const { method } of route.stack) known.add(method.toUpperCase())
    ways.set(route.path, known)
  }
  for (const [path, known] of ways) {
    if (known.has('GET')) known.add('HEAD')
    const allowed = [...known].toSorted().join(', ')
    router.all(path, (request, response) => {
      response.set('Allow', allowed)
      throw new ProblemError('WRONG_METHOD', { method: request.method, allowed })
    })
  }
  return router
}
