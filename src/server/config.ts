import { resolve } from 'node:path'

export interface Config {
  readonly host: string
  readonly port: number
  /** Whether the port was asked for by name; then a taken one is an error, not a reason to move on. */
  readonly portIsFixed: boolean
  readonly dataFolder: string
}

const usualPort = 4180

/** Settings from the environment: ZOVRIN_PORT and ZOVRIN_DATA. Throws a sentence for a wrong port. */
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
  }
}
