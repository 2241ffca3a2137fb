import request from 'supertest'
import type { LedClass } from '#model/led-class'
import { breathDone, visitsOf } from '#core/journal'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { formerDatabase } from '#testing/fresh-database'

/** Two classes with counted breath as the commit before its answers wrote them: one ended, one left open. */
let database: Database
beforeEach(async () => {
  database = await formerDatabase('009-sections.sqlite')
})
afterEach(async () => {
  await database.close()
})

const app = () => request(createApp({ database, hosts: [] }))
const read = async (id: string) => (await app().get(`/api/led-classes/${id}`).expect(200)).body as LedClass
const answer = (id: string, body: object, based: number) =>
  app()
    .put(`/api/led-classes/${id}/breath`)
    .set('If-Match', `"${String(based)}"`)
    .send(body)

test('a class of the commit before has no answer yet, and what was done of its breath is told as far as it is known', async () => {
  const led = await read('ended')
  expect(led).toMatchObject({ breath: null, note: 'Four came', version: 2 })
  if (led.format !== 2) throw new Error('a record of the first edition')
  const log = led.events.map(({ event }) => event)
  expect(breathDone(led.plan, visitsOf(led), log)).toEqual([
    expect.objectContaining({ plannedRounds: 6, freed: { atMs: 40_000, by: 'stopCard' } }),
  ])
  // Of one that is open the log is there: what it is folded to knows its rounds.
  const open = await read('open')
  if (open.format !== 2) throw new Error('a record of the first edition')
  expect(breathDone(open.plan, visitsOf(open), log)).toEqual([expect.objectContaining({ rounds: 5, longestHeldMs: 0 })])
})

test('how the breath was is answered, changed and taken back, by whoever saw the answer before', async () => {
  const { version } = await read('ended')
  await answer('ended', { was: 'easy' }, version).expect(200)
  expect(await read('ended')).toMatchObject({ breath: { was: 'easy' }, note: 'Four came', version: version + 1 })
  const stale = await answer('ended', { was: 'strained' }, version)
  expect([stale.status, stale.body.facts]).toEqual([412, { based: version, current: version + 1 }])
  await answer('ended', { was: 'strained', freedFor: 'comfort' }, version + 1).expect(200)
  expect((await read('ended')).breath).toEqual({ was: 'strained', freedFor: 'comfort' })
  await answer('ended', {}, version + 2).expect(200)
  expect((await read('ended')).breath).toBeNull()
  expect((await answer('ended', { was: 'good' }, version + 3)).body.path).toBe('was')
})

test('an answer stands through the end of a class that nobody had ended, and comes with one that is', async () => {
  const { plan, version } = await read('open')
  const visits = [{ segment: 0, blockId: plan.segments[0]?.blockId ?? '', startMs: 0, endMs: 60_000, again: false }]
  const end = { endedAt: '2026-03-12T18:01:00.000Z', left: true, visits }
  await answer('open', { was: 'notSure' }, version).expect(200)
  await app().put('/api/led-classes/open/end').send(end).expect(204)
  expect(await read('open')).toMatchObject({ breath: { was: 'notSure' }, left: true })
})
