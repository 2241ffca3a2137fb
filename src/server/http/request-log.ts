import type { Request, RequestHandler } from 'express'
import type { Logger } from 'pino'

/**
 * What of a request's address may be written down: that of the way it took, without the ids in it, since some are people's.
 * What leads to no way could be anything somebody typed.
 */
function addressOf({ route, originalUrl }: Request): string {
  const known: unknown = route
  if (typeof known !== 'object' || known === null || !('path' in known) || typeof known.path !== 'string')
    return '(no way of the server)'
  // Where a way failed Express has forgotten under which noun it stood: the way itself says that there is one.
  return known.path.startsWith('/api/') ? known.path : `/api/${originalUrl.split(/[/?]/)[2] ?? ''}${known.path}`
}

/** One line a request: what was asked for, how it ended and how long it took. */
export function requestLog(logger: Logger): RequestHandler {
  return (request, response, next) => {
    const begun = performance.now()
    response.once('close', () => {
      logger.info({
        method: request.method,
        address: addressOf(request),
        status: response.statusCode,
        ms: Math.round(performance.now() - begun),
        ...(response.writableFinished ? {} : { brokenOff: true }),
      })
    })
    next()
  }
}
