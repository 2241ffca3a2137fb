import type { RestBlock } from '#model/block'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession } from '#testing/sessions'
import { compileTimeline } from './index.ts'

const middle = (details: Partial<RestBlock>): RestBlock => ({
  ...{ kind: 'rest', id: 'middle', s: 480, basePosition: 'supine' },
  ...details,
})
const compiled = (details: Partial<RestBlock>) =>
  orThrow(compileTimeline(aSession([middle(details), aHold('wide-knee-fold')]), shippedCatalog))
const stretches = (details: Partial<RestBlock>) =>
  compiled(details)
    .segments.filter(({ blockId, doing }) => blockId === 'middle' && doing.kind !== 'change')
    .map(({ doing, startMs, endMs }) => [doing.kind === 'closing' ? doing.step : doing.kind, (endMs - startMs) / 1000])

test('a rest in the middle that comes up as at the end has a bell, the roll and sitting up after its time', () => {
  expect(stretches({ ending: {} })).toEqual([
    ['rest', 480],
    ['comingOut', 30],
    ['roll', 45],
    ['sittingUp', 45],
  ])
  expect(stretches({ ending: { rollS: 120, sittingUpS: 60 } }).slice(2)).toEqual([
    ['roll', 120],
    ['sittingUp', 60],
  ])
  expect(stretches({})).toEqual([['rest', 480]])
  const said = compiled({ ending: {}, answers: { roll: 'left' } }).cues.filter(({ blockId }) => blockId === 'middle')
  expect(said.filter(({ sound }) => sound).map(({ id }) => id)).toEqual(['comingOut'])
  expect(said.find(({ id }) => id === 'roll')?.text).toMatch(/left.*or the side you prefer/)
})

test('where nobody lies there is nothing to come up from', () => {
  expect(stretches({ basePosition: 'onChair', ending: {} })).toEqual([['rest', 480]])
  expect(stretches({ basePosition: 'sideLying', ending: {} })).toHaveLength(4)
})

test('people sit after it: what comes next is come to from there', () => {
  const changeInto = (details: Partial<RestBlock>) => {
    const change = compiled(details).segments.find(
      ({ blockId, doing }) => blockId !== 'middle' && doing.kind === 'change',
    )
    return change?.doing.kind === 'change' ? change.doing.from : undefined
  }
  expect(changeInto({})).toBe('supine')
  expect(changeInto({ ending: {} })).toBe('seated')
})
