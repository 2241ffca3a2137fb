import request from 'supertest'
import type { OwnDocuments } from '#model/own'
import { orThrow } from '#core/result'
import { poseIn, resolveSession, withOwn } from '#core/session'
import { schools } from '#library/schools'
import { shippedCatalog } from '#library/shipped'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { ownPoseFrom } from '#testing/own-poses'
import { freshDatabase } from '#testing/fresh-database'

let database: Database
let nowMs: number
beforeEach(async () => {
  database = await freshDatabase()
  nowMs = Date.UTC(2026, 2, 12)
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock: { now: () => new Date(nowMs) } }))
const put = <D extends { id: string }>(kind: string, document: D, based: number) =>
  app()
    .put(`/api/own/${kind}/${document.id}`)
    .set('If-Match', `"${String(based)}"`)
    .send(document)
const remove = (kind: string, id: string, based: number) =>
  app()
    .delete(`/api/own/${kind}/${id}`)
    .set('If-Match', `"${String(based)}"`)
const everything = async () =>
  (await app().get('/api/own')).body as {
    kind: string
    version: number
    document: { id: string }
    hidden?: boolean
  }[]
const listed = async () => (await everything()).filter(({ hidden }) => !hidden)
const create = (document: object) => app().post('/api/sessions').send(document)

const ownDeer = ownPoseFrom('deer', {
  id: 'my-deer',
  names: { english: 'Bellows deer', others: [] },
  copiedFrom: 'deer',
})
const myVariant: OwnDocuments['variant'] = {
  id: 'my-variant',
  poseId: 'deer',
  name: 'On two cushions',
  grade: 'easier',
  change: 'Two cushions under the seat.',
}
const mySchool: OwnDocuments['school'] = {
  ...(schools[0] as OwnDocuments['school']),
  id: 'my-school',
  name: 'Bellows House',
}

test('own poses, variants and schools are made, listed, changed under their version, and removed', async () => {
  expect((await put('pose', ownDeer, 0)).status).toBe(200)
  expect((await put('variant', myVariant, 0)).headers['etag']).toBe('"1"')
  expect((await put('school', mySchool, 0)).status).toBe(200)
  expect((await put('pose', { ...ownDeer, energyLines: [] }, 1)).headers['etag']).toBe('"2"')
  expect((await listed()).map(({ kind, version, document }) => [kind, version, document.id])).toEqual([
    ['pose', 2, 'my-deer'],
    ['school', 1, 'my-school'],
    ['variant', 1, 'my-variant'],
  ])
  expect((await put('pose', ownDeer, 1)).body).toMatchObject({ code: 'VERSION_STALE', facts: { based: 1, current: 2 } })
  expect((await remove('pose', 'my-deer', 2)).status).toBe(204)
  expect((await remove('pose', 'my-deer', 2)).body).toMatchObject({ code: 'UNKNOWN_OWN' })
  expect(await listed()).toHaveLength(2)
})

test('a session may name what is own, and what it names cannot be removed: it is said where', async () => {
  const document = aSession(
    [aHold('my-deer', { variantId: 'front-leg-long' }), aHold('deer', { variantId: 'my-variant' })],
    { schoolId: 'my-school', name: 'Thursday' },
  )
  expect((await create(document)).body).toMatchObject({ code: 'UNKNOWN_REFERENCE', path: 'schoolId' })
  await put('pose', ownDeer, 0)
  await put('variant', myVariant, 0)
  await put('school', mySchool, 0)
  expect((await create(document)).status).toBe(201)
  for (const [kind, id, name] of [
    ['pose', 'my-deer', 'Bellows deer'],
    ['variant', 'my-variant', 'On two cushions'],
    ['school', 'my-school', 'Bellows House'],
  ] as const) {
    const refused = await remove(kind, id, 1)
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      `“${name}” is used in Thursday: change it there first.`,
    ])
    expect(refused.body.facts.sessions).toEqual([{ id: 'session-1', name: 'Thursday' }])
  }
  const without = { ...ownDeer, variants: ownDeer.variants.filter(({ id }) => id !== 'front-leg-long') }
  expect((await put('pose', without, 1)).body).toMatchObject({ code: 'IN_USE' })
})

test('a pose that another own pose counters with stays; a pose that goes takes its own variants along', async () => {
  await put('pose', ownDeer, 0)
  await put(
    'pose',
    { ...ownDeer, id: 'other', names: { english: 'Other deer', others: [] }, counterposes: ['my-deer'] },
    0,
  )
  await put('variant', { ...myVariant, poseId: 'other' }, 0)
  expect((await remove('pose', 'my-deer', 1)).body.detail).toBe(
    '“Bellows deer” is used in the pose Other deer: change it there first.',
  )
  expect((await remove('pose', 'other', 1)).status).toBe(204)
  expect((await listed()).map(({ document }) => document.id)).toEqual(['my-deer'])
})

test.each<[string, string, object, string]>([
  [
    'a hold range the wrong way round',
    'pose',
    {
      ...ownDeer,
      holds: { ...ownDeer.holds, yin: { ...ownDeer.holds.yin, new: { fromS: 300, usualS: 120, toS: 60 } } },
    },
    'holds.yin.new',
  ],
  ['no family', 'pose', { ...ownDeer, families: [] }, 'families'],
  ['two sides that say the same', 'pose', { ...ownDeer, sides: { left: 'a knee', right: 'a knee' } }, 'sides.right'],
  ['a side named in a symmetric pose', 'pose', { ...ownDeer, sides: undefined }, 'setUpWords[1]'],
  ['a counterpose that is nowhere', 'pose', { ...ownDeer, counterposes: ['nowhere'] }, 'counterposes[0]'],
  ['a variant of nothing', 'variant', { ...myVariant, poseId: 'nowhere' }, 'poseId'],
  [
    'a school that leaves a question open',
    'school',
    { id: 's', name: 'Half', answers: { roll: 'left' } },
    'answers.movementInHold',
  ],
])('%s is refused by name, and nothing is kept', async (_, kind, document, path) => {
  const refused = await put(kind, document as { id: string }, 0)
  expect([refused.status, refused.body.path]).toEqual([422, path])
  expect(await listed()).toEqual([])
})

test('an unknown kind, a missing version and two ids are refused', async () => {
  expect((await put('prop', { id: 'a' }, 0)).status).toBe(404)
  expect((await app().put('/api/own/pose/my-deer').send(ownDeer)).status).toBe(428)
  expect((await app().put('/api/own/pose/another').set('If-Match', '"0"').send(ownDeer)).status).toBe(422)
})

test('own things join the catalog: own poses by themselves, own variants with their pose, the shipped untouched', () => {
  const catalog = withOwn(shippedCatalog, [
    { kind: 'pose', version: 1, document: ownDeer },
    { kind: 'variant', version: 1, document: myVariant },
    { kind: 'variant', version: 1, document: { ...myVariant, id: 'other', poseId: 'my-deer' } },
    { kind: 'school', version: 1, document: mySchool },
  ])
  expect(poseIn(catalog, 'deer')?.variants.map(({ id }) => id)).toEqual(['front-leg-long', 'folding', 'my-variant'])
  expect(poseIn(catalog, 'my-deer')?.variants.at(-1)?.id).toBe('other')
  expect(shippedCatalog.poses.get('deer')?.variants).toHaveLength(2)
  expect(withOwn(shippedCatalog, [])).toBe(shippedCatalog)
  const [hold] = orThrow(resolveSession(aSession([aHold('my-deer')], { schoolId: 'my-school' }), catalog))
  expect(hold).toMatchObject({ holdFrom: 'own pose', times: { setUpS: { from: 'own pose' } } })
})

describe('what is deleted and still named', () => {
  const session = aSession([aHold('my-deer')], { id: 'thursday', schoolId: 'my-school', name: 'Thursday' })
  const state = (deleted: boolean) => app().post('/api/sessions/thursday/state').send({ deleted })

  test('stays readable for a deleted session, which can be brought back and saved', async () => {
    await put('pose', ownDeer, 0)
    await put('school', mySchool, 0)
    await create(session)
    await state(true)
    expect((await remove('pose', 'my-deer', 1)).status).toBe(204)
    expect((await everything()).find(({ document }) => document.id === 'my-deer')).toMatchObject({ hidden: true })
    await state(false)
    const saved = await app()
      .put('/api/sessions/thursday')
      .set('If-Match', '"1"')
      .send({ ...session, name: 'Back' })
    expect(saved.status).toBe(200)
  })

  test('stays readable for a kept version, and a form that one asks for is not taken from its pose', async () => {
    await put('pose', ownDeer, 0)
    await put('school', mySchool, 0)
    const formed = { ...session, blocks: [aHold('my-deer', { variantId: 'front-leg-long' })] }
    await create(formed)
    await app()
      .put('/api/sessions/thursday')
      .set('If-Match', '"1"')
      .set('X-Keep-Former', 'fit')
      .send({ ...session, blocks: [] })
    const without = { ...ownDeer, variants: ownDeer.variants.filter(({ id }) => id !== 'front-leg-long') }
    expect((await put('pose', without, 1)).body).toMatchObject({ code: 'IN_USE' })
    expect((await remove('pose', 'my-deer', 1)).status).toBe(204)
    expect((await app().get('/api/sessions/thursday/history')).body).toHaveLength(1)
  })

  test('comes back with its own forms', async () => {
    await put('pose', ownDeer, 0)
    await put('variant', { ...myVariant, poseId: 'my-deer' }, 0)
    await remove('pose', 'my-deer', 1)
    expect((await everything()).map(({ hidden }) => hidden)).toEqual([true, true])
    expect((await app().post('/api/own/pose/my-deer/back').send({})).status).toBe(204)
    expect((await everything()).map(({ hidden }) => hidden ?? false)).toEqual([false, false])
    expect((await app().post('/api/own/pose/nowhere/back').send({})).body).toMatchObject({ code: 'UNKNOWN_OWN' })
  })

  test('goes for good when it has long been out of sight and nothing names it', async () => {
    await put('pose', ownDeer, 0)
    await put('school', mySchool, 0)
    await remove('pose', 'my-deer', 1)
    // Ninety-nine that went after it, and one more: only then does its age count.
    const rows = Array.from({ length: 99 }, (_, at) => ({
      ...{ kind: 'pose', id: `later-${String(at)}`, name: 'Later', version: 1, schema: 3 },
      ...{ document: JSON.stringify({ ...ownDeer, id: `later-${String(at)}` }), savedAt: new Date(nowMs) },
      hiddenAt: new Date(nowMs + 60_000 * (at + 1)),
    }))
    await database.inTransaction((transaction) => database.models.ownThings.bulkCreate(rows, { transaction }))
    nowMs += 91 * 24 * 3_600_000
    expect((await everything()).map(({ document }) => document.id)).toContain('my-deer')
    await remove('school', 'my-school', 1)
    const left = (await everything()).map(({ document }) => document.id)
    expect(left).not.toContain('my-deer')
    expect(left).toHaveLength(100)
  })
})

describe('a piece', () => {
  const piece: OwnDocuments['piece'] = {
    id: 'my-piece',
    name: 'Hips on two cushions',
    blocks: [aTalk('talk'), aHold('my-deer', { id: 'a' }), aHold('deer', { id: 'b', variantId: 'my-variant' })],
  }

  test('is kept with the poses and forms it holds, which then cannot be taken away from it', async () => {
    expect((await put('piece', piece, 0)).body).toMatchObject({ code: 'UNKNOWN_REFERENCE', path: 'blocks[1].poseId' })
    await put('pose', ownDeer, 0)
    await put('variant', myVariant, 0)
    expect((await put('piece', piece, 0)).status).toBe(200)
    expect((await listed()).find(({ kind }) => kind === 'piece')?.document).toEqual(piece)
    for (const [kind, id, name] of [
      ['pose', 'my-deer', 'Bellows deer'],
      ['variant', 'my-variant', 'On two cushions'],
    ] as const)
      expect((await remove(kind, id, 1)).body.detail).toBe(
        `“${name}” is used in the piece Hips on two cushions: change it there first.`,
      )
    expect((await put('variant', { ...myVariant, poseId: 'sphinx' }, 1)).body).toMatchObject({ code: 'IN_USE' })
    expect((await remove('piece', 'my-piece', 1)).status).toBe(204)
    expect((await remove('pose', 'my-deer', 1)).status).toBe(204)
  })

  test('is refused as a session’s blocks are', async () => {
    const cue = { id: 'same', at: { fromStartS: 10 }, text: 'Soft' }
    const slip = { ...piece, blocks: [aHold('deer', { cues: [cue, cue] })] }
    expect((await put('piece', slip, 0)).body).toMatchObject({ code: 'DOCUMENT_REFUSED', path: 'blocks[0].cues[1].id' })
    expect((await put('piece', { ...piece, blocks: [] }, 0)).body).toMatchObject({
      code: 'DOCUMENT_REFUSED',
      path: 'blocks',
    })
  })
})
