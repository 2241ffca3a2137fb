import { saidBreaths, saidSeconds, saysCount } from './said-times.ts'

test.each([
  ['Four minutes here', 240],
  ['Stay for 3 minutes', 180],
  ['Twenty seconds more', 20],
  ['one more minute', 60],
  ['half a minute', 30],
  ['A minute left', 60],
  ['About four minutes here', 240],
  ['2.5 minutes', 150],
  ['2,5 minutes', 150],
  ['forty-five seconds', 45],
  ['the last ten seconds', 10],
  ['Thirty-five seconds more', 35],
  ['Twenty-five seconds more', 25],
  ['A minute and a half more', 90],
  ['two and a half minutes here', 150],
])('“%s” announces %d s', (text, seconds) => {
  expect(saidSeconds(text)).toBe(seconds)
})

test.each([
  'Soften the jaw',
  'Second side',
  'Every minute counts the same',
  'Minutes pass',
  'one hand on the belly',
  'Turn the head a second time',
  'In a second we move',
  'After a minute or so',
  'After about two minutes',
  'Take a second breath',
])('“%s” announces no time', (text) => {
  expect(saidSeconds(text)).toBeUndefined()
})

test.each([
  ['Five more breaths', 5],
  ['ten slow breaths', 10],
  ['Take three deep, quiet breaths', undefined],
  ['3 breaths', 3],
  ['one breath', 1],
  ['Breathe into the ribs', undefined],
])('“%s” promises %p breaths', (text, breaths) => {
  expect(saidBreaths(text)).toBe(breaths)
})

test.each([
  ['Hold for two counts', true],
  ['stay full 4', true],
  ['twelve seconds empty', true],
  ['Hold one hand with the other', false],
  ['Hold as long as it is easy', false],
])('“%s” says a number of counts: %p', (text, says) => {
  expect(saysCount(text)).toBe(says)
})
