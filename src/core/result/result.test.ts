import { mapResult, ok, orThrow, refused } from './index.ts'

test('a value is changed and keeps its warnings, a refusal passes through as it is', () => {
  expect(mapResult(ok(2, ['THIN']), (value) => value + 1)).toEqual({ ok: true, value: 3, warnings: ['THIN'] })
  const no = refused('UNKNOWN_POSE', 'blocks[0].poseId', { id: 'x' })
  expect(mapResult(no, () => 1)).toBe(no)
})

test('a refusal that would be a mistake of the program throws its code and field', () => {
  expect(orThrow(ok('value'))).toBe('value')
  expect(() => orThrow(refused('UNKNOWN_POSE', 'blocks[0].poseId', { id: 'x' }))).toThrow(
    'UNKNOWN_POSE at blocks[0].poseId {"id":"x"}',
  )
})
