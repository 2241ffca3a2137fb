import type { BodyPart, SetUpItem } from '#model/set-up'
import { stepInHold } from './index.ts'

const item = (id: string, kind: SetUpItem['kind'], under: BodyPart, more: Partial<SetUpItem> = {}): SetUpItem => ({
  id,
  kind,
  count: 1,
  under,
  ...more,
})
const under = (part: BodyPart, ...kinds: SetUpItem['kind'][]) =>
  kinds.map((kind, at) => item(`${part}-${String(at)}`, kind, part))

test('what lies under head, hands and arms is in reach, also a whole pile of it', () => {
  const step = stepInHold(under('head', 'foamBlock', 'blanket'), under('arms', 'longPillow'), 'regular')
  expect(step).toEqual({ s: 10, outOfReach: undefined })
})

test('under chest and knees only the top layer is', () => {
  const pile = under('knees', 'rectBolster', 'blanket')
  expect(stepInHold(pile, pile.slice(0, 1), 'regular')).toEqual({ s: 3, outOfReach: undefined })
  expect(stepInHold(pile, pile.slice(1), 'regular').outOfReach).toBe('knees')
  expect(stepInHold(pile, [], 'regular').outOfReach).toBe('knees')
  const chest = under('chest', 'rectBolster')
  expect(stepInHold(chest, [...chest, item('b', 'blanket', 'chest')], 'new')).toEqual({ s: 6, outOfReach: undefined })
})

test('nothing is under trunk and pelvis, whatever lies on top there', () => {
  expect(stepInHold(under('pelvis', 'blanket'), [], 'regular').outOfReach).toBe('pelvis')
  expect(
    stepInHold(under('upperBack', 'foamBlock', 'rectBolster'), under('upperBack', 'foamBlock'), 'regular'),
  ).toEqual({
    s: 3,
    outOfReach: 'upperBack',
  })
})

test('each pile of two is looked at by itself; a cover over the body is in reach of everybody', () => {
  const two = [item('a', 'foamBlock', 'knees', { count: 2, piles: 2 })]
  expect(stepInHold(two, [], 'regular').outOfReach).toBeUndefined()
  const cover = item('c', 'blanket', 'belly', { lies: 'over' })
  expect(stepInHold([], [cover], 'regular').outOfReach).toBeUndefined()
})
