import type { Response } from 'express'
import type { Device } from '#model/device'

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
