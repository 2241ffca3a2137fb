import type { Answers, Question } from '#model/answers'

type WordsFor = {
  readonly [Q in Question]: { readonly asks: string; readonly answers: Readonly<Record<`${Answers[Q]}`, string>> }
}

/** The handbook's table in words: what is asked, and each side of it. */
export const answerWords: WordsFor = {
  movementInHold: {
    asks: 'Movement in a hold',
    answers: { none: 'arrange once, then still', announced: 'small adjustments, announced' },
  },
  muscles: {
    asks: 'Muscles in a yin hold',
    answers: { released: 'fully released', lightly: 'lightly, to keep a line' },
  },
  sensationCeiling: {
    asks: 'Most that is felt',
    answers: { 2: '2 of 10, no stretch', 5: '5 of 10', 6: '6 of 10', 7: '7 of 10' },
  },
  afterHold: { asks: 'After a hold', answers: { stillness: 'stillness first', movement: 'movement first' } },
  betweenSides: {
    asks: 'Between sides',
    answers: { nothing: 'nothing', stillness: 'stillness', movement: 'a small movement' },
  },
  firstSide: { asks: 'First side', answers: { left: 'left', right: 'right', alternate: 'by turns, pose by pose' } },
  roll: {
    asks: 'Roll out of lying to',
    answers: { right: 'the right, or as preferred', left: 'the left, or as preferred', either: 'either side' },
  },
  throatSound: {
    asks: 'Throat breath is heard by',
    answers: { onlyYou: 'only oneself', teacherToo: 'the teacher too' },
  },
  throatStrength: {
    asks: 'Throat breath in slow work',
    answers: { softer: 'softer', stronger: 'a little stronger, as warmth' },
  },
  wallDistance: {
    asks: 'Legs up the wall',
    answers: {
      computed: 'pelvis down, distance by the hamstrings',
      handsWidth: 'a hand’s width to a foot, on blankets',
      overBolster: 'over a bolster',
    },
  },
  comingOutOfFolds: {
    asks: 'Coming out of a fold',
    answers: { handsHelp: 'hands help, head last', rollUp: 'rolling up, head last' },
  },
  headBelowHeart: {
    asks: 'Head below the heart',
    answers: { allowed: 'where no caution applies', avoided: 'left out' },
  },
  lockOrder: {
    asks: 'Locks are taken',
    answers: { chinFirst: 'chin, belly, root; let go back', rootFirst: 'root, belly, chin; let go so too' },
  },
  threePartBreath: {
    asks: 'Three-part breath',
    answers: {
      secondStep: 'is step 2 of the ladder',
      afterFifthStep: 'comes after step 5',
      outside: 'is learned beside the ladder',
    },
  },
  holdBegins: {
    asks: 'A hold begins, when led',
    answers: { byClock: 'by the clock', whenISay: 'when I say they are settled' },
  },
  energyLines: { asks: 'Energy lines', answers: { off: 'left out', on: 'part of the teaching' } },
}
