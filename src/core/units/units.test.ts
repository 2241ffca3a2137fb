import fc from 'fast-check'
import { holdLimits, sessionLimits } from '#model/limits'
import { formatDuration, foldMarks, parseDuration, sayableSeconds, stepDown, stepUp } from './index.ts'

const seconds = (text: string, limits = holdLimits) => {
  const read = parseDuration(text, limits)
  return read.ok ? read.value : read.code
}

test.each([
  ['4', 240],
  ['3.5', 210],
  ['3,5', 210],
  ['90s', 90],
  ['90 s', 90],
  ['1:15', 75],
  ['2m30', 150],
  ['4 min', 240],
  ['2 m 30 s', 150],
  ['60:00', 3600],
  ['0:05', 5],
])('reads a hold typed as %s', (text, expected) => {
  expect(seconds(text)).toBe(expected)
})

test.each([
  ['1h15', 4500],
  ['1h', 3600],
  ['1.5h', 5400],
  ['75', 4500],
  ['1:15:00', 4500],
])('reads a session length typed as %s', (text, expected) => {
  expect(seconds(text, sessionLimits)).toBe(expected)
})

test.each([
  ['3:75', 'TIME_PAST_59'],
  ['1h75', 'TIME_PAST_59'],
  ['4m75', 'TIME_PAST_59'],
  ['1h15m75s', 'TIME_PAST_59'],
  ['1 30', 'TIME_UNREADABLE'],
  ['4 3', 'TIME_UNREADABLE'],
  ['1:75:00', 'TIME_PAST_59'],
  ['0', 'TIME_RANGE'],
  ['99h', 'TIME_RANGE'],
  ['0:04', 'TIME_RANGE'],
  ['60:01', 'TIME_RANGE'],
  ['', 'TIME_EMPTY'],
  ['four', 'TIME_UNREADABLE'],
  ['-3', 'TIME_UNREADABLE'],
  ['1:2:3:4', 'TIME_UNREADABLE'],
])('refuses %s with %s', (text, code) => {
  expect(seconds(text)).toBe(code)
})

test('1:15 is one minute and fifteen seconds even where a session length is asked', () => {
  expect(seconds('1:15', sessionLimits)).toBe('TIME_RANGE')
})

test('what is shown is read back as the same time', () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 14_400 }), (time) => {
      expect(seconds(formatDuration(time), sessionLimits)).toBe(time)
    }),
  )
})

test('an hour is still shown in minutes, and more than an hour is not', () => {
  expect(formatDuration(3600)).toBe('60:00')
  expect(formatDuration(3601)).toBe('1:00:01')
  expect(formatDuration(-75)).toBe('−1:15')
})

test('a step longer and a step shorter lead to times one can say, within the limits', () => {
  expect(stepUp(150)).toBe(165)
  expect(stepUp(180)).toBe(210)
  expect(stepDown(210)).toBe(180)
  expect(stepDown(180)).toBe(165)
  expect(stepUp(191)).toBe(210)
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 3600 }), (hold) => {
      const longer = stepUp(hold)
      const shorter = stepDown(hold)
      expect(longer === 3600 || longer % 15 === 0).toBe(true)
      expect(shorter === 5 || shorter % 15 === 0).toBe(true)
      expect(longer > hold || hold === 3600).toBe(true)
      expect(shorter < hold || hold === 5).toBe(true)
    }),
  )
})

test('names are found without their diacritics', () => {
  expect(foldMarks('Sama Vṛtti prāṇāyāma')).toBe('sama vrtti pranayama')
})

test.each([
  [0, 5],
  [52, 45],
  [53, 60],
  [178, 180],
  [194, 180],
  [196, 210],
  [99_999, 3600],
])('drawn to %d s, a hold becomes the nearest time one can say: %d s', (drawn, said) => {
  expect(sayableSeconds(drawn)).toBe(said)
})
