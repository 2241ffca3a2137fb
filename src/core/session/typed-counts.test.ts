import type { FormerOwnPose } from '#model/pose'
import type { OwnThing } from '#model/own'
import type { SetUp } from '#model/set-up'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { ownPoseFrom } from '#testing/own-poses'
import { aHold, aSession } from '#testing/sessions'
import { listedSetUp, poseIn, propCounts, resolveSession, setUpsFor, splitCounts, withOwn } from './index.ts'

const bolster = { kind: 'rectBolster' as const, count: 1 }
const cushions = { kind: 'seatCushion' as const, count: 2 }
const form = { id: 'high', name: 'High', grade: 'easier' as const, change: 'Two cushions.' }
const written = (change: Partial<FormerOwnPose> = {}): FormerOwnPose => ({
  ...ownPoseFrom('deer', { id: 'mine', variants: [] }),
  props: [bolster],
  ...change,
})
const never = () => false

describe('counts typed into an own pose', () => {
  test('become a full set-up whose items are listed and not placed, and leave the pose', () => {
    const { pose, setUps } = splitCounts(written({ props: [bolster, cushions] }), never)
    expect(pose).not.toHaveProperty('props')
    expect(setUps).toHaveLength(1)
    expect(setUps[0]).toMatchObject({ poseId: 'mine', extent: 'full' })
    expect(setUps[0]?.items.every(({ under }) => under === undefined)).toBe(true)
    expect(propCounts(setUps[0]?.items ?? [])).toEqual([bolster, cushions])
  })

  test('of a form become one of the form’s', () => {
    const { pose, setUps } = splitCounts(written({ props: [], variants: [{ ...form, props: [cushions] }] }), never)
    expect(pose.variants).toEqual([form])
    expect(setUps.map(({ variantId, items }) => [variantId, propCounts(items)])).toEqual([['high', [cushions]]])
  })

  test('that came with a copy and were left as they were make none; that were changed do', () => {
    const asCopied = (props: FormerOwnPose['props']) => JSON.stringify(props) === JSON.stringify([bolster])
    const copy = written({ copiedFrom: 'deer' })
    expect(splitCounts(copy, asCopied).setUps).toEqual([])
    expect(splitCounts({ ...copy, props: [cushions] }, asCopied).setUps).toHaveLength(1)
    // Nothing at all, where the original takes something, was typed too.
    expect(splitCounts({ ...copy, props: [] }, asCopied).setUps.map(({ items }) => items)).toEqual([[]])
  })

  test('of two poses with long ids that end alike go to set-ups of their own', () => {
    const idOf = (id: string) => splitCounts(written({ id }), never).setUps[0]?.id
    expect(idOf('a'.repeat(64))).toMatch(/^[\w-]{1,64}$/)
    expect(idOf('one')).not.toBe(idOf('other'))
  })
})

describe('an own set-up', () => {
  const own = (things: readonly (OwnThing | SetUp)[]): OwnThing[] =>
    things.map((thing) => ('kind' in thing ? thing : { kind: 'setUp', version: 1, document: thing }))
  const mine: OwnThing = { kind: 'pose', version: 1, document: ownPoseFrom('deer', { id: 'mine', copiedFrom: 'deer' }) }
  const again: OwnThing = {
    kind: 'pose',
    version: 1,
    document: ownPoseFrom('deer', { id: 'again', copiedFrom: 'mine' }),
  }
  const taken = (things: OwnThing[], poseId: string, details = {}) => {
    const [hold] = orThrow(resolveSession(aSession([aHold(poseId, details)]), withOwn(shippedCatalog, things)))
    return hold?.kind === 'hold' ? hold.pose.props : []
  }
  const ofDeer = shippedCatalog.poses.get('deer')?.props

  test('stands before those of the original, which are still there to choose', () => {
    const things = own([mine, listedSetUp([cushions], 'mine')])
    expect(taken(own([mine]), 'mine')).toEqual(ofDeer)
    expect(taken(things, 'mine')).toEqual([cushions])
    expect(poseIn(withOwn(shippedCatalog, things), 'mine')?.props).toEqual([cushions])
    const shipped = setUpsFor(shippedCatalog, 'deer')
    expect(setUpsFor(withOwn(shippedCatalog, things), 'mine').slice(1)).toEqual(shipped)
    expect(taken(things, 'mine', { setUpId: shipped[0]?.id })).toEqual(ofDeer)
  })

  test('goes for a copy of the copy as well', () => {
    expect(taken(own([mine, again, listedSetUp([cushions], 'mine')]), 'again')).toEqual([cushions])
  })

  test('of a form is the form’s alone, before those of its pose', () => {
    const joined: OwnThing = { kind: 'variant', version: 1, document: { ...form, poseId: 'deer' } }
    const things = own([joined, listedSetUp([cushions], 'deer', 'high')])
    expect(taken(things, 'deer', { variantId: 'high' })).toEqual([cushions])
    expect(taken(things, 'deer')).toEqual(ofDeer)
    // It is the same position: those of the pose are there to choose.
    const shipped = setUpsFor(shippedCatalog, 'deer')
    expect(setUpsFor(withOwn(shippedCatalog, things), 'deer', 'high').slice(1)).toEqual(shipped)
    expect(taken(things, 'deer', { variantId: 'high', setUpId: shipped[0]?.id })).toEqual(ofDeer)
  })

  test('that was deleted is the set-up of nothing, unless its pose or form was deleted with it', () => {
    const gone = (thing: OwnThing | undefined): OwnThing[] => (thing ? [{ ...thing, hidden: true }] : [])
    const [setUp] = own([listedSetUp([cushions], 'mine')])
    expect(taken([mine, ...gone(setUp)], 'mine')).toEqual(ofDeer)
    expect(taken([...gone(mine), ...gone(setUp)], 'mine')).toEqual([cushions])
    const joined: OwnThing = { kind: 'variant', version: 1, document: { ...form, poseId: 'deer' } }
    const [ofForm] = own([listedSetUp([cushions], 'deer', 'high')])
    expect(taken([...gone(joined), ...gone(ofForm)], 'deer', { variantId: 'high' })).toEqual([cushions])
  })
})
