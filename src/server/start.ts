import { createServer } from 'node:http'
import type { RequestListener, Server } from 'node:http'
import { pino } from 'pino'
import type { Logger } from 'pino'
import { mainDoor, makeHouse, roomDoor } from './app.ts'
import type { House } from './app.ts'
import { keepBackingUp } from './backup/daily.ts'
import type { Kept } from './backup/make-backup.ts'
import { withOffer } from './backup/offer.ts'
import { restoreBackup } from './backup/restore-backup.ts'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Config, RoomConfig } from './config.ts'
import type { Database } from './db/open.ts'
import { loggable } from './db/failures.ts'
import { holdDatabase } from './db/hold.ts'
import { inMemory, openDatabase } from './db/open.ts'
import { backupControl } from './features/backups/control.ts'
import type { BackupControl } from './features/backups/control.ts'
import { makeHub } from './features/following/hub.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { deviceStore } from './features/room/devices.ts'
import { makeRoom } from './features/room/control.ts'
import type { RoomControl } from './features/room/control.ts'
import { makeProblem } from './problems.ts'

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
  const kept = { file: databaseFile, folder: config.dataFolder }
  const letGo = databaseFile === inMemory ? () => Promise.resolve() : await holdDatabase(databaseFile)
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
  const daily = dailyBackups({ config, kept, clock, logger })
  const house = housed(database, { ...{ config, kept, clock, logger, pages, hosts }, isLate: daily.isLate })
  server.on('request', house.answer)
  return {
    address: `http://${config.host}:${String(port)}/`,
    async stop() {
      house.hush()
      await new Promise((done) => {
        server.close(done)
        // What is being answered is answered; a connection that only waits is let go.
        server.closeIdleConnections()
        setTimeout(() => {
          server.closeAllConnections()
        }, patienceMs).unref()
      })
      await daily.stop()
      await house.close()
      await letGo()
    },
  }
}

/** The backup of the day, made where one is due; whether it was not made when it was due last. */
function dailyBackups({ config, kept, clock, logger }: Pick<Parts, 'config' | 'kept' | 'clock' | 'logger'>) {
  let isLate = false
  const stop =
    config.backsUp && kept.file !== inMemory
      ? keepBackingUp(kept, clock, (failure) => {
          isLate = failure !== undefined
          if (isLate) logger.error({ error: loggable(failure) }, 'the daily backup was not made')
        })
      : () => Promise.resolve()
  return { isLate: () => isLate, stop }
}

interface Parts {
  readonly config: Config
  readonly kept: Kept
  readonly clock: Clock
  readonly logger: Logger
  readonly pages: string | undefined
  readonly hosts: readonly string[]
  readonly isLate: () => boolean
}

/** A house that is open on a database. */
interface Opened {
  readonly database: Database
  readonly house: House
  readonly room: RoomControl
  readonly door: RequestListener
}

/** The house on its database, which is closed and opened anew with a backup in its place. */
function housed(database: Database, parts: Parts) {
  const control = backupControl({
    ...parts,
    isClassRunning: async () => {
      const led = await ledClassStore(now.database, parts.clock).running()
      // One that nobody leads any more was only never ended.
      return led !== null && (led.leadsUntil?.getTime() ?? 0) > parts.clock.now().getTime()
    },
    restoreClosed: async (path) => {
      const before = now
      now = { ...before, door: closedMeanwhile }
      await close(before)
      try {
        await restoreBackup(path, parts.kept, parts.clock)
      } finally {
        now = opened(await openDatabase(parts.kept.file), parts, control)
      }
    },
  })
  let now = opened(database, parts, control)
  return {
    answer: ((request, response) => {
      now.door(request, response)
    }) satisfies RequestListener,
    /** Nobody is told of anything any more. */
    hush: () => {
      now.house.hub.end()
    },
    close: () => close(now),
  }
}

async function close({ house, room, database }: Opened): Promise<void> {
  house.hub.end()
  await room.close()
  await database.close()
}

/** While a backup is put back there is nothing to answer with. */
const closedMeanwhile: RequestListener = (_request, response) => {
  response.writeHead(503, { 'Content-Type': 'application/problem+json', 'Retry-After': '1' })
  response.end(JSON.stringify(makeProblem('RESTORING', {})))
}

const nowhere: RoomConfig = { addresses: () => [], port: 0 }

/** The house, and the second listener by which other devices are let into it. */
function opened(database: Database, { config, clock, logger, pages, hosts }: Parts, backups: BackupControl): Opened {
  const built = pages === undefined ? {} : { pages }
  const hub = makeHub()
  const room = makeRoom({
    ...{ ...(config.room ?? nowhere), folder: config.dataFolder, devices: deviceStore(database, clock), hub, clock },
    answers: (host) => roomDoor(house, room, host, logger),
  })
  const house: House = makeHouse({ database, clock, hub, backups, folder: config.dataFolder, ...built }, room)
  return { database, house, room, door: mainDoor(house, { hosts, logger }) }
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
