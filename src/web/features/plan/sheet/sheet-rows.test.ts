import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { shippedCatalog } from '#library/shipped'
import { thursdaySlowHour } from '#server/demo/sessions'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { sheetRows } from './sheet-rows.ts'

const rowsOf = (session: Session) =>
  sheetRows(orThrow(compileTimeline(session, shippedCatalog)), session, shippedCatalog)

test('every block has its row in order, at its time, and no token is printed', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const rows = rowsOf(session)
      const { blocks } = orThrow(compileTimeline(session, shippedCatalog))
      expect(rows.map(({ id }) => id)).toEqual(session.blocks.map(({ id }) => id))
      expect(rows.map(({ startsAt }) => startsAt)).toEqual(blocks.map(({ startMs }) => formatMs(startMs)))
      expect(JSON.stringify(rows)).not.toMatch(/\{(this|other|roll)\}|undefined|NaN/)
    }),
    { numRuns: 40 },
  )
})

test('a hold tells each side with its time and which side it is, the form, the cues and the way out', () => {
  const [row] = rowsOf(
    aSession([
      aHold('deer', {
        hold: { leftS: 240, rightS: 180, why: 'a stiff hip' },
        variantId: shippedCatalog.poses.get('deer')?.variants[0]?.id ?? '',
        cues: [{ id: 'c', at: { share: 0.5 }, text: 'The {this} knee grows heavy' }],
      }),
    ]),
  )
  expect(row?.sides).toEqual([
    'left 4:00: left knee in front, right knee behind',
    'right 3:00: right knee in front, left knee behind',
  ])
  expect(row?.says.at(0)).toMatch(/; move if anything tingles or hurts$/)
  expect(row?.says.at(1)).toBe('form: Front leg long')
  expect(row?.says.at(2)).toMatch(/: The left knee grows heavy$/)
  expect(row?.says.at(-1)).toMatch(/^coming out: .*lean away from the left knee/)
})

test('a script is printed sentence by sentence with its times, after the words that ask for stillness', () => {
  const sentences = [
    { text: 'The feet', pauseAfterS: 10 },
    { text: 'Come back', pauseAfterS: 5 },
  ]
  const [row] = rowsOf(aSession([aClosing({ finalRestS: 300, script: { sentences, quietAfter: 1 } })]))
  expect(row?.says).toHaveLength(4)
  expect(row?.says[0]).toMatch(/^On the back/)
  expect(row?.says.slice(1).map((line) => line.replace(/\d:\d\d/, 'm:ss'))).toEqual([
    'm:ss The feet',
    'long quiet, m:ss',
    'm:ss Come back',
  ])
})

test('what people change between blocks stands before the block it leads to, and talk is printed in full', () => {
  const rows = rowsOf(
    aSession([
      { ...aTalk('arrive', 120), text: 'The stop signs' },
      aHold('sphinx'),
      aHold('long-leg-fold'),
      aClosing(),
    ]),
  )
  expect(rows[0]).toMatchObject({ before: '', sides: ['2:00'], says: ['The stop signs'] })
  expect(rows[2]?.before).not.toBe('')
})

test('the demo hour says all of its blocks, each with something to read', () => {
  const rows = rowsOf(thursdaySlowHour)
  expect(rows).toHaveLength(thursdaySlowHour.blocks.length)
  for (const { name, sides } of rows) expect([name !== '', sides.length > 0]).toEqual([true, true])
})

test('a sheet shows each side of a pose in the order in which it is led, and nothing for words and breath', () => {
  const rows = rowsOf(aSession([aTalk(), aHold('deer', { firstSide: 'right' }), aHold('sphinx')]))
  expect(rows.map(({ pictures }) => pictures.map(({ side }) => side))).toEqual([[], ['right', 'left'], [undefined]])
})
