import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { seedDemo } from '#server/demo/seed'
import { teacherStore } from '#server/features/teachers/store'
import { sessionStore } from '#server/features/sessions/store'
import { freshDatabase } from '#testing/fresh-database'
import { aSession, aTalk } from '#testing/sessions'
import { moveDatabase } from './move.ts'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let folder: string
let from: Database
let to: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-move-'))
  from = await freshDatabase(join(folder, 'zovrin.sqlite'))
  to = await freshDatabase()
})
afterEach(async () => {
  await from.close()
  await to.close()
  rmSync(folder, { recursive: true })
})

/** All that a house tells of what it holds. */
async function told(database: Database): Promise<unknown> {
  const there = request(createApp({ database, hosts: [], clock }))
  const get = async (path: string): Promise<unknown> => (await there.get(`/api/${path}`).expect(200)).body
  const sessions = (await get('sessions')) as { id: string }[]
  const classes = (await get('led-classes')) as { id: string }[]
  return {
    lists: await Promise.all(
      [
        'own',
        'people',
        'places',
        'planned-classes',
        'series',
        'long-days',
        'settings',
        'led-classes/times',
        'led-classes/choices',
      ].map(get),
    ),
    sessions: [sessions, await Promise.all(sessions.map(({ id }) => get(`sessions/${id}`)))],
    history: await Promise.all(sessions.map(({ id }) => get(`sessions/${id}/history`))),
    classes: [classes, await Promise.all(classes.map(({ id }) => get(`led-classes/${encodeURIComponent(id)}`)))],
  }
}

test('a house that moved tells all that it told before, and goes on', async () => {
  expect(to.sequelize.getDialect()).toBe('postgres')
  await seedDemo(from, clock)
  // As a server leaves it that was started there before.
  await teacherStore(to, clock, 'accounts').beginning()
  const session = aSession([aTalk()], { id: 'kept', name: 'Kept' })
  const before = sessionStore(from, clock)
  await before.create(session)
  await before.save({ ...session, name: 'Kept anew' }, 1, 'version')
  const moved = await moveDatabase(from, to)
  const rows = new Map(moved.map(({ table, rows: count }) => [table, count]))
  expect(rows.get('sessions')).toBeGreaterThan(3)
  expect(rows.get('ledEvents')).toBeGreaterThan(3)
  expect(rows.get('sessionHistory')).toBe(1)
  expect(await told(to)).toEqual(await told(from))
  // What is counted by the database goes on after what came over.
  const store = sessionStore(to, clock)
  await store.save({ ...session, name: 'Kept again' }, 2, 'version')
  expect((await store.history('kept')).map(({ version }) => version)).toEqual([2, 1])
})

test('nothing is put among what is there already, and nothing is half moved', async () => {
  await sessionStore(from, clock).create(aSession([aTalk()], { id: 'theirs' }))
  await sessionStore(to, clock).create(aSession([aTalk()], { id: 'mine' }))
  await expect(moveDatabase(from, to)).rejects.toThrow(/^There is something in sessions already/)
  expect((await sessionStore(to, clock).list()).map(({ id }) => id)).toEqual(['mine'])
})

test('where a row does not come over none does', async () => {
  const store = sessionStore(from, clock)
  await store.create(aSession([aTalk()], { id: 'whole' }))
  // Longer than its column is, which SQLite does not look at.
  await from.inTransaction((transaction) =>
    from.models.notes.create({ name: 'long', value: 'a'.repeat(300) }, { transaction }),
  )
  await expect(moveDatabase(from, to)).rejects.toThrow()
  expect(await sessionStore(to, clock).list()).toEqual([])
  expect(await store.list()).toHaveLength(1)
})
