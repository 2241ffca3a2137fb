import { parseCookie } from 'cookie'
import express from 'express'
import type { NextFunction, Request, RequestHandler, Response } from 'express'
import { pairingSchema } from '#model/device'
import type { DeviceKind } from '#model/device'
import { readAs } from '#server/http/read-as'
import { isForAll, isOfAnother } from '#server/features/teachers/door'
import type { SignInCookie } from '#server/features/teachers/door'
import { setWho } from '#server/features/teachers/who'
import { ProblemError } from '#server/problems'
import type { RoomControl } from './control.ts'
import { setDevice } from './device-of.ts'
import type { DeviceStore, KnownDevice } from './devices.ts'

/** Bound to this host, this path and TLS by its name alone. */
export const roomCookie: SignInCookie = { name: '__Host-zovrin-device', isSecure: true }
/** As a teacher's sign-in is kept: with a device the same, by another name. */
export const deviceCookieOf = ({ name, isSecure }: SignInCookie): SignInCookie => ({
  name: name.replace('teacher', 'device'),
  isSecure,
})
/** As long as a season of classes; whoever is disconnected has nothing of it. */
const cookieMs = 180 * 24 * 3_600_000

const tokenOf = (request: Request, { name }: SignInCookie): string | undefined =>
  parseCookie(request.get('Cookie') ?? '')[name]

/** What everybody gets who is at the door: the page with the field for the code, and what it is made of. */
const isOfPairing = (path: string): boolean => path === '/pair' || isOfPages(path)
const isOfPages = (path: string): boolean => path.startsWith('/assets/') || path === '/icon.svg'
const isOfScreen = (path: string): boolean => path === '/screen' || path.startsWith('/api/screen/') || isOfPairing(path)

/** Where each is sent who asks for a page that is not theirs. */
const homes: Readonly<Record<DeviceKind | 'unknown', string>> = { unknown: '/pair', screen: '/screen', teacher: '/' }

export interface Door {
  readonly devices: DeviceStore
  readonly room: RoomControl
  readonly cookie: SignInCookie
  /** A browser keeps no shell behind a certificate it was told to take: the worker for it is not there then [settled B22]. */
  readonly keepsShell: boolean
}

/** What a browser was shown when it was warned, for whoever compares it. */
export const fingerprintDoor =
  ({ room }: Pick<Door, 'room'>): RequestHandler =>
  async (_request, response) => {
    const { open } = await room.read({ id: '', isKeeper: false })
    response.set('Cache-Control', 'no-store').json({ fingerprint: open?.fingerprint ?? '' })
  }

/** Takes the code from a device and gives it a secret of its own. */
export function pairingDoor({ room, cookie }: Pick<Door, 'room' | 'cookie'>): RequestHandler[] {
  return [
    express.json({ limit: '1kb', strict: true }),
    async (request, response) => {
      const { device, token } = await room.letIn(readAs(pairingSchema, request.body).code, request.ip ?? '')
      response.cookie(cookie.name, token, { ...cookieFor(cookie), maxAge: cookieMs })
      response.set('Cache-Control', 'no-store').json({ name: device.name, home: homes[device.kind] })
    },
  ]
}

const cookieFor = ({ isSecure }: SignInCookie) =>
  ({ httpOnly: true, secure: isSecure, sameSite: 'strict', path: '/' }) as const

/** Lets each device to what is its own: a teacher's to the application, a screen to the screen, any other to the pairing page. */
export function gate(door: Omit<Door, 'room'>): RequestHandler {
  return async (request, response, next) => {
    const token = tokenOf(request, door.cookie)
    const device = token === undefined ? undefined : await door.devices.ofToken(token)
    if (device) {
      await letThrough(door, device, request, response, next)
      return
    }
    if (isOfPairing(request.path)) next()
    else if (request.path.startsWith('/api/')) throw new ProblemError('NOT_PAIRED', {})
    else sendHome(response, undefined)
  }
}

/** Where teachers have accounts a device that was let in is known as its teacher's; whoever signs in at one is themselves. */
export function studioGate(
  door: Omit<Door, 'room'>,
  isSignedIn: (request: Request) => Promise<boolean>,
): RequestHandler {
  return async (request, response, next) => {
    const token = isOfPages(request.path) ? undefined : tokenOf(request, door.cookie)
    const device = token === undefined || (await isSignedIn(request)) ? undefined : await door.devices.ofToken(token)
    if (device) await letThrough(door, device, request, response, next)
    else next()
  }
}

async function letThrough(
  { devices, cookie, keepsShell }: Omit<Door, 'room'>,
  device: KnownDevice,
  request: Request,
  response: Response,
  next: NextFunction,
): Promise<void> {
  setDevice(response, device)
  // It has what its teacher has, and keeps no house.
  setWho(response, { id: device.ownerId, isKeeper: false })
  await devices.seen(device)
  const isOfApi = request.path.startsWith('/api/')
  if (isOfApi && isOfAnother(request, device.ownerId) && !isForAll(request.path.slice('/api'.length)))
    throw new ProblemError('NOT_SIGNED_IN', {})
  if (request.method === 'DELETE' && /^\/api\/sign-in\/?$/.test(request.path)) {
    await devices.remove(device.id, device.ownerId)
    response.clearCookie(cookie.name, cookieFor(cookie)).status(204).end()
  } else if (isLet(request.path, device.kind, keepsShell)) next()
  else if (isOfApi) throw new ProblemError('NOT_FOR_THIS_DEVICE', {})
  else sendHome(response, device.kind)
}

const isLet = (path: string, kind: DeviceKind, keepsShell: boolean): boolean =>
  kind === 'teacher' ? keepsShell || path !== '/sw.js' : isOfScreen(path)

function sendHome(response: Response, kind: DeviceKind | undefined): void {
  response.set('Cache-Control', 'no-store').redirect(303, homes[kind ?? 'unknown'])
}

/** A secret of the room opens nothing at the listener of this machine: it was stolen, or is lost there. */
export const refuseDevices: RequestHandler = (request, _response, next) => {
  if (tokenOf(request, roomCookie) !== undefined) throw new ProblemError('WRONG_LISTENER', {})
  next()
}
