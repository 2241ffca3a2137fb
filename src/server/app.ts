import { existsSync } from 'node:fs'
import { join } from 'node:path'
import express from 'express'
import type { Express, RequestHandler } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { placeSchema } from '#model/place'
import { personSchema } from '#model/person'
import { plannedClassSchema } from '#model/planned-class'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Database } from './db/open.ts'
import { exchangeBody, exchangeRoutes } from './features/exchange/routes.ts'
import { exchange } from './features/exchange/store.ts'
import { keptRoutes } from './features/kept-routes.ts'
import { ledClassBody, ledClassRoutes } from './features/led-classes/routes.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { ownRoutes } from './features/own/routes.ts'
import { ownStore } from './features/own/store.ts'
import { mentionRoutes } from './features/people/mentions.ts'
import { peopleStore } from './features/people/store.ts'
import { plannedClassStore } from './features/planned-classes/store.ts'
import { placeStore } from './features/places/store.ts'
import { refuseUnplannable } from './features/sessions/read-document.ts'
import { sessionRoutes } from './features/sessions/routes.ts'
import { sessionStore } from './features/sessions/store.ts'
import { settingsRoutes } from './features/settings/routes.ts'
import { settingsStore } from './features/settings/store.ts'
import { mostBodyKb, refuseUnreadable } from './http/body.ts'
import { sendProblem } from './http/problem-of.ts'
import { ProblemError } from './problems.ts'

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
  app.use('/api', express.json({ limit: `${String(mostBodyKb)}kb`, strict: true }), refuseUnreadable, keepNothing)
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true })
  })
  const own = ownStore(database, clock)
  const sessions = sessionStore(database, clock, async (document, transaction) => {
    refuseUnplannable(document, await own.catalog(transaction))
  })
  app.use('/api/sessions', sessionRoutes(sessions))
  app.use('/api/exchange', exchangeRoutes(exchange(database, own, sessions, clock)))
  app.use('/api/own', ownRoutes(own))
  app.use('/api/led-classes', ledClassRoutes(ledClassStore(database)))
  app.use('/api/settings', settingsRoutes(settingsStore(database)))
  app.use('/api/places', keptRoutes('place', placeSchema, placeStore(database, clock)))
  app.use('/api/people', mentionRoutes(database))
  app.use('/api/people', keptRoutes('person', personSchema, peopleStore(database)))
  app.use('/api/planned-classes', keptRoutes('planned', plannedClassSchema, plannedClassStore(database, clock)))
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
    xFrameOptions: { action: 'deny' },
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

/** What the API says is of this moment: nobody between here and the window may keep it. */
const keepNothing: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store')
  next()
}

const checkContentType: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('Transfer-Encoding') !== undefined || Number(request.get('Content-Length') ?? 0) > 0
  if (hasBody && !request.is('application/json')) throw new ProblemError('WRONG_CONTENT_TYPE', {})
  next()
}

function servePages(app: Express, pages: string): void {
  const index = join(pages, 'index.html')
  const usual = { index: false, redirect: false }
  app.use('/assets', express.static(join(pages, 'assets'), { ...usual, immutable: true, maxAge: '1y' }))
  app.use(express.static(pages, { ...usual, setHeaders: (response) => response.set('Cache-Control', 'no-cache') }))
  app.use((request, response, next) => {
    if (!['GET', 'HEAD'].includes(request.method)) {
      response.set('Allow', 'GET, HEAD')
      throw new ProblemError('WRONG_METHOD', { method: request.method, allowed: 'GET, HEAD' })
    }
    const isPage = !/\.\w+$/.test(request.path)
    if (!isPage || !existsSync(index)) {
      next(new ProblemError('UNKNOWN_ADDRESS', { path: request.path }))
      return
    }
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: pages })
  })
}
