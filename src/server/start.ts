import { createServer } from 'node:http'
import type { RequestListener, Server } from 'node:http'
import type { Socket } from 'node:net'
import { join } from 'node:path'
import { pino } from 'pino'
import type { Logger } from 'pino'
import { mainDoor, roomDoor } from './app.ts'
import { keepBackingUp } from './backup/daily.ts'
import type { Kept } from './backup/make-backup.ts'
import { withOffer } from './backup/offer.ts'
import { restoreBackup } from './backup/restore-backup.ts'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Config, RoomConfig } from './config.ts'
import { isPostgres } from './db/address.ts'
import type { Database } from './db/open.ts'
import { loggable } from './db/failures.ts'
import { holdDatabase } from './db/hold.ts'
import { inMemory, openDatabase } from './db/open.ts'
import { makeFolder } from './db/opening.ts'
import { backupControl } from './features/backups/control.ts'
import type { BackupControl } from './features/backups/control.ts'
import { makeHub } from './features/following/hub.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { peopleStore } from './features/people/store.ts'
import { deviceStore } from './features/room/devices.ts'
import { makeRoom } from './features/room/control.ts'
import type { RoomControl } from './features/room/control.ts'
import { studioRoom } from './features/room/studio.ts'
import { cookieFor } from './features/teachers/door.ts'
import { teacherStore } from './features/teachers/store.ts'
import type { TeacherKind } from './features/teachers/store.ts'
import { makeHouse } from './house.ts'
import type { House } from './house.ts'
import { answering } from './http/answering.ts'
import { makeProblem } from './problems.ts'

export interface Running {
  readonly address: string
  /** What the first keeper of a house begins with, where it has nobody yet. */
  readonly firstCode?: string
  stop(): Promise<void>
}

/** Where it is reached. */
const addressOf = ({ origin, host }: Config, port: number): string => `${origin ?? `http://${host}:${String(port)}`}/`

/** How many ports past the usual one are tried when it is taken; 4190 is one that browsers refuse. */
const portsTried = 9

/** How long a request may still take when the server stops, or a backup is put back. */
const patienceMs = 2000

/** Opens the database in a file or at an address, listens on the loopback and says where; `stop` ends both cleanly. */
export async function startServer(
  config: Config,
  where: string,
  pages: string | undefined,
  clock: Clock = systemClock,
): Promise<Running> {
  // On a server the database is kept by whoever looks after that, and several Zovrins share it.
  const kept = isPostgres(where) || where === inMemory ? undefined : { file: where, folder: config.dataFolder }
  const letGo = kept ? await holdDatabase(kept.file) : () => Promise.resolve()
  // What is heard lies in it whatever the database is, and whether there is room for it is asked of it.
  if (isPostgres(where)) makeFolder(join(config.dataFolder, 'sounds'))
  const database = await openDatabase(where).catch(async (error: unknown) => {
    await letGo()
    throw kept ? await withOffer(error, kept) : error
  })
  const server = createServer()
  const unasked = connectionsUnasked(server)
  const port = await listen(server, config).catch(async (error: unknown) => {
    await database.close()
    await letGo()
    throw error
  })
  const hosts = [config.host, 'localhost'].flatMap((name) => hostsOf(name, port))
  const logger = pino({ level: config.logLevel ?? 'error' }, pino.destination(2))
  const daily = dailyBackups({ config, kept, clock, logger })
  // Whoever reaches a server by the network is asked who they are.
  const teachers = isPostgres(where) ? 'accounts' : 'machine'
  const parts = { config, kept, teachers, clock, logger, pages, hosts, port } as const
  const house = housed(database, { ...parts, isLate: daily.isLate })
  // It listens by now: what nobody takes is never answered.
  server.on('request', house.answer)
  const firstCode =
    teachers === 'accounts' ? await teacherStore(database, clock, teachers, config.guessWork).beginning() : undefined
  return {
    address: addressOf(config, port),
    ...(firstCode === undefined ? {} : { firstCode }),
    async stop() {
      house.hush()
      await new Promise((done) => {
        server.close(done)
        // What is being answered is answered; a connection that only waits is let go.
        server.closeIdleConnections()
        for (const socket of unasked) socket.destroy()
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

/** Connections by which nothing was asked yet, as browsers open some beforehand: Node does not count them as idle. */
function connectionsUnasked(server: Server): ReadonlySet<Socket> {
  const unasked = new Set<Socket>()
  server.on('connection', (socket) => {
    unasked.add(socket)
    socket.once('close', () => unasked.delete(socket))
  })
  server.on('request', ({ socket }) => unasked.delete(socket))
  return unasked
}

/** The backup of the day, made where one is due; whether it was not made when it was due last. */
function dailyBackups({ config, kept, clock, logger }: Pick<Parts, 'config' | 'kept' | 'clock' | 'logger'>) {
  let isLate = false
  const stop =
    config.backsUp && kept
      ? keepBackingUp(kept, clock, (failure) => {
          isLate = failure !== undefined
          if (isLate) logger.error({ error: loggable(failure) }, 'the daily backup was not made')
        })
      : () => Promise.resolve()
  return { isLate: () => isLate, stop }
}

interface Parts {
  readonly config: Config
  /** Absent: the database is in no file, and none is made or put back. */
  readonly kept: Kept | undefined
  readonly teachers: TeacherKind
  readonly port: number
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
  const { kept } = parts
  const control =
    kept &&
    backupControl({
      ...parts,
      kept,
      isClassRunning: async () => {
        const led = await ledClassStore(now.database, parts.clock).running()
        // One that nobody leads any more was only never ended.
        return led !== null && (led.leadsUntil?.getTime() ?? 0) > parts.clock.now().getTime()
      },
      peopleHere: async () => (await now.database.models.people.findAll({ attributes: ['id'] })).map(({ id }) => id),
      restoreClosed: async (path, without) => {
        const before = now
        now = { ...before, door: closedMeanwhile }
        before.house.hub.end()
        await asked.done(patienceMs)
        await close(before)
        // Where it is not put back, whoever is here stays.
        let gone: readonly string[] = []
        try {
          await restoreBackup(path, kept, parts.clock)
          gone = without
        } finally {
          const there = await openDatabase(kept.file)
          await takeAway(there, gone).finally(() => {
            now = opened(there, parts, control)
          })
        }
      },
    })
  const asked = answering()
  let now = opened(database, parts, control)
  return {
    answer: ((request, response) => {
      if (!putsBack.test(request.url ?? '')) asked.take(response)
      now.door(request, response)
    }) satisfies RequestListener,
    /** Nobody is told of anything any more. */
    hush: () => {
      now.house.hub.end()
    },
    close: () => close(now),
  }
}

/** Whoever was deleted since a backup, and is not to be there again. */
async function takeAway(database: Database, ids: readonly string[]): Promise<void> {
  const people = peopleStore(database)
  for (const { person, version } of await people.list())
    if (ids.includes(person.id)) await people.remove(person.id, version)
}

async function close({ house, room, database }: Opened): Promise<void> {
  house.hub.end()
  await room.close()
  await database.close()
}

/** Whoever asks for a backup to be put back waits for that, and is not waited for. */
const putsBack = /^\/api\/backups\/[^/]+\/restored$/

/** While a backup is put back there is nothing to answer with. */
const closedMeanwhile: RequestListener = (_request, response) => {
  response.writeHead(503, { 'Content-Type': 'application/problem+json', 'Retry-After': '1' })
  response.end(JSON.stringify(makeProblem('RESTORING', {})))
}

const nowhere: RoomConfig = { addresses: () => [], port: 0 }

/** The house, and the second listener by which other devices are let into it. */
function opened(
  database: Database,
  { config, kept, teachers, clock, logger, pages, hosts, port }: Parts,
  backups: BackupControl | undefined,
): Opened {
  const built = pages === undefined ? {} : { pages }
  const { origin } = config
  const hub = makeHub(database.notices)
  const devices = deviceStore(database, clock)
  // A studio's server is in nobody's room [settled E6].
  const room: RoomControl =
    teachers === 'accounts'
      ? studioRoom({ database, devices, hub, clock, url: addressOf(config, port) })
      : makeRoom({
          ...{ ...((kept && config.room) ?? nowhere), folder: config.dataFolder, devices, hub, clock },
          answers: (host) => roomDoor(house, room, host, { ...built, logger }),
        })
  const house: House = makeHouse(
    {
      ...{ database, clock, hub, teachers, folder: config.dataFolder, cookie: cookieFor(origin, port) },
      ...(backups ? { backups } : {}),
      ...(config.guessWork ? { guessWork: config.guessWork } : {}),
    },
    room,
  )
  return {
    database,
    house,
    room,
    door: mainDoor(house, { hosts, logger, ...built, ...(origin === undefined ? {} : { origin }) }, room),
  }
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
