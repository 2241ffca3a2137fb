import { tryCode } from './handed-over.ts'

const handed = { personId: 'p', code: '4711', wrong: 0, notBeforeMs: 0 }

test('the code closes the page; another does not', () => {
  expect(tryCode(handed, '4711', 1000)).toEqual([undefined, 'closed'])
  const [next, tried] = tryCode(handed, '1174', 1000)
  expect(tried).toBe('wrong')
  expect(next && tryCode(next, '4711', 1001)).toEqual([undefined, 'closed'])
})

test('after five wrong ones nothing is taken for a minute, and then five more', () => {
  let now: typeof handed | undefined = handed
  const tries = ['0000', '0001', '0002', '0003', '0004'].map((code) => {
    const [next, tried] = tryCode(now ?? handed, code, 1000)
    now = next
    return tried
  })
  expect(tries).toEqual(['wrong', 'wrong', 'wrong', 'wrong', 'wait'])
  if (!now) throw new Error('it was closed')
  expect(tryCode(now, '4711', 60_999)).toEqual([now, 'wait'])
  expect(tryCode(now, '0005', 61_000)[1]).toBe('wrong')
  expect(tryCode(now, '4711', 61_000)[1]).toBe('closed')
})
