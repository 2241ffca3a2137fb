import { existsSync } from 'node:fs'
import { join } from 'node:path'
import express from 'express'
import type { Express, Request, RequestHandler, Response } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import type { RoomControl } from './features/room/control.ts'
import {
  deviceCookieOf,
  fingerprintDoor,
  gate,
  pairingDoor,
  refuseDevices,
  roomCookie,
  studioGate,
} from './features/room/door.ts'
import { tokenIn } from './features/teachers/door.ts'
import { makeHouse } from './house.ts'
import type { House, HouseDeps } from './house.ts'
import { sendProblem } from './http/problem-of.ts'
import { requestLog } from './http/request-log.ts'
import { ProblemError } from './problems.ts'

export interface AppDeps extends HouseDeps {
  /** Folder of the built pages; absent in tests of the API alone. */
  readonly pages?: string
  /** Host names (with port) the application answers to; empty means any, for tests without a port. */
  readonly hosts: readonly string[]
  /** Where a proxy with TLS answers for it, as a browser has it. */
  readonly origin?: string
  readonly logger?: Logger
}

type DoorDeps = Pick<AppDeps, 'hosts' | 'origin' | 'pages' | 'logger'>

/** The door of this machine: whoever is at it, and is known, has what is theirs. */
export function mainDoor(house: House, { hosts, origin, pages, logger }: DoorDeps, room?: RoomControl): Express {
  const app = plainApp(logger)
  // Behind a proxy an address is that of whoever asks it.
  if (origin !== undefined) app.set('trust proxy', 'loopback')
  app.use(checkHost(origin === undefined ? hosts : [...hosts, new URL(origin).host]))
  const isStudio = house.door.teachers.kind === 'accounts'
  app.use('/api', checkOrigin(hosts, 'http', origin), ...(isStudio ? [] : [refuseDevices]), checkContentType)
  if (isStudio && room) letDevicesIn(app, house, room)
  app.use(house.answers)
  if (pages !== undefined) servePages(app, pages)
  app.use(sendProblem(logger))
  return app
}

/** Where teachers have accounts their devices come in by the same door [settled E6]. */
function letDevicesIn(app: Express, { devices, door }: House, room: RoomControl): void {
  const cookie = deviceCookieOf(door.cookie)
  app.get('/api/pairing', fingerprintDoor({ room }))
  app.post('/api/pairing', ...pairingDoor({ room, cookie }))
  const isSignedIn = async (request: Request): Promise<boolean> => {
    const token = tokenIn(request, door.cookie)
    return token !== undefined && (await door.signIns.whoIs(token)) !== undefined
  }
  app.use(studioGate({ devices, cookie, keepsShell: true }, isSignedIn))
}

/** The door for other devices: each has what it was let in for, once it was. */
export function roomDoor(
  { answers, devices }: House,
  room: RoomControl,
  host: string,
  { pages, logger }: Pick<AppDeps, 'pages' | 'logger'>,
): Express {
  const app = plainApp(logger)
  app.use(checkHost([host]))
  app.use('/api', checkOrigin([host], 'https'), checkContentType)
  app.get('/api/pairing', fingerprintDoor({ room }))
  app.post('/api/pairing', ...pairingDoor({ room, cookie: roomCookie }))
  app.use(gate({ devices, cookie: roomCookie, keepsShell: false }))
  app.use(answers)
  if (pages !== undefined) servePages(app, pages)
  app.use(sendProblem(logger))
  return app
}

/** The whole server as one Express application, as tests ask it. */
export const createApp = (deps: AppDeps): Express => mainDoor(makeHouse(deps), deps)

function plainApp(logger: Logger | undefined): Express {
  const app = express()
  if (logger?.isLevelEnabled('info')) app.use(requestLog(logger))
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
function checkOrigin(hosts: readonly string[], scheme: 'http' | 'https', studio?: string): RequestHandler {
  return (request, _response, next) => {
    const origin = request.get('Origin')
    const allowed = (hosts.length > 0 ? hosts : [request.get('Host') ?? '']).map((host) => `${scheme}://${host}`)
    if (origin !== undefined && origin !== studio && !allowed.includes(origin)) {
      throw new ProblemError('WRONG_ORIGIN', {})
    }
    next()
  }
}

const checkContentType: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('Transfer-Encoding') !== undefined || Number(request.get('Content-Length') ?? 0) > 0
  const isHeard = request.path.startsWith('/sounds/') || request.path.startsWith('/voices/')
  const more = isHeard ? ['audio/*'] : /^\/(?:backups|archive)\b/.test(request.path) ? ['application/zip'] : []
  const kinds = ['application/json', ...more]
  if (hasBody && !request.is(kinds)) throw new ProblemError('WRONG_CONTENT_TYPE', {})
  next()
}

/** Pages that are none of the application's views: what students see, and where a device is let in. */
const screenPages = ['/screen', '/pair']

/** A page is always sent whole: by its date that of an older Zovrin put in place of a newer would count as unchanged. */
function sendPage(response: Response, root: string, name: string): void {
  response.set('Cache-Control', 'no-cache').sendFile(name, { root, lastModified: false })
}

function servePages(app: Express, pages: string): void {
  const index = join(pages, 'index.html')
  const usual = { index: false, redirect: false }
  app.use('/assets', express.static(join(pages, 'assets'), { ...usual, immutable: true, maxAge: '1y' }))
  app.use(express.static(pages, { ...usual, setHeaders: (response) => response.set('Cache-Control', 'no-cache') }))
  app.get(screenPages, (_request, response) => {
    sendPage(response, pages, 'screen.html')
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
    sendPage(response, pages, 'index.html')
  })
}
