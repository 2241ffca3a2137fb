import { existsSync } from 'node:fs'
import { join } from 'node:path'
import express, { Router } from 'express'
import type { Express, RequestHandler } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { placeSchema } from '#model/place'
import { personSchema } from '#model/person'
import { plannedClassSchema } from '#model/planned-class'
import { longDaySchema } from '#model/long-day'
import { seriesSchema } from '#model/series'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Database } from './db/open.ts'
import type { BackupControl } from './features/backups/control.ts'
import { backupRoutes } from './features/backups/routes.ts'
import { exchangeBody, exchangeRoutes } from './features/exchange/routes.ts'
import { exchange } from './features/exchange/store.ts'
import { keptRoutes } from './features/kept-routes.ts'
import { makeHub } from './features/following/hub.ts'
import type { Hub } from './features/following/hub.ts'
import { nowRoutes, screenRoutes } from './features/following/routes.ts'
import { ledClassBody, ledClassRoutes } from './features/led-classes/routes.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { ownRoutes } from './features/own/routes.ts'
import { ownStore } from './features/own/store.ts'
import { mentionRoutes } from './features/people/mentions.ts'
import { peopleStore } from './features/people/store.ts'
import { plannedClassStore } from './features/planned-classes/store.ts'
import { placeStore } from './features/places/store.ts'
import type { RoomControl } from './features/room/control.ts'
import { deviceStore } from './features/room/devices.ts'
import type { DeviceStore } from './features/room/devices.ts'
import { fingerprintDoor, gate, pairingDoor, refuseDevices } from './features/room/door.ts'
import { roomRoutes } from './features/room/routes.ts'
import { longDayStore } from './features/long-days/store.ts'
import { seriesStore } from './features/series/store.ts'
import { refuseUnplannable } from './features/sessions/read-document.ts'
import { sessionRoutes } from './features/sessions/routes.ts'
import { sessionStore } from './features/sessions/store.ts'
import { soundRoutes } from './features/sounds/routes.ts'
import { soundStore } from './features/sounds/store.ts'
import { settingsRoutes } from './features/settings/routes.ts'
import { settingsStore } from './features/settings/store.ts'
import { voiceRoutes } from './features/voices/routes.ts'
import { voiceStore } from './features/voices/store.ts'
import { mostBodyKb, refuseUnreadable } from './http/body.ts'
import { sendProblem } from './http/problem-of.ts'
import { ProblemError } from './problems.ts'

export interface HouseDeps {
  readonly database: Database
  /** Folder of the built pages; absent in tests of the API alone. */
  readonly pages?: string
  readonly clock?: Clock
  readonly hub?: Hub
  /** The folder for what is kept beside the database; absent: no own sounds. */
  readonly folder?: string
  /** Absent: none are made. */
  readonly backups?: BackupControl
}

export interface AppDeps extends HouseDeps {
  /** Host names (with port) the application answers to; empty means any, for tests without a port. */
  readonly hosts: readonly string[]
  readonly logger?: Logger
}

/** All that answers behind a door, and what runs beside it. */
export interface House {
  readonly answers: Router
  readonly hub: Hub
  readonly devices: DeviceStore
}

/** What Zovrin answers, whichever listener is asked: API and built pages. `room` says who else is let in. */
export function makeHouse(
  { database, pages, folder, backups, clock = systemClock, hub = makeHub() }: HouseDeps,
  room?: RoomControl,
): House {
  const house = Router()
  house.use('/api/exchange', exchangeBody)
  house.use('/api/led-classes', ledClassBody)
  house.use('/api', express.json({ limit: `${String(mostBodyKb)}kb`, strict: true }), refuseUnreadable, keepNothing)
  house.get('/api/health', (_request, response) => {
    response.json({ ok: true, ...(backups?.isLate() ? { isBackupLate: true } : {}) })
  })
  const own = ownStore(database, clock)
  const sessions = sessionStore(database, clock, async (document, transaction) => {
    refuseUnplannable(document, await own.catalog(transaction))
  })
  const voices = voiceStore(database, clock)
  const ledClasses = ledClassStore(database, clock, hub)
  const settings = settingsStore(database, hub.changed)
  const following = { hub, clock, ledClasses, settings, own }
  house.use('/api/sessions', sessionRoutes(sessions))
  house.use('/api/exchange', exchangeRoutes(exchange(database, { own, sessions, voices }, clock)))
  house.use('/api/own', ownRoutes(own))
  house.use('/api/led-classes', ledClassRoutes(ledClasses))
  house.use('/api/settings', settingsRoutes(settings))
  house.use('/api/places', keptRoutes('place', placeSchema, placeStore(database, clock)))
  house.use('/api/people', mentionRoutes(database))
  house.use('/api/people', keptRoutes('person', personSchema, peopleStore(database)))
  house.use('/api/planned-classes', keptRoutes('planned', plannedClassSchema, plannedClassStore(database, clock)))
  house.use('/api/series', keptRoutes('series', seriesSchema, seriesStore(database)))
  house.use('/api/long-days', keptRoutes('longDay', longDaySchema, longDayStore(database)))
  house.use('/api/voices', voiceRoutes(voices))
  if (backups) house.use('/api/backups', backupRoutes(backups))
  house.use('/api/now', nowRoutes(following))
  house.use('/api/screen', screenRoutes(following))
  if (room) house.use('/api/room', roomRoutes(room))
  if (folder !== undefined) house.use('/api/sounds', soundRoutes(soundStore(database, join(folder, 'sounds'))))
  house.use('/api', (request) => {
    throw new ProblemError('UNKNOWN_ADDRESS', { path: request.originalUrl })
  })
  if (pages !== undefined) servePages(house, pages)
  return { answers: house, hub, devices: deviceStore(database, clock) }
}

/** The door of this machine: whoever is at it has all of the house. */
export function mainDoor({ answers }: House, { hosts, logger }: Pick<AppDeps, 'hosts' | 'logger'>): Express {
  const app = plainApp()
  app.use(checkHost(hosts))
  app.use('/api', checkOrigin(hosts, 'http'), refuseDevices, checkContentType)
  app.use(answers)
  app.use(sendProblem(logger))
  return app
}

/** The door for other devices: each has what it was let in for, once it was. */
export function roomDoor({ answers, devices }: House, room: RoomControl, host: string, logger?: Logger): Express {
  const app = plainApp()
  app.use(checkHost([host]))
  app.use('/api', checkOrigin([host], 'https'), checkContentType)
  app.get('/api/pairing', fingerprintDoor({ room }))
  app.post('/api/pairing', ...pairingDoor({ room }))
  app.use(gate({ devices }))
  app.use(answers)
  app.use(sendProblem(logger))
  return app
}

/** The whole server as one Express application, as tests ask it. */
export const createApp = ({ hosts, logger, ...deps }: AppDeps): Express =>
  mainDoor(makeHouse(deps), { hosts, ...(logger ? { logger } : {}) })

function plainApp(): Express {
  const app = express()
  app.disable('x-powered-by')
  app.set('etag', false)
  app.use(securityHeaders())
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
function checkOrigin(hosts: readonly string[], scheme: 'http' | 'https'): RequestHandler {
  return (request, _response, next) => {
    const origin = request.get('Origin')
    const allowed = hosts.length > 0 ? hosts : [request.get('Host') ?? '']
    if (origin !== undefined && !allowed.some((host) => origin === `${scheme}://${host}`)) {
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
  const isHeard = request.path.startsWith('/sounds/') || request.path.startsWith('/voices/')
  const more = isHeard ? ['audio/*'] : request.path.startsWith('/backups') ? ['application/zip'] : []
  const kinds = ['application/json', ...more]
  if (hasBody && !request.is(kinds)) throw new ProblemError('WRONG_CONTENT_TYPE', {})
  next()
}

/** Pages that are none of the application's views: what students see, and where a device is let in. */
const screenPages = ['/screen', '/pair']

function servePages(app: Router, pages: string): void {
  const index = join(pages, 'index.html')
  const usual = { index: false, redirect: false }
  app.use('/assets', express.static(join(pages, 'assets'), { ...usual, immutable: true, maxAge: '1y' }))
  app.use(express.static(pages, { ...usual, setHeaders: (response) => response.set('Cache-Control', 'no-cache') }))
  app.get(screenPages, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('screen.html', { root: pages })
  })
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
