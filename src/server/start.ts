import { createServer } from 'node:http'
import type { Server } from 'node:http'
import { pino } from 'pino'
import type { Logger } from 'pino'
import { mainDoor, makeHouse, roomDoor } from './app.ts'
import type { House } from './app.ts'
import { keepBackingUp } from './backup/daily.ts'
import { withOffer } from './backup/offer.ts'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Config, RoomConfig } from './config.ts'
import type { Database } from './db/open.ts'
import { loggable } from './db/failures.ts'
import { holdDatabase } from './db/hold.ts'
import { openDatabase } from './db/open.ts'
import { makeHub } from './features/following/hub.ts'
import { deviceStore } from './features/room/devices.ts'
import { makeRoom } from './features/room/control.ts'
import type { RoomControl } from './features/room/control.ts'

export interface Running {
  readonly address: string
  stop(): Promise<void>
}

/** How many ports past the usual one are tried when it is taken; 4190 is one that browsers refuse. */
const portsTried = 9

/** How long a request may still take when the server stops. */
const patienceMs = 2000

/** Opens the database, listens on the loopback and says where; `stop` ends both cleanly. */
export async function startServer(
  config: Config,
  databaseFile: string,
  pages: string | undefined,
  clock: Clock = systemClock,
): Promise<Running> {
  const letGo = await holdDatabase(databaseFile)
  const kept = { file: databaseFile, folder: config.dataFolder }
  const database = await openDatabase(databaseFile).catch(async (error: unknown) => {
    await letGo()
    throw await withOffer(error, kept)
  })
  const server = createServer()
  const port = await listen(server, config).catch(async (error: unknown) => {
    await database.close()
    await letGo()
    throw error
  })
  const hosts = [config.host, 'localhost'].flatMap((name) => hostsOf(name, port))
  const logger = pino({ level: 'error' }, pino.destination(2))
  const { house, room } = makeAll({ config, database, clock, logger, pages })
  server.on('request', mainDoor(house, { hosts, logger }))
  const endBackups = config.backsUp
    ? keepBackingUp(kept, clock, (failure) => {
        if (failure !== undefined) logger.error({ error: loggable(failure) }, 'the daily backup was not made')
      })
    : undefined
  return {
    address: `http://${config.host}:${String(port)}/`,
    async stop() {
      house.hub.end()
      await room.close()
      await new Promise((done) => {
        server.close(done)
        // What is being answered is answered; a connection that only waits is let go.
        server.closeIdleConnections()
        setTimeout(() => {
          server.closeAllConnections()
        }, patienceMs).unref()
      })
      await endBackups?.()
      await database.close()
      await letGo()
    },
  }
}

const nowhere: RoomConfig = { addresses: () => [], port: 0 }

interface Parts {
  readonly config: Config
  readonly database: Database
  readonly clock: Clock
  readonly logger: Logger
  readonly pages: string | undefined
}

/** The house, and the second listener by which other devices are let into it. */
function makeAll({ config, database, clock, logger, pages }: Parts): { house: House; room: RoomControl } {
  const built = pages === undefined ? {} : { pages }
  const hub = makeHub()
  const room = makeRoom({
    ...{ ...(config.room ?? nowhere), folder: config.dataFolder, devices: deviceStore(database, clock), hub, clock },
    answers: (host) => roomDoor(house, room, host, logger),
  })
  const house: House = makeHouse({ database, clock, hub, folder: config.dataFolder, ...built }, room)
  return { house, room }
}

/** As browsers name a host: the usual port of HTTP they leave away. */
const hostsOf = (name: string, port: number): string[] => [`${name}:${String(port)}`, ...(port === 80 ? [name] : [])]

async function listen(server: Server, { host, port, portIsFixed }: Config): Promise<number> {
  const last = portIsFixed ? port : port + portsTried
  for (let candidate = port; candidate <= last; candidate += 1) {
    if (!(await tryPort(server, host, candidate))) continue
    const address = server.address()
    return typeof address === 'object' && address ? address.port : candidate
  }
  throw new Error(`Port ${String(port)} is taken: stop what uses it, or choose another with ZOVRIN_PORT.`)
}

function tryPort(server: Server, host: string, port: number): Promise<boolean> {
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE') done(false)
      else fail(error)
    })
    server.listen(port, host, () => {
      server.removeAllListeners('error')
      done(true)
    })
  })
}
