import type { RequestHandler, Response } from 'express'
import type { Device } from '#model/device'
import { ProblemError } from '#server/problems'

/** What a response knows of the device it goes to; a window of this machine is none. */
interface Locals {
  device?: Pick<Device, 'id' | 'name' | 'kind'>
}

export const deviceOf = (response: Response): Locals['device'] => (response.locals as Locals).device

export function setDevice(response: Response, device: NonNullable<Locals['device']>): void {
  ;(response.locals as Locals).device = device
}

/** How the device that asks is called. */
export const deviceName = (response: Response): string => deviceOf(response)?.name ?? 'The computer Zovrin runs on'

/** Throws NOT_FOR_THIS_DEVICE for a device that was let in: what goes on at this machine alone. */
export const onlyHere: RequestHandler = (_request, response, next) => {
  if (deviceOf(response)) throw new ProblemError('NOT_FOR_THIS_DEVICE', {})
  next()
}
