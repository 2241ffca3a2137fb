import fc from 'fast-check'
import type { Block } from '#model/block'
import { envelopeSchema } from '#model/envelope'
import type { OwnDocuments, OwnThing } from '#model/own'
import { listedSetUp } from '#core/session'
import { schools } from '#library/schools'
import { sessions } from '#testing/arbitraries'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { makeEnvelope, planImport } from './session-envelope.ts'
import type { Existing } from './session-envelope.ts'
import { ownPoseFrom } from '#testing/own-poses'

const nothing: Existing = { own: [], sessions: new Map(), takenIds: new Set(['deer', 'mixed']), isShipped: () => false }
const ids = () => {
  let next = 0
  return () => `new-${String((next += 1))}`
}
const ownPose = (id: string, change: Partial<OwnDocuments['pose']> = {}): OwnThing => ({
  kind: 'pose',
  version: 1,
  document: ownPoseFrom('deer', { id, ...change }),
})
const ownVariant: OwnThing = {
  kind: 'variant',
  version: 1,
  document: { id: 'my-variant', poseId: 'mine', name: 'High', grade: 'easier', change: 'A block more.' },
}
const ownSchool: OwnThing = {
  kind: 'school',
  version: 1,
  document: { ...(schools[0] as OwnDocuments['school']), id: 'house' },
}
const own = [
  ownPose('mine', { counterposes: ['other', 'sphinx'] }),
  ownPose('other', { counterposes: ['mine'] }),
  ownPose('unused'),
  ownVariant,
  ownSchool,
]
const session = aSession([aTalk(), aHold('mine', { variantId: 'my-variant' }), aHold('deer')], { schoolId: 'house' })

test('an envelope carries every own thing that is used, what those use, and nothing else', () => {
  const envelope = makeEnvelope({ sessions: [session] }, own)
  expect(envelope.own.poses.map(({ id }) => id)).toEqual(['mine', 'other'])
  expect(envelope.own.variants.map(({ id }) => id)).toEqual(['my-variant'])
  expect(envelope.own.schools.map(({ id }) => id)).toEqual(['house'])
  expect(envelopeSchema.parse(JSON.parse(JSON.stringify(envelope)))).toEqual(envelope)
  expect(JSON.stringify(envelope)).not.toMatch(/conditions|peopleIds|conducted/)
})

test('a set-up of the teacher’s that a block names goes along, that of a shipped pose too', () => {
  const kept = (id: string): OwnThing => ({
    kind: 'setUp',
    version: 1,
    document: { id, poseId: 'deer', name: id, extent: 'full', items: [] },
  })
  const blocks: Block[] = [{ kind: 'rest', id: 'rest', s: 60, setUpId: 'kept' }]
  const envelope = makeEnvelope({ blocks }, [kept('kept'), kept('another')])
  expect(envelope.own.setUps.map(({ id }) => id)).toEqual(['kept'])
  const plan = planImport(envelope, { ...nothing, takenIds: new Set(['deer', 'kept']) }, ids())
  expect(plan.own).toMatchObject([{ kind: 'setUp', document: { id: 'new-1', poseId: 'deer' } }])
  expect(plan.blocks).toMatchObject([{ setUpId: 'new-1' }])
})

test('a round trip into an empty place loses nothing', () => {
  fc.assert(
    fc.property(sessions(), (any) => {
      const envelope = makeEnvelope({ sessions: [any] }, own)
      const read = envelopeSchema.parse(JSON.parse(JSON.stringify(envelope)))
      expect(planImport(read, nothing, ids()).sessions).toEqual([any])
    }),
    { numRuns: 50 },
  )
  const plan = planImport(makeEnvelope({ sessions: [session] }, own), nothing, ids())
  expect(plan.own.map(({ document }) => document)).toEqual(
    [own[4], own[0], own[1], own[3]].map((thing) => thing?.document),
  )
})

test('what is here word for word is used as it is, whatever the order of its fields', () => {
  const turned = Object.fromEntries(Object.entries(session).reverse()) as typeof session
  const plan = planImport(
    makeEnvelope({ sessions: [session] }, own),
    { ...nothing, own, sessions: new Map([[session.id, turned]]) },
    ids(),
  )
  expect(plan).toMatchObject({ own: [], sessions: [], alreadyHere: ['session-1'], blocks: [] })
  expect([...plan.ids.session]).toEqual([])
})

test('where an id has other content a copy is added and pointed to, and nothing is overwritten', () => {
  const here = [ownPose('mine', { energyLines: ['lung'] }), ownSchool]
  const plan = planImport(
    makeEnvelope({ sessions: [session] }, own),
    { ...nothing, own: here, sessions: new Map([[session.id, aSession([])]]) },
    ids(),
  )
  const [pose, other, variant] = plan.own.map(({ document }) => document) as [
    OwnDocuments['pose'],
    OwnDocuments['pose'],
    OwnDocuments['variant'],
  ]
  expect([pose.id, other.id, variant.id]).toEqual(['new-1', 'other', 'my-variant'])
  expect(variant.poseId).toBe('new-1')
  expect(other.counterposes).toEqual(['new-1'])
  const [added] = plan.sessions
  expect(added).toMatchObject({ id: 'new-2', name: 'A session (imported)', schoolId: 'house' })
  expect([...plan.ids.session]).toEqual([['session-1', 'new-2']])
  expect(added?.blocks[1]).toMatchObject({ poseId: 'new-1', variantId: 'my-variant' })
})

test('the same file taken twice adds its copies once', () => {
  const envelope = makeEnvelope({ blocks: session.blocks }, own)
  const here = [ownPose('mine', { energyLines: ['lung'] })]
  const first = planImport(envelope, { ...nothing, own: here }, ids())
  const after = [...here, ...first.own.map((thing) => ({ ...thing, version: 1 }) as OwnThing)]
  const second = planImport(envelope, { ...nothing, own: after }, ids())
  expect(second.own.filter(({ kind }) => kind !== 'pose')).toEqual([])
  expect(second.blocks).toEqual(first.blocks)
})

test('an own thing never takes a shipped id', () => {
  const plan = planImport(
    makeEnvelope({ blocks: [aHold('deer')] }, [ownPose('deer', { energyLines: [] })]),
    nothing,
    ids(),
  )
  expect(plan.own.map(({ document }) => document.id)).toEqual(['new-1'])
  expect(plan.blocks[0]).toMatchObject({ poseId: 'new-1' })
})

test('a session that is a version of another in the file points to where that one went', () => {
  const version = aSession([], { id: 'short', versionOf: { sessionId: 'session-1' } })
  const plan = planImport(
    makeEnvelope({ sessions: [session, version] }, own),
    { ...nothing, sessions: new Map([['session-1', aSession([])]]) },
    ids(),
  )
  expect(plan.sessions.map(({ id, versionOf }) => [id, versionOf?.sessionId])).toEqual([
    ['new-1', undefined],
    ['short', 'new-1'],
  ])
})

describe('a file of schema 2, whose own poses hold what they take', () => {
  const counts = [{ kind: 'seatCushion' as const, count: 2 }]
  const written = () => {
    const envelope = makeEnvelope({ sessions: [session] }, own)
    const poses = envelope.own.poses.map((pose) => ({ ...pose, props: counts }))
    const variants = envelope.own.variants.map((variant) => ({ ...variant, props: counts }))
    const { setUps: _, ...former } = envelope.own
    return envelopeSchema.parse({ ...envelope, own: { ...former, schema: 2, poses, variants } })
  }
  const setUpsIn = (added: readonly { kind: string; document: object }[]) =>
    added.flatMap(({ kind, document }) => (kind === 'setUp' ? [document] : []))

  test('is read with a set-up for each, and nothing typed is lost', () => {
    const plan = planImport(written(), nothing, ids())
    expect(plan.own.filter(({ document }) => 'props' in document)).toEqual([])
    expect(setUpsIn(plan.own)).toMatchObject([
      { poseId: 'mine', items: [{ kind: 'seatCushion', count: 2 }] },
      { poseId: 'other' },
      { poseId: 'mine', variantId: 'my-variant' },
    ])
  })

  test('taken where those ids are other poses, its set-ups go with the copies; taken twice it adds them once', () => {
    const here = [ownPose('mine', { energyLines: ['lung'] })]
    const first = planImport(written(), { ...nothing, own: here }, ids())
    expect(setUpsIn(first.own)[0]).toMatchObject({ poseId: 'new-1' })
    const after = [...here, ...first.own.map((thing) => ({ ...thing, version: 1 }) as OwnThing)]
    expect(setUpsIn(planImport(written(), { ...nothing, own: after }, ids()).own).filter(isOf('other'))).toEqual([])
  })
  const isOf = (poseId: string) => (document: object) => 'poseId' in document && document.poseId === poseId
})

test('an own set-up goes out with its pose, and a block that names it is pointed to where it went', () => {
  const setUp: OwnThing = { kind: 'setUp', version: 1, document: listedSetUp([{ kind: 'strap', count: 1 }], 'mine') }
  const blocks = [aHold('mine', { setUpId: 'mine-listed' })]
  const envelope = makeEnvelope({ blocks }, [...own, setUp])
  expect(envelope.own.setUps).toEqual([setUp.document])
  const taken = { ...nothing, takenIds: new Set(['mine-listed']) }
  expect(planImport(envelope, taken, ids()).blocks).toEqual([{ ...blocks[0], setUpId: 'new-1' }])
})
