import type { Remark, Remarks } from '#model/remark'
import type { SessionSummary } from '#server/features/sessions/store'
import type { Database } from '#server/db/open'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'
import { aHold, aSession } from '#testing/sessions'
import { joined, studio } from '#testing/teachers'
import type { Agent } from '#testing/teachers'

const clock = { now: () => new Date('2026-03-12T10:00:00Z') }
const slow = aSession([aHold('deer', { id: 'deer' })], { id: 'slow', name: 'Slow hour' })

let database: Database
let [kaia, noor, ole] = [] as unknown as [Agent, Agent, Agent]
let copyId: string
beforeEach(async () => {
  database = await freshDatabase()
  const house = await studio(database, clock)
  kaia = house.keeper
  noor = await joined(house, 'Noor')
  ole = await joined(house, 'Ole')
  await kaia.post('/api/sessions').send(slow).expect(201)
  await kaia.post('/api/remarks/slow/shown').send({ to: 'noor' }).expect(200)
  const [copy] = (await noor.get('/api/sessions').expect(200)).body as readonly SessionSummary[]
  expect(copy?.name).toBe('Slow hour (Kaia’s)')
  copyId = copy?.id ?? ''
})
afterEach(() => database.close())

const remarks = async (agent: Agent, id: string) => (await agent.get(`/api/remarks/${id}`).expect(200)).body as Remarks
const say = (id: string, text: string, by = noor) =>
  by.put(`/api/remarks/${copyId}/${id}`).send({ blockId: 'deer', text })
const code = (reply: { body: unknown }) => (reply.body as { code: string }).code

test('what a colleague says beside a block stands at the original, and can be said otherwise', async () => {
  const said: Remark = {
    id: 'r1',
    blockId: 'deer',
    text: 'Long for a first time?',
    by: 'Noor',
    at: '2026-03-12T10:00:00.000Z',
  }
  expect((await say('r1', 'Long for a first time?').expect(200)).body).toEqual(said)
  expect(await remarks(kaia, 'slow')).toEqual({ on: [said], shownTo: ['Noor'], of: null })
  expect(await remarks(noor, copyId)).toEqual({ on: [], shownTo: [], of: { whose: 'Kaia', said: [said] } })
  await say('r1', 'Three minutes?').expect(200)
  await say('r2', 'And a blanket.').expect(200)
  expect((await remarks(kaia, 'slow')).on.map(({ text }) => text)).toEqual(['Three minutes?', 'And a blanket.'])
})

test('it goes when it is done with, or taken back, and with the session', async () => {
  await say('r1', 'One').expect(200)
  await say('r2', 'Two').expect(200)
  await kaia.delete('/api/remarks/slow/r1').expect(204)
  await noor.delete(`/api/remarks/${copyId}/r2`).expect(204)
  expect(await remarks(kaia, 'slow')).toMatchObject({ on: [] })
  expect(code(await kaia.delete('/api/remarks/slow/r1').expect(404))).toBe('UNKNOWN_REMARK')
  await say('r3', 'Three').expect(200)
  await database.inTransaction((transaction) =>
    database.models.sessions.destroy({ where: { id: 'slow' }, transaction }),
  )
  expect(await database.models.remarks.count()).toBe(0)
  // The colleague’s copy is a session of their own.
  expect(await remarks(noor, copyId)).toEqual({ on: [], shownTo: [], of: null })
})

test('nobody else reads or says anything of it', async () => {
  await say('r1', 'One').expect(200)
  for (const id of ['slow', copyId]) {
    expect(code(await ole.get(`/api/remarks/${id}`).expect(404))).toBe('UNKNOWN_SESSION')
    await ole.put(`/api/remarks/${id}/r9`).send({ blockId: 'deer', text: 'x' }).expect(404)
    await ole.delete(`/api/remarks/${id}/r1`).expect(404)
  }
  // Beside one’s own blocks stand one’s own cues; a remark of somebody else’s is not overwritten.
  expect(code(await kaia.put('/api/remarks/slow/r9').send({ blockId: 'deer', text: 'x' }).expect(404))).toBe(
    'UNKNOWN_SESSION',
  )
  await kaia.post('/api/remarks/slow/shown').send({ to: 'ole' }).expect(200)
  const [his] = (await ole.get('/api/sessions').expect(200)).body as readonly SessionSummary[]
  const over = ole.put(`/api/remarks/${his?.id ?? ''}/r1`).send({ blockId: 'deer', text: 'Over it' })
  expect(code(await over.expect(409))).toBe('ID_TAKEN')
  expect(await remarks(kaia, 'slow')).toMatchObject({ on: [{ text: 'One' }], shownTo: ['Noor', 'Ole'] })
  expect(await remarks(ole, his?.id ?? '')).toMatchObject({ of: { whose: 'Kaia', said: [] } })
  await say('r2', '   ').expect(422)
  await kaia.post('/api/remarks/slow/shown').send({ to: 'owner' }).expect(404)
})

test('in a house of before nothing was said yet', async () => {
  const former = await formerDatabase('027.sqlite')
  expect(await former.models.remarks.count()).toBe(0)
  await former.close()
})
