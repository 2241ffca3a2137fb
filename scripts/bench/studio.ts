import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { Sequelize } from 'sequelize'
import type { KeptEvent } from '#model/led-class'
import { ledStart } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { systemClock } from '#server/clock'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { sessionStore } from '#server/features/sessions/store'
import { ownedBy } from '#server/db/owned'
import { signInStore } from '#server/features/teachers/sign-in'
import { benchSession } from '#testing/bench-session'
import { postgresPrograms, startPostgres, withoutPostgres } from '#testing/postgres'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import { kill, startChild } from '../shared/child.ts'
import { ms, quantile, report } from './measure.ts'

const [teachers, classes, seconds] = [30, 10, 60]
/** Autosave waits 800 ms after the last edit; whoever types without a pause saves no oftener than this. */
const saveEveryMs = 1000
const eventEveryMs = 1000

interface Teacher {
  readonly id: string
  readonly cookie: string
}

/** Teachers who are signed in, each with a session of twenty blocks. */
async function furnish(database: Database, port: string): Promise<readonly Teacher[]> {
  const ids = Array.from({ length: teachers }, (_, at) => `teacher-${String(at)}`)
  const row = { version: 1, addedAt: new Date(), secretHash: null, codeHash: null, codeUntil: null, closedAt: null }
  await database.inTransaction((transaction) =>
    database.models.teachers.bulkCreate(
      ids.map((id) => ({ ...row, id, name: id, nameKey: id, role: 'teacher' })),
      { transaction },
    ),
  )
  const signIns = signInStore(database, systemClock, 'accounts')
  const all: Teacher[] = []
  for (const id of ids) {
    await sessionStore(ownedBy(database, id), systemClock).create({ ...benchSession(), id: `of-${id}` })
    all.push({ id, cookie: `zovrin-teacher-${port}=${(await signIns.signInAs(id)).token}` })
  }
  return all
}

interface Told {
  readonly times: number[]
  /** What the server acknowledged last, to be looked for afterwards. */
  acknowledged: number
  refused: number
}
const nothing = (): Told => ({ times: [], acknowledged: 0, refused: 0 })

/** Asks again and again until the time is over, at a steady pace. */
async function keepAsking(untilMs: number, everyMs: number, told: Told, ask: (n: number) => Promise<number>) {
  for (let n = 1; performance.now() < untilMs; n += 1) {
    const begun = performance.now()
    const status = await ask(n)
    told.times.push(performance.now() - begun)
    if (status === 200) told.acknowledged = n
    else told.refused += 1
    await new Promise((done) => setTimeout(done, Math.max(0, everyMs - (performance.now() - begun))))
  }
}

async function ask(address: string, { cookie }: Teacher, path: string, method: string, body: object, based?: number) {
  const reply = await fetch(`${address}api/${path}`, {
    method,
    headers: {
      ...{ Cookie: cookie, 'Content-Type': 'application/json' },
      ...(based === undefined ? {} : { 'If-Match': `"${String(based)}"` }),
    },
    body: JSON.stringify(body),
  })
  await reply.arrayBuffer()
  return reply.status
}

const edit = (address: string, teacher: Teacher, untilMs: number, told: Told) =>
  keepAsking(untilMs, saveEveryMs, told, (n) => {
    const session = { ...benchSession(), id: `of-${teacher.id}`, name: `State ${String(n)}` }
    return ask(address, teacher, `sessions/${session.id}`, 'PUT', session, n)
  })

async function lead(address: string, teacher: Teacher, untilMs: number, told: Told): Promise<void> {
  const session = { ...benchSession(), id: `of-${teacher.id}` }
  const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
    ...{ id: `class-${teacher.id}`, people: 8, startedAtMs: Date.now(), promisedEndMs: Date.now() + 3_600_000 },
    ...{ nameOf: blockName, sectionNameOf: sectionName },
  })
  await ask(address, teacher, `led-classes/${start.id}?by=${teacher.id}`, 'PUT', start)
  await keepAsking(untilMs, eventEveryMs, told, (n) => {
    const event: KeptEvent = { n, by: teacher.id, event: { type: 'mark', atMs: n * 1000 } }
    const sent = { by: teacher.id, conductedMs: n * 1000, events: [event] }
    return ask(address, teacher, `led-classes/${start.id}/events?after=${String(n - 1)}`, 'POST', sent)
  })
}

/** What was acknowledged and is not there: versions of sessions, events of classes. */
async function lost(database: Database, all: readonly Teacher[], saves: readonly Told[], events: readonly Told[]) {
  let count = 0
  for (const [at, { id }] of all.entries()) {
    const row = await database.models.sessions.findByPk(`of-${id}`)
    count += Math.max(0, (saves[at]?.acknowledged ?? 0) + 1 - (row?.version ?? 0))
  }
  for (const [at, told] of events.entries()) {
    const there = await database.models.ledEvents.count({ where: { classId: `class-${all[at]?.id ?? ''}` } })
    count += Math.max(0, told.acknowledged - there)
  }
  return count
}

/** Thirty teachers who edit and ten classes that are led at once, for a minute, through two servers on one PostgreSQL. */
export async function benchStudio(): Promise<void> {
  const programs = postgresPrograms()
  if (programs === undefined) {
    console.log(withoutPostgres)
    return
  }
  const postgres = await startPostgres(programs, { isSure: true })
  const address = postgres.addressOf('zovrin')
  const admin = new Sequelize(postgres.addressOf('postgres'), { logging: false })
  await admin.query('CREATE DATABASE zovrin')
  await admin.close()
  const database = await openDatabase(address)
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-studio-'))
  const children = await Promise.all([1, 2].map(() => startChild('bench/studio-server.ts', address, folder)))
  try {
    const addresses = children.map(({ said }) => said)
    // What a browser is known by is named by the port: one cookie for each server.
    const ports = addresses.map((one) => new URL(one).port)
    const all = await furnish(database, ports[0] ?? '')
    const known = all.map(({ id, cookie }) => ({
      id,
      cookie: ports.map((port) => cookie.replace(/-\d+=/, `-${port}=`)).join('; '),
    }))
    const [saves, events] = [known.map(nothing), known.slice(0, classes).map(nothing)]
    const untilMs = performance.now() + seconds * 1000
    const at = (n: number): string => addresses[n % addresses.length] ?? ''
    await Promise.all([
      ...known.map((teacher, n) => edit(at(n), teacher, untilMs, saves[n] ?? nothing())),
      ...known.slice(0, classes).map((teacher, n) => lead(at(n + 1), teacher, untilMs, events[n] ?? nothing())),
    ])
    const figures = (told: readonly Told[]): string => {
      const times = told.flatMap((one) => one.times)
      return `${ms(quantile(times, 0.5))}, p95 ${ms(quantile(times, 0.95))} of ${String(times.length)}`
    }
    const refused = [...saves, ...events].reduce((sum, one) => sum + one.refused, 0)
    report('a studio, 30 edit and 10 are led for a minute: a save', figures(saves), 'none set')
    report('… an event of a class', figures(events), 'none set')
    report(
      '… refused, and acknowledged but lost',
      `${String(refused)}, ${String(await lost(database, all, saves, events))}`,
      '0, 0',
    )
  } finally {
    await Promise.all(children.map(kill))
    await database.close()
    postgres.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
