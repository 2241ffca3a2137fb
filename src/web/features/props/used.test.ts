import type { Block } from '#model/block'
import { finalRestPose, setUpsFor } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { keyOf, usedIn } from './used.ts'

const poseId = 'reclined-bound-angle'
const items = [{ id: 'own', kind: 'blanket' as const, count: 1, under: 'head' as const }]

test('what is set up in a session stands in its order, the final rest last; talk and breath are not set up', () => {
  const session = aSession([aTalk(), aBreath('even-breath'), aHold('deer'), aHold(poseId), aClosing()])
  const used = usedIn(session, shippedCatalog)
  expect(used.map(({ name }) => name)).toEqual(['Deer', 'Bound angle, reclined', 'Final rest'])
  expect(used.at(-1)?.choices).toEqual(setUpsFor(shippedCatalog, finalRestPose))
  expect(new Set(used.map(({ key }) => key)).size).toBe(3)
})

test('a block’s own items are what lies there, in the figure of the set-up they were made from', () => {
  const all = setUpsFor(shippedCatalog, poseId)
  const few = all.find(({ extent }) => extent === 'few')
  const [named] = usedIn(aSession([aHold(poseId, { setUpId: few?.id ?? '' })]), shippedCatalog)
  expect(named).toMatchObject({ setUpId: few?.id, items: few?.items, isOwn: false })
  const [own] = usedIn(aSession([aHold(poseId, { setUpItems: items, setUpId: few?.id ?? '' })]), shippedCatalog)
  expect(own).toMatchObject({ items, isOwn: true, figure: named?.figure })
  expect(own?.setUpId).toBeUndefined()
  expect(own?.choices).toEqual(all)
})

test('breath work and rests are set up where they have something, or are about to', () => {
  const seated: Block = { ...aBreath('even-breath'), setUpItems: items }
  const bare: Block = { kind: 'rest', id: 'quiet', s: 60 }
  const session = aSession([seated, bare])
  expect(usedIn(session, shippedCatalog).map(({ block }) => block.id)).toEqual([seated.id])
  const [, wanted] = usedIn(session, shippedCatalog, keyOf(session, bare))
  expect(wanted).toMatchObject({ items: [], choices: [], isOwn: false, figure: undefined })
})

test('a pose that is nowhere is left out, the others stay', () => {
  expect(usedIn(aSession([aHold('gone'), aHold('deer')]), shippedCatalog).map(({ name }) => name)).toEqual(['Deer'])
})
