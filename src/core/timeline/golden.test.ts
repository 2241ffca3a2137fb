import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { compileTimeline } from './index.ts'

/** A timeline in lines a person can check: start in seconds, side, what happens. */
function lines(session: Session): string[] {
  const { segments } = orThrow(compileTimeline(session, shippedCatalog))
  return segments.map(({ startMs, side, doing }) => {
    const detail =
      doing.kind === 'closing'
        ? doing.step
        : doing.kind === 'hold'
          ? doing.phase.name
          : doing.kind === 'breath'
            ? `${doing.part} ${String(doing.set)}.${String(doing.round)} ${String(doing.counts)}`
            : ''
    return [String(startMs / 1000), side ?? '-', doing.kind, detail].filter((part) => part !== '').join(' ')
  })
}

/*
 * Worked by hand. Talk 60 s. Sphinx for regular people: nothing to change from the start, set-up 10,
 * settle 5, hold 3:00 (usual, yin), coming out 10, after-rest 60: 60 + 10 + 5 + 180 + 10 + 60 = 325.
 * Closing of a 20-minute session: over from the belly to the back 10; final rest 1200/10 = 120, but at
 * least 180; coming out 30, roll 45, sitting up 45: 325 + 10 + 180 + 120 = 635 s = 10:35.
 */
test('a talk, a symmetric hold and a closing stand where they were worked out by hand', () => {
  const session = aSession([aTalk(), aHold('sphinx', { setUpItems: [] }), aClosing({ setUpItems: [] })], {
    lengthS: 1200,
  })
  expect(lines(session)).toEqual([
    '0 - talk',
    '60 both setUp',
    '70 both settle',
    '75 both hold',
    '255 both comingOut',
    '265 both afterRest',
    '325 - change',
    '335 both closing finalRest',
    '515 both closing comingOut',
    '545 both closing roll',
    '590 both closing sittingUp',
  ])
  expect(orThrow(compileTimeline(session, shippedCatalog)).totalMs).toBe(635_000)
})

/*
 * Worked by hand. Deer, right side first, left 2:30 and right 3:00: set-up 25, settle 10. Phases: upright
 * 20 s, five breaths of 6 s, the rest of it: right 20 + 30 + 130, left 20 + 30 + 100. Coming out 10, between
 * sides 40 (stillness), second set-up half of 25 = 12.5, so 13; settle 10; coming out 10; after-rest 45.
 * 25+10+180+10 = 225, +40 = 265, +13 = 278, +10 = 288, +150 = 438, +10 = 448, +45 = 493.
 * The cue "half time" of the phase "folded" on the right: 35 + 50 + 65 = 150; on the left 338 + 50 = 388.
 */
test('two sides apart with phases stand where they were worked out by hand', () => {
  const session = aSession(
    [
      aHold('deer', {
        setUpItems: [],
        hold: { leftS: 150, rightS: 180 },
        firstSide: 'right',
        phases: [
          { id: 'up', name: 'upright', length: { s: 20 } },
          { id: 'twist', name: 'twisted', length: { breaths: 5 } },
          { id: 'fold', name: 'folded', length: { rest: true } },
        ],
        cues: [{ id: 'half', phaseId: 'fold', at: { share: 0.5 }, text: 'Turn to the {other}' }],
      }),
    ],
    { schoolId: 'yin' },
  )
  expect(lines(session)).toEqual(
    [
      '0 right setUp',
      '25 right settle',
      '35 right hold upright',
      '55 right hold twisted',
      '85 right hold folded',
      '215 right comingOut',
      '225 - betweenSides',
      '265 right setUp',
      '278 right settle',
      '288 right hold upright',
      '308 right hold twisted',
      '338 right hold folded',
      '438 right comingOut',
      '448 both afterRest',
    ].map((line, index) => (index >= 7 && index <= 12 ? line.replace('right', 'left') : line)),
  )
  const { cues, totalMs } = orThrow(compileTimeline(session, shippedCatalog))
  expect(totalMs).toBe(493_000)
  expect(cues.filter(({ id }) => id === 'half').map(({ atMs, text }) => [atMs, text])).toEqual([
    [150_000, 'Turn to the left'],
    [388_000, 'Turn to the right'],
  ])
})

/*
 * Worked by hand. Long exhale, in 1, hold full 0.5, out 1.5 at 7/6 s (num 3500, den 3) a count: a half-count is
 * 3500/6 = 583.33 ms. One round has 6 half-counts = 3.5 s. Boundaries floor(k · 3500 / 6): k = 2 1166, k = 3 1750,
 * k = 6 3500, k = 8 4666, k = 9 5250, k = 12 7000. Natural breath 10 s first, two sets of one round with 5 s
 * between, then natural breath 3 s: 0, 10, 11.166, 11.75, 13.5 (rest), 18.5, 19.666, 20.25, 22 (natural), 25.
 */
test('counted sets at an odd pace stand where they were worked out by hand', () => {
  const session = aSession([
    aBreath('long-exhale', {
      pattern: { in: 2, full: 1, out: 3, empty: 0 },
      pace: { num: 3500, den: 3 },
      amount: { sets: 2, roundsPerSet: 1 },
      naturalBeforeS: 10,
      restBetweenSetsS: 5,
      naturalAfterS: 3,
    }),
  ])
  expect(lines(session)).toEqual([
    '0 both breath natural 0.0 0',
    '10 both breath in 1.1 1',
    '11.166 both breath full 1.1 0.5',
    '11.75 both breath out 1.1 1.5',
    '13.5 both breath rest 2.0 0',
    '18.5 both breath in 2.1 1',
    '19.666 both breath full 2.1 0.5',
    '20.25 both breath out 2.1 1.5',
    '22 both breath natural 0.0 0',
  ])
  const { totalMs, cues } = orThrow(compileTimeline(session, shippedCatalog))
  expect(totalMs).toBe(25_000)
  expect(cues.map(({ atMs, text }) => [atMs, text])).toEqual([
    [0, 'Natural breath'],
    [
      2000,
      'Finish the breath you are in. Long exhale: in 1, out 1.5, hold full 0.5, or less: breathe whenever you wish',
    ],
    [13_500, 'Natural breath'],
    [22_000, 'Natural breath'],
    [24_000, 'Let the breath go its own way'],
  ])
})
