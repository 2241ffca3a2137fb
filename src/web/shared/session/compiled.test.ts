import { shippedCatalog } from '#library/shipped'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { compiledOf, limitPassed } from './compiled.ts'

const breath = (roundsPerSet: number) => aBreath('even-breath', { amount: { sets: 4, roundsPerSet } })
const passed = (before: Parameters<typeof aSession>[0], after: Parameters<typeof aSession>[0]) =>
  limitPassed(aSession(before), aSession(after), shippedCatalog)?.code

test('a timeline is worked out once for a document, and anew for another or another shelf', () => {
  const session = aSession([aTalk()])
  const first = compiledOf(session, shippedCatalog)
  expect(compiledOf(session, shippedCatalog)).toBe(first)
  expect(compiledOf({ ...session }, shippedCatalog)).not.toBe(first)
  expect(compiledOf(session, { ...shippedCatalog })).toEqual(first)
})

test('a change past a limit is named, one within it and one on the way back are not', () => {
  expect(passed([breath(10)], [breath(300)])).toBeUndefined()
  expect(passed([breath(10)], [breath(301)])).toBe('ROUNDS_MANY')
  expect(passed([aTalk()], [aTalk(), aTalk('long', 7200), aTalk('longer', 7200)])).toBe('COMPOSED_LONG')
  // An older document may be past it: what is changed in it need not mend all of it at once.
  expect(passed([breath(500)], [breath(400)])).toBeUndefined()
})

test('what is nowhere is no limit', () => {
  expect(passed([aTalk()], [aTalk(), aHold('nowhere')])).toBeUndefined()
  expect(passed([aHold('nowhere')], [aHold('nowhere'), breath(500)])).toBeUndefined()
})
