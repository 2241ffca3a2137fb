import { emptyStacks, popDone, popUndone, pushStep } from './undo.ts'

const step = (words: string) => ({ inverse: { type: 'details', details: { name: words } } as const, words })

test('undo keeps two hundred steps, and a new step forgets what was undone', () => {
  let stacks = emptyStacks
  for (let index = 0; index < 250; index += 1) stacks = pushStep(stacks, step(String(index)))
  expect(stacks.done).toHaveLength(200)
  expect(stacks.done[0]?.words).toBe('50')
  stacks = popDone(stacks, step('249'))
  expect([stacks.done.at(-1)?.words, stacks.undone.at(-1)?.words]).toEqual(['248', '249'])
  expect(popUndone(stacks, step('249')).done).toHaveLength(200)
  expect(pushStep(stacks, step('new')).undone).toEqual([])
})
