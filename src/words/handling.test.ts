import type { SetUpItem } from '#model/set-up'
import { changeover } from '#core/handling'
import { orThrow } from '#core/result'
import { namedFolds } from '#library/prop-kinds'
import { actionWords, fetchedAgain, kindsWords, movedWords, onceIfWords, partsWords } from './handling.ts'

const item = (kind: SetUpItem['kind'], under: SetUpItem['under'], rest: Partial<SetUpItem> = {}): SetUpItem => ({
  id: `${kind} ${String(under)}`,
  kind,
  count: 1,
  under,
  ...rest,
})
const actionsOf = (from: readonly SetUpItem[], to: readonly SetUpItem[]) =>
  orThrow(changeover({ from, to, level: 'regular' })).actions

test('what is put aside and brought is counted by kind, what is moved is named with where it comes to', () => {
  const from = [
    item('rectBolster', 'chest'),
    item('blanket', 'pelvis', { folds: [...namedFolds.standard] }),
    item('foamBlock', 'hands', { count: 2 }),
  ]
  const to = [
    item('rectBolster', 'knees'),
    item('blanket', 'pelvis', { folds: [...namedFolds.narrow] }),
    item('eyePillow', 'eyes', { lies: 'over' }),
  ]
  const actions = actionsOf(from, to)
  expect(kindsWords(actions, 'aside')).toBe('2 blocks')
  expect(kindsWords(actions, 'brings')).toBe('1 eye pillow')
  expect(movedWords(actions)).toBe('blanket refolded at the pelvis, bolster to the knees')
  expect(actions.map(actionWords)).toEqual([
    'put aside the block at the hands',
    'put aside the block at the hands',
    'refold the blanket at the pelvis, 1 fold',
    'move the bolster from the chest to the knees',
    'bring 1 eye pillow to the eyes',
  ])
})

test('what takes two hands is told where it is fetched again', () => {
  const chair = [item('chair', 'shins')]
  const none: SetUpItem[] = []
  const over = (...setUps: SetUpItem[][]) =>
    fetchedAgain(setUps.slice(1).map((to, at) => ({ actions: actionsOf(setUps[at] ?? [], to) })))
  expect(over(none, chair, none, chair)).toEqual(['The chair is fetched twice.'])
  expect(over(none, chair, chair)).toEqual([])
  expect(over(none, [item('blanket', 'head')], none, [item('blanket', 'head')])).toEqual([])
})

test('what another order saves of it is said with what goes where', () => {
  const chair = [item('chair', 'shins')]
  const changes = (...setUps: SetUpItem[][]) =>
    setUps.slice(1).map((to, at) => ({ actions: actionsOf(setUps[at] ?? [], to) }))
  const now = changes([], chair, [], chair)
  expect(onceIfWords(now, changes([], chair, chair, []), ['Deer goes after Sphinx'])).toEqual([
    'The chair is fetched twice; once in this order.',
    'Deer goes after Sphinx.',
  ])
  expect(onceIfWords(now, now, [])).toEqual([])
})

test('a change is told with what it is made of, where more than one thing is', () => {
  expect(partsWords({ positionS: 15, propsS: 14, showS: 10, factor: 1, over: 1, by: 'props' })).toBe(
    '15 s to come over, 14 s props, 10 s to show it',
  )
  expect(partsWords({ positionS: 15, propsS: 4.5, showS: 0, factor: 1, over: 1, by: 'props' })).toBe(
    '15 s to come over, 4.5 s props: the longer of them',
  )
  expect(partsWords({ positionS: 0, propsS: 4, showS: 0, factor: 1, over: 1, by: 'props' })).toBe('')
  expect(partsWords({ positionS: 0, propsS: 4, showS: 0, factor: 1, over: 1.25, by: 'props' })).toBe(
    'by your classes props take 1.25 of it',
  )
  expect(partsWords({ positionS: 0, propsS: 4, showS: 0, factor: 1.21, over: 1, by: 'props' })).toBe(
    '21 % more for so many people',
  )
  expect(partsWords({ positionS: 15, propsS: 14, showS: 10, factor: 1.03, over: 1, by: 'props' })).toBe(
    '15 s to come over, 14 s props, 10 s to show it; 3 % more for so many people',
  )
  expect(partsWords({ positionS: 0, propsS: 0, showS: 0, factor: 1.21, over: 1, by: 'props' })).toBe('')
})

test('nothing is a dash', () => {
  const same = [item('blanket', 'head')]
  expect(actionsOf(same, same)).toEqual([])
  expect([kindsWords([], 'aside'), movedWords([])]).toEqual(['—', '—'])
})
