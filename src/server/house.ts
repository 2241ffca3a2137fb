import { join } from 'node:path'
import express, { Router } from 'express'
import type { RequestHandler } from 'express'
import { longDaySchema } from '#model/long-day'
import { personSchema } from '#model/person'
import { placeSchema } from '#model/place'
import { plannedClassSchema } from '#model/planned-class'
import { seriesSchema } from '#model/series'
import { systemClock } from './clock.ts'
import type { Clock } from './clock.ts'
import type { Database } from './db/open.ts'
import { ownedBy } from './db/owned.ts'
import { archiveControl } from './features/archive/control.ts'
import { archiveRoutes } from './features/archive/routes.ts'
import type { BackupControl } from './features/backups/control.ts'
import { backupRoutes } from './features/backups/routes.ts'
import { exchangeBody, exchangeRoutes } from './features/exchange/routes.ts'
import { exchange } from './features/exchange/store.ts'
import { makeHub } from './features/following/hub.ts'
import type { Hub } from './features/following/hub.ts'
import { nowRoutes, screenRoutes } from './features/following/routes.ts'
import { handedFiles } from './features/handing/by-file.ts'
import { handedRoutes, handingRoutes } from './features/handing/routes.ts'
import { handingStore } from './features/handing/store.ts'
import { keptRoutes } from './features/kept-routes.ts'
import { ledClassBody, ledClassRoutes } from './features/led-classes/routes.ts'
import { ledClassStore } from './features/led-classes/store.ts'
import { longDayStore } from './features/long-days/store.ts'
import { ownRoutes } from './features/own/routes.ts'
import { ownStore } from './features/own/store.ts'
import { mentionRoutes } from './features/people/mentions.ts'
import { peopleStore } from './features/people/store.ts'
import { placeStore } from './features/places/store.ts'
import { plannedClassStore } from './features/planned-classes/store.ts'
import { remarkRoutes } from './features/remarks/routes.ts'
import { remarkStore } from './features/remarks/store.ts'
import type { RoomControl } from './features/room/control.ts'
import { deviceStore } from './features/room/devices.ts'
import type { DeviceStore } from './features/room/devices.ts'
import { roomRoutes } from './features/room/routes.ts'
import { seriesStore } from './features/series/store.ts'
import { refuseUnplannable } from './features/sessions/read-document.ts'
import { sessionRoutes } from './features/sessions/routes.ts'
import { sessionStore } from './features/sessions/store.ts'
import { settingsRoutes } from './features/settings/routes.ts'
import { settingsStore } from './features/settings/store.ts'
import { soundRoutes } from './features/sounds/routes.ts'
import { soundStore } from './features/sounds/store.ts'
import { cookieFor, knowTeacher } from './features/teachers/door.ts'
import type { SignInCookie, TeacherDoor } from './features/teachers/door.ts'
import type { GuessWork } from './features/teachers/secrets.ts'
import { signInRoutes, teacherRoutes } from './features/teachers/routes.ts'
import { signInStore } from './features/teachers/sign-in.ts'
import { teacherStore } from './features/teachers/store.ts'
import type { TeacherKind } from './features/teachers/store.ts'
import { whoAsks } from './features/teachers/who.ts'
import type { Who } from './features/teachers/who.ts'
import { voiceRoutes } from './features/voices/routes.ts'
import { voiceStore } from './features/voices/store.ts'
import { healthOf } from './health.ts'
import { mostBodyKb, refuseUnreadable } from './http/body.ts'
import { ProblemError } from './problems.ts'

export interface HouseDeps {
  readonly database: Database
  readonly clock?: Clock
  readonly hub?: Hub
  /** The folder for what is kept beside the database; absent: no own sounds. */
  readonly folder?: string
  /** Absent: none are made. */
  readonly backups?: BackupControl
  /** How teachers are known, where there is more than one; absent: as those of one machine. */
  readonly teachers?: TeacherKind
  readonly cookie?: SignInCookie
  /** How much work a guess at a password is; absent: as is usual. */
  readonly guessWork?: GuessWork
}

/** All that answers behind a door, and what runs beside it. */
export interface House {
  readonly answers: Router
  readonly hub: Hub
  readonly devices: DeviceStore
  readonly door: TeacherDoor
}

/** What Zovrin answers, whichever listener is asked. `room` says who else is let in. */
export function makeHouse(deps: HouseDeps, room?: RoomControl): House {
  const { database, backups, clock = systemClock, hub = makeHub(), teachers: kind = 'machine' } = deps
  const devices = deviceStore(database, clock)
  const door: TeacherDoor = {
    teachers: teacherStore(database, clock, kind, deps.guessWork),
    signIns: signInStore(database, clock, kind, deps.guessWork),
    cookie: deps.cookie ?? cookieFor(undefined, 0),
    async putDevicesOut(teacherId) {
      const its = (await devices.list(teacherId)).filter((device) => device.kind === 'teacher')
      for (const { id } of its) {
        await devices.remove(id, teacherId)
        hub.end(id)
      }
    },
  }
  const house = Router()
  house.use('/api', knowTeacher(door))
  house.use(['/api/exchange', '/api/handed'], exchangeBody)
  house.use('/api/led-classes', ledClassBody)
  house.use('/api', express.json({ limit: `${String(mostBodyKb)}kb`, strict: true }), refuseUnreadable, keepNothing)
  house.get('/api/health', async (_request, response) => {
    const health = await healthOf(database, deps.folder, backups?.isLate() ?? false)
    response.status(health.ok ? 200 : 503).json(health)
  })
  house.use('/api/sign-in', signInRoutes(door))
  house.use('/api/teachers', teacherRoutes(door))
  if (backups) house.use('/api/backups', backupRoutes(backups))
  house.use(answersToEach({ ...deps, clock, hub }, room))
  house.use('/api', (request) => {
    throw new ProblemError('UNKNOWN_ADDRESS', { path: request.originalUrl })
  })
  return { answers: house, hub, devices, door }
}

type Deps = HouseDeps & { readonly clock: Clock; readonly hub: Hub }

/** Each teacher is answered from what is theirs; made when they first ask. */
function answersToEach(deps: Deps, room: RoomControl | undefined): RequestHandler {
  const made = new Map<string, Router>()
  return (request, response, next) => {
    const who = whoAsks(response)
    if (!who) {
      next()
      return
    }
    const key = `${who.id} ${String(who.isKeeper)}`
    const answers = made.get(key) ?? answersTo(who, deps, room)
    made.set(key, answers)
    answers(request, response, next)
  }
}

/** All that one teacher has. */
function answersTo(who: Who, { database: all, clock, hub, folder }: Deps, room: RoomControl | undefined): Router {
  const house = Router()
  const database = ownedBy(all, who.id)
  const own = ownStore(database, clock, who)
  const sessions = sessionStore(database, clock, async (document, transaction) => {
    refuseUnplannable(document, await own.catalog(transaction))
  })
  const voices = voiceStore(database, clock)
  const ledClasses = ledClassStore(database, clock, hub)
  const settings = settingsStore(database, hub.changed)
  const following = { hub, clock, ledClasses, settings, own }
  house.use('/api/sessions', sessionRoutes(sessions))
  const files = exchange(database, { own, sessions, voices }, clock)
  const handed = handedFiles(database, { own, exchange: files }, clock)
  house.use('/api/exchange', exchangeRoutes(files))
  house.use('/api/handed', handedRoutes(handed))
  const archive = archiveControl({ database, clock, ...(folder === undefined ? {} : { folder }) })
  house.use('/api/archive', archiveRoutes(archive))
  house.use('/api/own', ownRoutes(own))
  house.use('/api/led-classes', ledClassRoutes(ledClasses))
  house.use('/api/settings', settingsRoutes(settings))
  house.use('/api/places', keptRoutes('place', placeSchema, placeStore(database, clock)))
  house.use('/api/people', mentionRoutes(database))
  house.use('/api/people', keptRoutes('person', personSchema, peopleStore(database)))
  house.use('/api/planned-classes', handingRoutes(handingStore(database, clock), handed))
  house.use('/api/planned-classes', keptRoutes('planned', plannedClassSchema, plannedClassStore(database, clock)))
  house.use('/api/series', keptRoutes('series', seriesSchema, seriesStore(database)))
  house.use('/api/long-days', keptRoutes('longDay', longDaySchema, longDayStore(database)))
  house.use('/api/remarks', remarkRoutes(remarkStore(database, clock)))
  house.use('/api/voices', voiceRoutes(voices))
  house.use('/api/now', nowRoutes(following))
  house.use('/api/screen', screenRoutes(following))
  if (room) house.use('/api/room', roomRoutes(room, who))
  if (folder !== undefined) house.use('/api/sounds', soundRoutes(soundStore(database, join(folder, 'sounds'), who)))
  return house
}

/** What the API says is of this moment: nobody between here and the window may keep it. */
const keepNothing: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store')
  next()
}
