import type { Section } from '#model/section'
import type { BreathSounds } from '#model/settings'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, someRounds } from '#testing/breath-documents'
import { inCounts, second } from '#testing/breath'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { beginLead, blockHeard, fold, leadPlan, soundsDue, stageOf, step } from './index.ts'

const planOf = (...sections: Section[]) =>
  leadPlan(orThrow(compileTimeline(aSession([{ kind: 'breath', id: 'b', sections }]), shippedCatalog)), {})
const even = someRounds({
  pattern: inCounts(4, 2, 4, 0),
  pace: second,
  amount: { sets: 1, roundsPerSet: 1 },
  leadInS: 0,
  wayOutS: 0,
})
const chosen = (into: BreathSounds['in'], out: BreathSounds['out']): BreathSounds => ({ in: into, out })
const same = (kind: BreathSounds['in']['kind'], loudness = 50): BreathSounds =>
  chosen({ kind, loudness }, { kind, loudness })
/** What sounds in a breath and when, s; the block's own bells left out. */
const heard = (sounds: BreathSounds, ...sections: Section[]) => {
  const plan = planOf(...sections)
  return soundsDue(plan, beginLead(plan), sounds).flatMap(({ key, atMs, sound }) =>
    /^(turn|stroke|count)/.test(key) ? [[atMs / 1000, sound.kind]] : [],
  )
}

test.each<[BreathSounds['in']['kind'], (number | string)[][]]>([
  ['none', []],
  [
    'turn',
    [
      [0, 'wood'],
      [4, 'wood'],
      [6, 'wood'],
    ],
  ],
  ['counts', Array.from({ length: 10 }, (_, at) => [at, 'wood'])],
  [
    'bowl',
    [
      [0, 'highBowl'],
      [4, 'wood'],
      [6, 'lowBowl'],
    ],
  ],
  [
    'tone',
    [
      [0, 'tone'],
      [6, 'tone'],
    ],
  ],
])('%s sounds so in an inhale, a held breath and an exhale', (kind, expected) => {
  expect(heard(same(kind), even)).toEqual(expected)
})

test('a tone rises with the inhale, falls with the exhale, and is as long as they are', () => {
  const plan = planOf(even)
  const tones = soundsDue(plan, beginLead(plan), same('tone', 100)).flatMap(({ sound }) =>
    sound.kind === 'tone' ? [sound] : [],
  )
  expect(tones).toEqual([
    { kind: 'tone', from: 0, to: 1, lengthMs: 4000, gain: 2 },
    { kind: 'tone', from: 1, to: 0, lengthMs: 4000, gain: 2 },
  ])
})

test('a tone that sounds already goes on from where it is', () => {
  const plan = planOf(even)
  const [first] = soundsDue(plan, fold(plan, [], 1000), same('tone'))
  expect(first).toMatchObject({ atMs: 1000, sound: { kind: 'tone', from: 0.25, to: 1, lengthMs: 3000 } })
})

test('inhale and exhale sound apart, each as loud as it was set', () => {
  const plan = planOf({ ...even, pattern: inCounts(4, 0, 4, 0) })
  const sounds = chosen({ kind: 'none', loudness: 50 }, { kind: 'turn', loudness: 25 })
  const due = soundsDue(plan, beginLead(plan), sounds).filter(({ key }) => key.startsWith('turn'))
  expect(due).toMatchObject([{ atMs: 4000, sound: { kind: 'wood', gain: 0.5 } }])
})

test('silent rounds, strokes and belly strokes are as they were planned, whatever is chosen', () => {
  const two = { ...even, pattern: inCounts(4, 0, 4, 0), amount: { sets: 1, roundsPerSet: 2 }, countedRounds: 1 }
  expect(heard(same('tone'), { ...two, silent: 'none' })).toHaveLength(2)
  expect(heard(same('tone'), { ...two, silent: 'counts' }).filter(([, kind]) => kind === 'wood')).toHaveLength(8)
  const belly = aRetention({ half: 20, leadInS: 0, lead: { in: 8, out: 8 }, strokes: { n: 3, pace: second } })
  expect(heard(same('none'), belly)).toEqual([
    [8, 'wood'],
    [9, 'wood'],
    [10, 'wood'],
  ])
})

test('a breath over a hold sounds as was chosen too', () => {
  const over = leadPlan(
    orThrow(
      compileTimeline(
        aSession([
          aHold('sphinx', {
            cues: [],
            times: { setUpS: 0, settleS: 0 },
            breathOver: { techniqueId: 'long-exhale', pattern: inCounts(4, 0, 6, 0), pace: second, countedRounds: 1 },
          }),
        ]),
        shippedCatalog,
      ),
    ),
    {},
  )
  const kinds = soundsDue(over, beginLead(over), same('bowl')).flatMap(({ key, sound }) =>
    key.startsWith('over') ? [sound.kind] : [],
  )
  expect(kinds).toEqual(['highBowl', 'lowBowl'])
})

describe('one block to be heard', () => {
  const plan = leadPlan(
    orThrow(
      compileTimeline(
        aSession([
          aTalk('talk', 60),
          {
            kind: 'breath',
            id: 'b',
            sections: [even, { kind: 'natural', id: 'n', s: 30 }, { ...even, id: 'again', leadInS: 6 }],
          },
          aTalk('after', 60),
        ]),
        shippedCatalog,
      ),
    ),
    {},
  )

  test('begins at time 0 with any of its sections, without waiting for the set-up, and ends with the block', () => {
    const first = blockHeard(plan, 'b', 0)
    expect(soundsDue(first.plan, first.state).map(({ atMs }) => atMs / 1000)).toEqual([0, 0, 4, 6, 46, 50, 52])
    const third = blockHeard(plan, 'b', 2)
    const turns = soundsDue(third.plan, third.state).filter(({ key }) => key.startsWith('turn'))
    expect(turns.map(({ atMs }) => atMs / 1000)).toEqual([6, 10, 12])
    const [ended] = step(third.plan, third.state, { type: 'tick', atMs: 16_000 })
    expect(stageOf(third.plan, ended)).toMatchObject({ is: 'ended', ledMs: 16_000 })
  })

  test('has the words that are said in it where they belong', () => {
    const { plan: own } = blockHeard(plan, 'b', 0)
    for (const { segment } of own.cues) expect(own.segments[segment]?.blockId).toBe('b')
    expect(own.cues.some(({ text }) => text?.includes('Natural breath'))).toBe(true)
  })
})
