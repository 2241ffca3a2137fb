import { parseCookie } from 'cookie'
import express from 'express'
import type { Request, RequestHandler, Response } from 'express'
import { pairingSchema } from '#model/device'
import type { DeviceKind } from '#model/device'
import { readAs } from '#server/http/read-as'
import { setWho } from '#server/features/teachers/who'
import { ProblemError } from '#server/problems'
import type { RoomControl } from './control.ts'
import { setDevice } from './device-of.ts'
import type { DeviceStore } from './devices.ts'

/** Bound to this host, this path and TLS by its name alone. */
export const deviceCookie = '__Host-zovrin-device'
/** As long as a season of classes; whoever is disconnected has nothing of it. */
const cookieMs = 180 * 24 * 3_600_000

export const tokenOf = (request: Request): string | undefined => parseCookie(request.get('Cookie') ?? '')[deviceCookie]

/** What everybody gets who is at the door: the page with the field for the code, and what it is made of. */
const isOfPairing = (path: string): boolean => path === '/pair' || isOfPages(path)
const isOfPages = (path: string): boolean => path.startsWith('/assets/') || path === '/icon.svg'
const isOfScreen = (path: string): boolean => path === '/screen' || path.startsWith('/api/screen/') || isOfPairing(path)

/** Where each is sent who asks for a page that is not theirs. */
const homes: Readonly<Record<DeviceKind | 'unknown', string>> = { unknown: '/pair', screen: '/screen', teacher: '/' }

export interface Door {
  readonly devices: DeviceStore
  readonly room: RoomControl
}

/** What a browser was shown when it was warned, for whoever compares it. */
export const fingerprintDoor =
  ({ room }: Pick<Door, 'room'>): RequestHandler =>
  async (_request, response) => {
    const { open } = await room.read({ id: '', isKeeper: false })
    response.set('Cache-Control', 'no-store').json({ fingerprint: open?.fingerprint ?? '' })
  }

/** Takes the code from a device and gives it a secret of its own. */
export function pairingDoor({ room }: Pick<Door, 'room'>): RequestHandler[] {
  return [
    express.json({ limit: '1kb', strict: true }),
    async (request, response) => {
      const { device, token } = await room.letIn(readAs(pairingSchema, request.body).code)
      response.cookie(deviceCookie, token, {
        ...{ httpOnly: true, secure: true, sameSite: 'strict', path: '/', maxAge: cookieMs },
      })
      response.set('Cache-Control', 'no-store').json({ name: device.name, home: homes[device.kind] })
    },
  ]
}

/** Lets each device to what is its own: a teacher's to the application, a screen to the screen, any other to the pairing page. */
export function gate({ devices }: Pick<Door, 'devices'>): RequestHandler {
  return async (request, response, next) => {
    const token = tokenOf(request)
    const device = token === undefined ? undefined : await devices.ofToken(token)
    if (device) {
      setDevice(response, device)
      // It has what its teacher has, and keeps no house.
      setWho(response, { id: device.ownerId, isKeeper: false })
      await devices.seen(device)
    }
    if (isLet(request.path, device?.kind)) next()
    else if (request.path.startsWith('/api/')) throw new ProblemError(device ? 'NOT_FOR_THIS_DEVICE' : 'NOT_PAIRED', {})
    else sendHome(response, device?.kind)
  }
}

/** A browser keeps no shell behind a certificate it was told to take: the worker for it is not there [settled B22]. */
const isLet = (path: string, kind: DeviceKind | undefined): boolean => {
  if (kind === 'teacher') return path !== '/sw.js'
  return kind === 'screen' ? isOfScreen(path) : isOfPairing(path)
}

function sendHome(response: Response, kind: DeviceKind | undefined): void {
  response.set('Cache-Control', 'no-store').redirect(303, homes[kind ?? 'unknown'])
}

/** A secret of the room opens nothing at the listener of this machine: it was stolen, or is lost there. */
export const refuseDevices: RequestHandler = (request, _response, next) => {
  if (tokenOf(request) !== undefined) throw new ProblemError('WRONG_LISTENER', {})
  next()
}
