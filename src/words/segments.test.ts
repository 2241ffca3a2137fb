import type { LeadEvent, LedStart } from '#model/led-class'
import type { Session } from '#model/session'
import { fold, ledStart, breathNow } from '#core/lead'
import type { BreathNow, LeadSegment } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, breathing, someRounds } from '#testing/breath-documents'
import { inCounts, second } from '#testing/breath'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { blockName } from './blocks.ts'
import { sectionName } from './sections.ts'
import {
  blockTitle,
  breathCountWords,
  breathWords,
  otherSideWords,
  roundWords,
  segmentTitle,
  sideInBody,
  sideName,
  stageWords,
  stoppedWords,
  toSay,
  whereInBreath,
} from './segments.ts'

const led = (session: Session): LedStart =>
  ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
    id: 'led',
    people: 9,
    startedAtMs: 0,
    promisedEndMs: 3_600_000,
    nameOf: blockName,
    sectionNameOf: sectionName,
  })
const around = { setUpS: 30, settleS: 20, comingOutS: 10, betweenSidesS: 10, secondSetUpS: 15, afterRestS: 60 }
const deer = aHold('deer', { hold: { holdS: 120 }, times: around, cues: [] })
const hour = led(
  aSession([
    { ...aTalk(), text: 'What we do today' },
    aHold('sphinx', {
      hold: { holdS: 120 },
      times: around,
      cues: [{ id: 'c', at: { fromStartS: 20 }, text: 'Soften' }],
    }),
    deer,
    aClosing({ finalRestS: 300 }),
  ]),
)
/** A stretch by what is done in it, and the side where there are two. */
function stretch(
  of: LedStart,
  blockId: string,
  kind: LeadSegment['doing']['kind'],
  side?: 'left' | 'right',
): LeadSegment {
  const found = of.plan.segments.find(
    (segment) =>
      segment.blockId === blockId && segment.doing.kind === kind && (side === undefined || segment.side === side),
  )
  if (!found) throw new Error(`no ${kind} of ${blockId}`)
  return found
}
const titles = (of: LedStart): string[] => of.plan.segments.map((segment) => segmentTitle(of, segment))

test('every stretch of an hour has its title, in the order it is led', () => {
  expect(titles(hour)).toEqual([
    'Arrive',
    'Lay out for Sphinx',
    'Set up Sphinx',
    'Settle',
    'Sphinx',
    'Come out',
    'Rebound',
    'Come up to sit',
    'Set up Deer',
    'Settle',
    'Deer, left',
    'Come out',
    'Small movement',
    'Set up the other side',
    'Settle',
    'Deer, right',
    'Come out',
    'Rebound',
    'Lie down on the back',
    'Final rest',
    'Coming out',
    'Roll to the side',
    'Press up and sit',
  ])
})

test('a title says what the teacher wrote for the change, and what the school does between sides and after', () => {
  const written = { ...deer, changeText: 'fetch the chairs', answers: { betweenSides: 'stillness' as const } }
  const own = led(aSession([aHold('sphinx'), written], { practice: 'restorative' }))
  expect(titles(own)).toEqual(expect.arrayContaining(['Fetch the chairs', 'Stillness', 'Rest after']))
  const plain = led(aSession([{ ...deer, answers: { betweenSides: 'nothing' } }]))
  expect(titles(plain).slice(4, 6)).toEqual(['Come out', 'Set up the other side'])
  // Where there is no position before, nothing is said of it but where one goes.
  expect(titles(led(aSession([{ ...deer, times: { ...around, changeS: 20 } }])))[0]).toBe('Lay out for Deer')
})

test('a side is named, and told in the body’s own terms as the shelf had it that day', () => {
  const [left, right] = [stretch(hour, 'deer', 'hold', 'left'), stretch(hour, 'deer', 'hold', 'right')]
  expect([sideName(left), sideName(right)]).toEqual(['Left', 'Right'])
  expect(sideInBody(hour, left)).toBe('left knee in front, right knee behind')
  expect(sideInBody(hour, right)).toBe('right knee in front, left knee behind')
  const both = stretch(hour, 'sphinx', 'hold')
  expect([sideName(both), sideInBody(hour, both)]).toEqual(['', ''])
  expect(sideName(stretch(hour, 'talk', 'talk'))).toBe('')
  expect(blockTitle(hour, left)).toBe('Deer')
  expect(stageWords(hour, right)).toBe('Deer, right, right knee in front, left knee behind')
})

test('a phase is said with its hold when it begins', () => {
  const phased = led(
    aSession([
      {
        ...deer,
        phases: [
          { id: 'up', name: 'Upright', length: { s: 40 } },
          { id: 'down', name: 'Folded', length: { rest: true } },
        ],
      },
    ]),
  )
  expect(stageWords(phased, stretch(phased, 'deer', 'hold', 'left'))).toBe(
    'Deer, left, left knee in front, right knee behind, Upright',
  )
})

test('what to say is the text of a talk, the first cue of a stretch, the words of a set-up, or nothing', () => {
  expect(toSay(hour, stretch(hour, 'talk', 'talk'))).toBe('What we do today')
  expect(toSay(hour, stretch(hour, 'sphinx', 'hold'))).toMatch(/^Small adjustments are welcome/)
  expect(toSay(hour, stretch(hour, 'deer', 'setUp', 'right'))).toMatch(/^Both sit bones find something to rest on/)
  expect(toSay(hour, stretch(hour, 'deer', 'comingOut', 'left'))).toMatch(/^Press the hands down/)
  expect(toSay(hour, stretch(hour, 'deer', 'betweenSides'))).toBe('Shake the legs out')
  expect(toSay(led(aSession([aTalk()])), stretch(led(aSession([aTalk()])), 'talk', 'talk'))).toBe('')
})

describe('the breath', () => {
  const counted = led(
    aSession([
      aBreath('even-breath', {
        pattern: { in: 8, full: 4, out: 8, empty: 0 },
        amount: { sets: 1, roundsPerSet: 5 },
      }),
    ]),
  )
  const first = counted.plan.segments.findIndex(({ doing }) => doing.kind === 'breath')
  const startMs = counted.plan.segments.slice(0, first).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
  const at = (seconds: number): BreathNow | undefined =>
    breathNow(counted.plan, fold(counted.plan, [], startMs + seconds * 1000))

  test('is told by its part, a retention with its length, and the count that runs', () => {
    const now = [at(0), at(1), at(4), at(6), at(10)]
    expect(now.map(breathWords)).toEqual(['in', 'in', 'hold full 2', 'out', 'in'])
    expect(now.map((breath) => breathCountWords(breath))).toEqual(['in 1', 'in 2', 'hold full 1', 'out 1', 'in 1'])
    expect(now.map(roundWords)).toEqual([...Array<string>(4).fill('round 1 of 5'), 'round 2 of 5'])
  })

  test('that is not counted is natural, and has no rounds', () => {
    expect(breathWords(undefined)).toBe('natural breath')
    expect(breathCountWords(undefined)).toBe('natural breath')
    expect(roundWords(undefined)).toBe('')
  })
})

test('the other side is told against its plan, and why it differs', () => {
  const side = { ms: 120_000, cappedFromMs: undefined }
  expect(otherSideWords({ ...side, is: 'will match', moreMs: 0 }, 'left')).toBe('as planned')
  expect(otherSideWords({ ...side, is: 'will match', moreMs: 30_000 }, 'left')).toBe(
    '0:30 longer than planned, as the left',
  )
  expect(otherSideWords({ ...side, is: 'was', moreMs: -15_000 }, 'left')).toBe(
    'as it was done, 0:15 shorter than planned',
  )
  expect(otherSideWords({ ...side, is: 'keeps its own', moreMs: -15_400 }, 'right')).toBe('0:15 shorter than planned')
  // Less than half a second is none that anybody could tell.
  expect(otherSideWords({ ...side, is: 'was', moreMs: 499 }, 'right')).toBe('as planned')
})

describe('after a stop sign', () => {
  const { plan } = led(aSession([aBreath('even-breath', { amount: { sets: 1, roundsPerSet: 30 } })]))
  const words = (seconds: number, log: LeadEvent[]) => stoppedWords(fold(plan, log, seconds * 1000))
  const log: LeadEvent[] = [{ type: 'stopCard', atMs: 40_000 }]

  test('it is said how long natural breath lasts at least, and how counting comes back', () => {
    expect(words(39, [])).toBe('')
    expect(words(41, log)).toBe('Natural breath for 2:59 at least; then nothing is counted until you press Count again')
    expect(words(220, log)).toBe('Nothing is counted until you press Count again')
    expect(words(230, [...log, { type: 'countAgain', atMs: 229_000 }])).toBe(
      'No breath is held or stroked any more today',
    )
  })

  test('counting comes back after a breath out, or in where the round begins with an exhale', () => {
    expect(breathCountWords(undefined, 'out')).toBe('breathe out')
    expect(breathCountWords(undefined, 'in')).toBe('breathe in')
  })
})

test('where one is in breath work: section, place or set, the counts of a slope, the round', () => {
  const breath = led(
    breathing(
      [
        someRounds({
          pattern: inCounts(4, 0, 4, 0),
          pace: second,
          amount: { sets: 3, roundsPerSet: 2 },
          slope: { part: 'out', byHalf: 2, everySets: 1, to: 10 },
          restS: 10,
          leadInS: 0,
          wayOutS: 0,
        }),
        someRounds({ id: 'p', stations: [{ place: 'Hands in front', rounds: 2 }], amount: undefined }),
        aRetention({ times: 2 }),
        { kind: 'strokes', id: 's', techniqueId: 'short-exhales', pace: second, strokes: 4, rounds: 2 },
      ],
      { stage: 5 },
    ),
  )
  const { plan } = breath
  const where = (index: number): string => {
    const segment = plan.segments[index]
    if (!segment) throw new Error('no such segment')
    const startMs = plan.segments.slice(0, index).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    return whereInBreath(breath, segment, breathNow(plan, fold(plan, [], startMs)))
  }
  const inSections = plan.segments.flatMap(({ doing, index }) =>
    doing.kind === 'breath' && (doing.part === 'counted' || doing.part === 'strokes') ? [where(index)] : [],
  )
  expect(inSections.map((words) => words.replace(/[\u2000-\u202f]/g, ''))).toEqual([
    'section 1 of 4 · set 1 of 3 · 4:4 · round 1 of 2',
    'section 1 of 4 · set 2 of 3 · 4:5 · round 1 of 2',
    'section 1 of 4 · set 3 of 3 · 4:4 · round 1 of 2',
    'section 2 of 4 · Hands in front · round 1 of 2',
    'section 3 of 4 · round 1 of 2',
    'section 3 of 4 · round 2 of 2',
    'section 4 of 4 · round 1 of 2',
    'section 4 of 4 · round 2 of 2',
  ])
})
