import { existsSync } from 'node:fs'
import { join } from 'node:path'
import express from 'express'
import type { ErrorRequestHandler, Express, RequestHandler } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import { isDiskFull, loggable } from './db/failures.ts'
import type { Database } from './db/open.ts'
import { exchangeBody, exchangeRoutes } from './features/exchange/routes.ts'
import { exchange } from './features/exchange/store.ts'
import { ledClassBody, ledClassRoutes } from './features/led-classes/routes.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { ownRoutes } from './features/own/routes.ts'
import { ownStore } from './features/own/store.ts'
import { placeRoutes } from './features/places/routes.ts'
import { placeStore } from './features/places/store.ts'
import { sessionRoutes } from './features/sessions/routes.ts'
import { sessionStore } from './features/sessions/store.ts'
import { makeProblem, ProblemError } from './problems.ts'

/** A session of two hundred blocks with all their words takes well under this. */
const mostBodyKb = 1024

export interface AppDeps {
  readonly database: Database
  /** Host names (with port) the application answers to; empty means any, for tests without a port. */
  readonly hosts: readonly string[]
  /** Folder of the built pages; absent in tests of the API alone. */
  readonly pages?: string
  readonly clock?: Clock
  readonly logger?: Logger
}

/** The whole server as an Express application: checks, API, built pages, one error handler. */
export function createApp({ database, hosts, pages, clock = systemClock, logger }: AppDeps): Express {
  const app = express()
  app.disable('x-powered-by')
  app.set('etag', false)
  app.use(securityHeaders())
  app.use(checkHost(hosts))
  app.use('/api', checkOrigin(hosts), checkContentType)
  app.use('/api/exchange', exchangeBody)
  app.use('/api/led-classes', ledClassBody)
  app.use('/api', express.json({ limit: `${String(mostBodyKb)}kb`, strict: true }))
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true })
  })
  const own = ownStore(database, clock)
  const sessions = sessionStore(database, clock)
  app.use(
    '/api/sessions',
    sessionRoutes(sessions, () => own.catalog()),
  )
  app.use('/api/exchange', exchangeRoutes(exchange(database, own, sessions, clock)))
  app.use('/api/own', ownRoutes(own))
  app.use('/api/led-classes', ledClassRoutes(ledClassStore(database)))
  app.use('/api/places', placeRoutes(placeStore(database)))
  app.use('/api', (request) => {
    throw new ProblemError('UNKNOWN_ADDRESS', { path: request.originalUrl })
  })
  if (pages !== undefined) servePages(app, pages)
  app.use(sendProblem(logger))
  return app
}

/** The content policy as decided: nothing from elsewhere; inline styles only, for the theme. */
function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        baseUri: ["'self'"],
      },
    },
    // Plain HTTP on the loopback: a promise of HTTPS would lock the teacher out.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  })
}

function checkHost(hosts: readonly string[]): RequestHandler {
  return (request, _response, next) => {
    if (hosts.length > 0 && !hosts.includes(request.get('Host') ?? '')) {
      throw new ProblemError('WRONG_HOST', { host: hosts[0] ?? '' })
    }
    next()
  }
}

/** A page of another origin may neither read nor write; requests without an Origin are not from a page. */
function checkOrigin(hosts: readonly string[]): RequestHandler {
  return (request, _response, next) => {
    const origin = request.get('Origin')
    const allowed = hosts.length > 0 ? hosts : [request.get('Host') ?? '']
    if (origin !== undefined && !allowed.some((host) => origin === `http://${host}`)) {
      throw new ProblemError('WRONG_ORIGIN', {})
    }
    next()
  }
}

const checkContentType: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('Transfer-Encoding') !== undefined || Number(request.get('Content-Length') ?? 0) > 0
  if (hasBody && !request.is('application/json')) throw new ProblemError('WRONG_CONTENT_TYPE', {})
  next()
}

function servePages(app: Express, pages: string): void {
  const index = join(pages, 'index.html')
  app.use('/assets', express.static(join(pages, 'assets'), { immutable: true, maxAge: '1y', fallthrough: true }))
  app.use(express.static(pages, { index: false, setHeaders: (response) => response.set('Cache-Control', 'no-cache') }))
  app.use((request, response, next) => {
    const isPage = request.method === 'GET' && !/\.\w+$/.test(request.path)
    if (!isPage || !existsSync(index)) {
      next(new ProblemError('UNKNOWN_ADDRESS', { path: request.path }))
      return
    }
    response.set('Cache-Control', 'no-cache').sendFile(index)
  })
}

/** What Express and its body reader throw, as problems of ours. */
function problemOf(error: unknown) {
  if (error instanceof ProblemError) return error.problem
  const type = typeof error === 'object' && error !== null && 'type' in error ? error.type : undefined
  if (type === 'entity.too.large') return makeProblem('BODY_TOO_LARGE', { mostKb: limitOf(error) })
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'request.aborted')
    return makeProblem('MALFORMED_JSON', {})
  if (isDiskFull(error)) return makeProblem('DISK_FULL', {})
  if (error instanceof URIError) return makeProblem('UNKNOWN_ADDRESS', { path: 'this address' })
  return makeProblem('INTERNAL', {})
}

/** How much the body reader that refused would have taken, in kB. */
function limitOf(error: unknown): number {
  const limit = typeof error === 'object' && error !== null && 'limit' in error ? Number(error.limit) : NaN
  return Number.isFinite(limit) ? Math.round(limit / 1024) : mostBodyKb
}

function sendProblem(logger: Logger | undefined): ErrorRequestHandler {
  // Express knows an error handler by its four parameters.
  return (error: unknown, _request, response, _next) => {
    const problem = problemOf(error)
    if (problem.status >= 500) logger?.error(loggable(error))
    response.status(problem.status).type('application/problem+json').json(problem)
  }
}
