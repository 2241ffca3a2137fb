import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { sheetBlocks, sheetRows } from './class-sheet.ts'

const told = (session: Session) => {
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  return { timeline, blocks: sheetBlocks(timeline, session.practice) }
}
/** The parts of the first block, in a line each. */
const lines = (session: Session, at = 0): string[] =>
  (told(session).blocks[at]?.parts ?? []).map(
    ({ startMs, endMs, title, marks, isAgain }) =>
      `${formatMs(endMs - startMs)} ${title}${isAgain ? ' (again)' : marks.map(({ atMs, text }) => ` | ${formatMs(atMs)} ${text}`).join('')}`,
  )

test('the parts of every block tile its time, and say all that is said in it at its instant, in that order', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { timeline, blocks } = told(session)
      expect(blocks.map(({ id }) => id)).toEqual(session.blocks.map(({ id }) => id))
      for (const { id, startMs, endMs, parts } of blocks) {
        expect([parts[0]?.startMs, parts.at(-1)?.endMs]).toEqual([startMs, endMs])
        parts.slice(1).forEach((part, at) => {
          expect(part.startMs).toBe(parts[at]?.endMs)
        })
        const marks = parts.flatMap((part) => part.marks.map((mark) => ({ ...mark, atMs: part.startMs + mark.atMs })))
        for (const part of parts)
          expect(part.marks.map(({ atMs }) => atMs)).toEqual(
            part.marks.map(({ atMs }) => atMs).toSorted((a, b) => a - b),
          )
        // What ends a breath is said as the next block begins.
        for (const { text = '', atMs } of timeline.cues.filter((one) => timeline.segments[one.segment]?.blockId === id))
          expect(marks.some((mark) => text === '' || (mark.atMs === atMs && mark.text.includes(text)))).toBe(true)
        // In rows nothing is left out.
        expect(sheetRows(parts).flat()).toEqual(parts)
      }
      expect(JSON.stringify(blocks)).not.toMatch(/\{(this|other|roll)\}|undefined|NaN/)
    }),
    { numRuns: 60 },
  )
})

test('a cue in a phase stands at its time in the hold, after the phases before it, and cues stand in the order of time', () => {
  const session = aSession([
    aHold('deer', {
      hold: { holdS: 240 },
      phases: [
        { id: 'upright', name: 'Upright', length: { s: 48 } },
        { id: 'folded', name: 'Folded', length: { rest: true } },
      ],
      cues: [
        { id: 'late', at: { beforeEndS: 20 }, text: 'Nearly' },
        { id: 'knee', phaseId: 'folded', at: { fromStartS: 30 }, text: 'The {this} knee may bend' },
        { id: 'half', at: { share: 0.5 }, text: 'Half' },
      ],
    }),
  ])
  const left = lines(session).find((line) => line.startsWith('4:00 left'))
  expect(
    left
      ?.split(' | ')
      .slice(1)
      .filter((line) => !line.includes('move')),
  ).toEqual([
    '0:00 Upright, 0:48',
    '0:48 Folded, 3:12',
    '1:18 The left knee may bend',
    // Half of its own phase.
    '2:24 Half',
    '3:40 Nearly',
  ])
})

test('each side tells which it is in the body’s terms and for how long; the second that says the same says so', () => {
  const both = lines(aSession([aHold('deer', { hold: { holdS: 180 }, firstSide: 'right' })]))
  expect(both.filter((line) => line.startsWith('3:00'))).toEqual([
    expect.stringMatching(/^3:00 right: right knee in front, left knee behind \|/),
    '3:00 left: left knee in front, right knee behind (again)',
  ])
  const apart = lines(aSession([aHold('deer', { hold: { leftS: 240, rightS: 180, why: 'a stiff hip' } })]))
  expect(apart.filter((line) => /^[34]:00/.test(line)).map((line) => line.slice(0, 10))).toEqual([
    '4:00 left:',
    '3:00 right',
  ])
})

test('between sides, the rest after a hold, set-up and coming out each have their time', () => {
  const times = {
    changeS: 15,
    setUpS: 40,
    settleS: 10,
    comingOutS: 12,
    betweenSidesS: 20,
    secondSetUpS: 25,
    afterRestS: 45,
  }
  const parts = lines(aSession([aTalk(), aHold('deer', { hold: { holdS: 180 }, times })]), 1)
  expect(parts.map((line) => line.replace(/ \|.*/, ''))).toEqual([
    expect.stringMatching(/^0:15 /),
    '0:50 set up, 0:10 of it to settle',
    '3:00 left: left knee in front, right knee behind',
    '0:12 come out',
    '0:20 small movement, other side',
    '0:35 set up the other side, 0:10 of it to settle (again)',
    '3:00 right: right knee in front, left knee behind (again)',
    '0:12 come out (again)',
    '0:45 rebound',
  ])
})

test('breath work is told section by section with its length, and a closing step by step', () => {
  const breath = aSession([
    {
      ...{ kind: 'breath', id: 'b' },
      sections: [
        { kind: 'natural', id: 'n', s: 60 },
        {
          kind: 'rounds',
          id: 'r',
          techniqueId: 'long-exhale',
          amount: { sets: 1, roundsPerSet: 6 },
          leadInS: 0,
          wayOutS: 0,
        },
      ],
    },
    aClosing({ finalRestS: 300, comingOutS: 30, rollS: 45, sittingUpS: 50, text: 'Until next week' }),
  ])
  expect(lines(breath).map((line) => line.replace(/ \|.*/, ''))).toEqual([
    '1:00 Natural breath',
    '1:00 Long exhale 4\u202f:\u202f6, 6 rounds',
  ])
  const closing = lines(breath, 1)
  expect(closing.map((line) => line.replace(/ \|.*/, '')).slice(-4)).toEqual([
    '5:00 final rest',
    '0:30 coming out',
    '0:45 roll to the side',
    '0:50 press up and sit',
  ])
  expect(closing.join()).toContain('Until next week')
})

test('a script stands sentence by sentence with its times, and where it is long quiet', () => {
  const sentences = [
    { text: 'The feet', pauseAfterS: 10 },
    { text: 'Come back', pauseAfterS: 5 },
  ]
  const rest = lines(aSession([aClosing({ finalRestS: 300, script: { sentences, quietAfter: 1 } })])).find((line) =>
    line.includes('final rest'),
  )
  expect(
    rest
      ?.split(' | ')
      .slice(2)
      .map((line) => line.replaceAll(/\d:\d\d/g, 'm:ss')),
  ).toEqual(['m:ss The feet', 'm:ss long quiet, m:ss', 'm:ss Come back'])
})
