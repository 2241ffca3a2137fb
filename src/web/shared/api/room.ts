import type { DeviceKind, Room } from '#model/device'
import { ask } from './client.ts'

/** Other devices: where they are let in, by which code, and which there are. */
export const readRoom = () => ask<Room>('/room')
export const openRoom = (address: string) => ask<Room>('/room/open', { method: 'PUT', body: { address } })
export const closeRoom = () => ask<Room>('/room/open', { method: 'DELETE' })
export const askForCode = (kind: DeviceKind) => ask<Room>('/room/code', { method: 'POST', body: { kind } })
export const disconnect = (deviceId: string) => ask<Room>(`/room/devices/${deviceId}`, { method: 'DELETE' })

/** Asked by a device that is to be let in; the answer says where it begins. */
export const letIn = (code: string) =>
  ask<{ readonly name: string; readonly home: string }>('/pairing', { method: 'POST', body: { code } })
/** The fingerprint of the certificate this device was shown. */
export const readFingerprint = () => ask<{ readonly fingerprint: string }>('/pairing')
