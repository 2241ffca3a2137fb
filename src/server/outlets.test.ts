import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import pino from 'pino'
import request from 'supertest'
import type { Person } from '#model/person'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { sessionStore } from '#server/features/sessions/store'
import { answers, pages, views } from '#testing/outlets'
import { aHold, aSession } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 29, 12) }
const source = (path: string): string => readFileSync(join(import.meta.dirname, '..', path), 'utf8')
const planted: Person = {
  ...{ id: 'k3Qw81', name: 'Quirinia Zwackelmann', consents: [], note: 'Vesterbyknie', inCase: 'Onkel Zwackelmann' },
  conditions: [{ id: 'si_pain', severe: 'yes', askedOn: '2026-11-01' }],
}
const tells = /Zwackelmann|Quirinia|Vesterby|si_pain/

test('every view and every answer of the server is listed with what of people it may show', () => {
  const named = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([, name]) => name).sort()
  expect([...new Set(named(source('web/app/router.ts'), /name: '([a-z-]+)',/g))]).toEqual(Object.keys(views).sort())
  const [, apart = ''] = /screenPages = \[(.*)\]/.exec(source('server/app.ts')) ?? []
  expect([...apart.matchAll(/'\/([a-z]+)'/g)].map(([, name]) => name)).toEqual(Object.keys(pages))
  const mounted = named(
    source('server/app.ts') + source('server/house.ts'),
    /(?:app|house)\.(?:use|get|post)\('\/api\/([a-z-]+)'/g,
  )
  expect([...new Set(mounted)]).toEqual(Object.keys(answers).sort())
})

test('no answer that may not tell of people does, no refusal, and no log', async () => {
  const lines: string[] = []
  const logger = pino({ level: 'trace' }, { write: (line: string) => lines.push(line) })
  const database = await freshDatabase()
  await sessionStore(database, clock).create(aSession([aHold('deer')]))
  await placeStore(database, clock).put(bellowsHouse, 0)
  await peopleStore(database).put(planted, 0)
  const app = request(createApp({ database, hosts: [], clock, logger }))
  const put = (path: string, document: object, based: number) =>
    app
      .put(`/api/${path}`)
      .set('If-Match', `"${String(based)}"`)
      .send(document)
  const planned = {
    ...{ id: 'now', sessionId: 'session-1', placeId: bellowsHouse.id, day: '2026-11-29', guests: 0 },
    ...{ people: [{ personId: planted.id }], forms: [], substitutes: [], setAside: [] },
  }
  await put('planned-classes/now', planned, 0).expect(200)
  const told: string[] = []
  for (const [name, may] of Object.entries(answers)) {
    if (may === 'names') continue
    told.push((await app.get(`/api/${name}`)).text)
  }
  told.push((await app.get('/api/exchange/session-1')).text, (await app.get('/api/sessions/session-1')).text)
  // Refused for its field, for its version, for its id, and since the address is not one.
  told.push(
    (await put(`people/${planted.id}`, { ...planted, statureMm: 3 }, 1)).text,
    (await put(`people/${planted.id}`, planted, 7)).text,
    (await put('people/other', planted, 0)).text,
    (await put('people/', planted, 0)).text,
    (await app.delete(`/api/people/${planted.id}`).set('If-Match', '"9"')).text,
  )
  expect(told.filter((text) => tells.test(text))).toEqual([])
  // What breaks in the middle is logged, and tells nothing either.
  await database.sequelize.getQueryInterface().renameTable('people', 'gone')
  expect((await put(`people/${planted.id}`, planted, 1)).status).toBe(500)
  expect(lines.length).toBeGreaterThan(0)
  expect(lines.filter((line) => tells.test(line) || line.includes(planted.id))).toEqual([])
  await database.close()
})
