import { shippedCatalog as catalog } from '#library/shipped'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { missedBy, touchedIn } from './index.ts'
import type { ClassAttended, News } from './index.ts'

const longer = (fromS: number, toS: number): News => ({ blockId: 'deer', is: 'longer', fromS, toS })
const step = (from: number, to: number): News => ({ blockId: 'even', is: 'step', from, to })
const aClass = (week: number, came: readonly string[] | undefined, ...news: readonly News[]): ClassAttended => ({
  ...{ n: week, week, came, news },
})

test('who came to all has missed nothing, and nothing is new to them', () => {
  const classes = [aClass(1, ['ada', 'bo']), aClass(2, ['ada'], longer(180, 210))]
  expect(missedBy('ada', classes)).toEqual({ came: [1, 2], missed: [], news: [], step: undefined })
})

test('what was new since the last class somebody came to is new to them, as one step', () => {
  const classes = [
    aClass(1, ['ada', 'bo']),
    aClass(2, ['ada'], longer(180, 210)),
    aClass(3, ['ada'], longer(210, 240), { blockId: 'side', is: 'comes' }),
  ]
  expect(missedBy('bo', classes)).toEqual({
    ...{ came: [1], missed: [2, 3], step: undefined },
    news: [longer(180, 240), { blockId: 'side', is: 'comes' }],
  })
})

test('a class that was missed in between is over: what was new in it was there again', () => {
  const classes = [aClass(1, ['bo']), aClass(2, [], longer(180, 210)), aClass(3, ['bo'])]
  expect(missedBy('bo', classes)).toMatchObject({ came: [1, 3], missed: [2], news: [] })
})

test('of breath the step they have done is kept, beside the one the group has come to', () => {
  const classes = [aClass(1, ['bo']), aClass(2, [], step(9, 10)), aClass(3, [], step(10, 11))]
  expect(missedBy('bo', classes).step).toEqual({ done: 9, now: 11 })
  // The group went a step back meanwhile: there is nothing they are behind with.
  expect(missedBy('bo', [aClass(1, ['bo']), aClass(2, [], step(10, 9))]).step).toBeUndefined()
})

test('who never came has done nothing of it; where nobody noted who came, nobody missed', () => {
  expect(missedBy('new', [aClass(1, ['bo']), aClass(2, ['bo'], longer(180, 210))])).toMatchObject({
    ...{ came: [], missed: [1, 2], news: [longer(180, 210)] },
  })
  expect(missedBy('bo', [aClass(1, undefined)])).toMatchObject({ came: [], missed: [] })
})

test('a region counts once a class, however many poses work it; what no pose works is not there', () => {
  const touched = touchedIn(
    [
      aSession([aHold('deer'), aHold('figure-four-lying')]),
      aSession([aHold('deer'), aHold('sphinx')]),
      aSession([aTalk('talk', 60)]),
    ],
    catalog,
  )
  expect(touched.get('outerHip')).toBe(2)
  expect(touched.get('lowBack')).toBeGreaterThan(0)
  expect(touched.has('wrists')).toBe(false)
})
