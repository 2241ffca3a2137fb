import fc from 'fast-check'
import { envelopeSchema } from '#model/envelope'
import type { OwnDocuments, OwnThing } from '#model/own'
import { poses } from '#library/poses'
import { schools } from '#library/schools'
import { sessions } from '#testing/arbitraries'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { makeEnvelope, planImport } from './session-envelope.ts'
import type { Existing } from './session-envelope.ts'

const nothing: Existing = { own: [], sessions: new Map(), takenIds: new Set(['deer', 'mixed']) }
const ids = () => {
  let next = 0
  return () => `new-${String((next += 1))}`
}
const deer = poses.find(({ id }) => id === 'deer') as OwnDocuments['pose']
const ownPose = (id: string, change: Partial<OwnDocuments['pose']> = {}): OwnThing => ({
  kind: 'pose',
  version: 1,
  document: { ...deer, id, ...change },
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
  expect(plan).toEqual({ own: [], sessions: [], alreadyHere: ['session-1'], blocks: [] })
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
