import type { Answers, Question, SomeAnswers } from '#model/answers'
import { answerSchemas } from '#model/answers'
import type { Block } from '#model/block'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession } from '#testing/sessions'
import { compileTimeline } from './index.ts'

/** What the people get: how long each thing takes, in which form, and every word that is said. */
function led(blocks: Block[], answers: SomeAnswers): { said: string[]; done: string[]; totalMs: number } {
  const { cues, segments, totalMs } = orThrow(compileTimeline(aSession(blocks, { answers }), shippedCatalog))
  return {
    said: cues.map(({ text = '' }) => text),
    done: segments.map(({ doing, side }) => `${doing.kind} ${'form' in doing ? doing.form : ''} ${side ?? ''}`),
    totalMs,
  }
}

/** Questions that are answered while breath work is planned, or when a class is led. */
type Planned = 'lockOrder' | 'threePartBreath' | 'holdBegins'

/** Where each question of the handbook's table shows, and what is heard or done for each answer. */
const shows: { [Q in Exclude<Question, Planned>]: { blocks: Block[]; answers: [Answers[Q], RegExp][] } } = {
  movementInHold: {
    blocks: [aHold('deer')],
    answers: [
      ['none', /Be still; move if anything/],
      ['announced', /Small adjustments are welcome; move if/],
    ],
  },
  muscles: {
    blocks: [aHold('deer')],
    answers: [
      ['released', /Muscles soft; no more than/],
      ['lightly', /A light tone keeps the line/],
    ],
  },
  sensationCeiling: {
    blocks: [aHold('deer')],
    answers: [
      [2, /nothing stretches, no more than 2 of 10/],
      [5, /no more than 5 of 10/],
      [6, /no more than 6 of 10/],
      [7, /no more than 7 of 10/],
    ],
  },
  afterHold: {
    blocks: [aHold('sphinx')],
    answers: [
      ['stillness', /afterRest stillness/],
      ['movement', /afterRest movement/],
    ],
  },
  betweenSides: {
    blocks: [aHold('deer')],
    answers: [
      ['nothing', /^(?!.*betweenSides)/s],
      ['stillness', /betweenSides stillness/],
      ['movement', /betweenSides movement/],
    ],
  },
  firstSide: {
    blocks: [aHold('deer'), aHold('figure-four-lying')],
    answers: [
      ['left', /hold {2}left.*hold {2}right.*hold {2}left/s],
      ['right', /hold {2}right.*hold {2}left.*hold {2}right/s],
      ['alternate', /hold {2}left.*hold {2}right.*hold {2}right.*hold {2}left/s],
    ],
  },
  roll: {
    blocks: [aHold('calves-on-a-chair'), aClosing()],
    answers: [
      ['right', /roll to the right, or the side you prefer.*Roll to the right, or/s],
      ['left', /roll to the left, or the side you prefer.*Roll to the left, or/s],
      ['either', /roll to one side, or the side you prefer.*Roll to one side/s],
    ],
  },
  throatSound: {
    blocks: [aBreath('soft-throat-breath')],
    answers: [
      ['onlyYou', /a sound only you can hear/],
      ['teacherToo', /a sound I can just hear/],
    ],
  },
  throatStrength: {
    blocks: [aBreath('soft-throat-breath')],
    answers: [
      ['softer', /softer as the breath slows/],
      ['stronger', /stronger as the breath slows/],
    ],
  },
  wallDistance: {
    blocks: [aHold('legs-up-the-wall')],
    answers: [
      ['computed', /as far from the wall as the backs of the legs ask/],
      ['handsWidth', /A hand’s width to a foot from the wall/],
      ['overBolster', /pelvis over it/],
    ],
  },
  comingOutOfFolds: {
    blocks: [aHold('long-leg-fold')],
    answers: [
      ['handsHelp', /alk.*head last/],
      ['rollUp', /roll up slowly from the tailbone/],
    ],
  },
  headBelowHeart: {
    blocks: [aHold('hanging-fold')],
    answers: [
      ['allowed', /^(?!.*at hip height)/s],
      ['avoided', /Forearms and brow at hip height/],
    ],
  },
  energyLines: {
    blocks: [aHold('deer')],
    answers: [
      ['off', /^(?!.*Along the)/s],
      ['on', /Along the gall bladder and liver line/],
    ],
  },
}

test.each(Object.entries(shows))(
  'the answer to %s changes what is compiled or said',
  (question, { blocks, answers }) => {
    const heard = answers.map(([answer, pattern]) => {
      const { said, done, totalMs } = led(blocks, { [question]: answer })
      const all = [...said, ...done].join('\n')
      expect(all).toMatch(pattern)
      return `${all} ${String(totalMs)}`
    })
    expect(new Set(heard).size).toBe(answers.length)
  },
)

test('every answer there is has been tried', () => {
  const possible: Record<string, readonly unknown[]> = Object.fromEntries(
    Object.entries(answerSchemas).map(([question, schema]) => [
      question,
      'options' in schema
        ? schema.options.map((option: unknown) =>
            typeof option === 'object' && option !== null && 'value' in option ? option.value : option,
          )
        : [],
    ]),
  )
  for (const [question, { answers }] of Object.entries(shows))
    expect(answers.map(([answer]) => answer)).toEqual(possible[question])
})

test('an answer about the wall makes a raised pelvis of legs up, with its families', () => {
  const families = (answers: SomeAnswers) => {
    const [span] = orThrow(compileTimeline(aSession([aHold('legs-up-the-wall')], { answers }), shippedCatalog)).blocks
    return span?.block.kind === 'hold' ? span.block.pose.families : []
  }
  expect(families({ wallDistance: 'computed' })).toEqual(['legs_up_flat'])
  expect(families({ wallDistance: 'overBolster' })).toEqual(['pelvis_raised', 'leg_raised'])
  expect(families({ wallDistance: 'overBolster', headBelowHeart: 'avoided' })).toEqual(['legs_up_flat'])
})

test('a variant says its change on both sides, and brings its own props and families', () => {
  const timeline = orThrow(compileTimeline(aSession([aHold('deer', { variantId: 'front-leg-long' })]), shippedCatalog))
  const said = timeline.cues.filter(({ text }) => text?.includes('front leg stretches out'))
  expect(said.map(({ atMs }) => timeline.segments.find(({ startMs }) => startMs === atMs)?.doing)).toEqual([
    { kind: 'setUp', second: false },
    { kind: 'setUp', second: true },
  ])
  const unknown = compileTimeline(aSession([aHold('deer', { variantId: 'nowhere' })]), shippedCatalog)
  expect(unknown).toMatchObject({ ok: false, code: 'UNKNOWN_VARIANT', field: 'blocks[0].variantId' })
})
