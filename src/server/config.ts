import { networkInterfaces } from 'node:os'
import { resolve } from 'node:path'

export interface Config {
  readonly host: string
  readonly port: number
  /** Whether the port was asked for by name; then a taken one is an error, not a reason to move on. */
  readonly portIsFixed: boolean
  readonly dataFolder: string
  /** Where other devices may be let in: absent, nowhere. */
  readonly room?: RoomConfig
  /** Whether a backup is made every day; absent: none is. */
  readonly backsUp?: boolean
}

export interface RoomConfig {
  /** The addresses of this machine that others reach it at. */
  readonly addresses: () => readonly string[]
  /** The port that is tried first; 0 takes any. */
  readonly port: number
}

const usualPort = 4180
const roomPort = 4443

/**
 * Settings from the environment: ZOVRIN_PORT, ZOVRIN_DATA, and ZOVRIN_ROOM, addresses by commas at which others reach
 * this machine where its network cards do not say. Throws a sentence for a wrong port.
 */
export function readConfig(environment: Readonly<Record<string, string | undefined>>): Config {
  const asked = environment['ZOVRIN_PORT']
  const port = asked === undefined || asked === '' ? usualPort : Number(asked)
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new RangeError(`ZOVRIN_PORT is "${String(asked)}": give a port from 1 to 65535.`)
  }
  return {
    host: '127.0.0.1',
    port,
    portIsFixed: asked !== undefined && asked !== '',
    dataFolder: resolve(environment['ZOVRIN_DATA'] ?? './data'),
    backsUp: true,
    room: { addresses: () => named(environment['ZOVRIN_ROOM']) ?? networkAddresses(), port: roomPort },
  }
}

const named = (list: string | undefined): readonly string[] | undefined =>
  list === undefined || list.trim() === '' ? undefined : list.split(',').map((one) => one.trim())

/** The addresses of this machine's network cards, those of the house first. */
function networkAddresses(): readonly string[] {
  const all = Object.values(networkInterfaces()).flatMap((one) => one ?? [])
  const others = all.filter(({ internal, family }) => !internal && family === 'IPv4').map(({ address }) => address)
  return [...new Set(others)].sort((a, b) => Number(b.startsWith('192.168.')) - Number(a.startsWith('192.168.')))
}
