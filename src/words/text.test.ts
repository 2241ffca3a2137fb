import { clockText, dayText, dayTimeText } from './dates.ts'
import { capital, counted, joined, lower, markedName, namesInWords } from './text.ts'

test('a number stands with its noun, one or many, also where the plural is its own', () => {
  expect([counted(0, 'block'), counted(1, 'block'), counted(2, 'block')]).toEqual(['0 blocks', '1 block', '2 blocks'])
  expect([counted(1, 'eye pillow', 'eye pillows'), counted(3, 'box', 'boxes')]).toEqual(['1 eye pillow', '3 boxes'])
})

test('first letters go up and down, also of nothing and of letters with marks', () => {
  expect([capital('rebound'), capital(''), capital('śavāsana')]).toEqual(['Rebound', '', 'Śavāsana'])
  expect(lower('Belly breath')).toBe('belly breath')
})

test('what is empty leaves no gap in a row', () => {
  expect(joined(['Deer', '', 'left'], ', ')).toBe('Deer, left')
})

test('names stand in a row up to four, then the rest is counted; commas in them are kept apart', () => {
  expect(namesInWords([])).toBe('')
  expect(namesInWords(['Deer', 'Frog'])).toBe('Deer and Frog')
  expect(namesInWords(['a', 'b', 'c', 'd', 'e', 'f'])).toBe('a, b, c, d and 2 more')
  expect(namesInWords(['Legs up, at the wall', 'Frog'])).toBe('Legs up, at the wall; Frog')
})

test('a name with its mark has room for both, and is never cut within a character', () => {
  expect(markedName('Thursday slow hour', ', copy')).toBe('Thursday slow hour, copy')
  const long = `${'x'.repeat(112)}🧘🏽‍♀️${'x'.repeat(4)}`
  expect(markedName(long, ', copy')).toBe(`${'x'.repeat(112)}, copy`)
  expect(markedName('x'.repeat(120), ', copy')).toHaveLength(120)
})

test('days and times are told as decided, in English and by the 24-hour clock', () => {
  const evening = new Date(2026, 2, 12, 19, 5)
  expect(dayText(evening.toISOString())).toBe('Thu 12 Mar 2026')
  expect(dayTimeText(evening.toISOString())).toBe('Thu 12 Mar 2026, 19:05')
  expect(clockText(evening.getTime())).toBe('19:05')
})
