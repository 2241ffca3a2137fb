import type { School } from '#model/answers'

const common = {
  firstSide: 'left',
  roll: 'right',
  afterHold: 'stillness',
  throatSound: 'onlyYou',
  throatStrength: 'softer',
  wallDistance: 'computed',
  comingOutOfFolds: 'handsHelp',
  headBelowHeart: 'allowed',
  energyLines: 'off',
  muscles: 'released',
  lockOrder: 'chinFirst',
  threePartBreath: 'secondStep',
  holdBegins: 'byClock',
} as const

/** The shipped sets of answers to the handbook's table. */
export const schools: readonly School[] = [
  {
    id: 'restorative',
    name: 'Restorative',
    about: 'Fully supported, no stretch; arrange once, then be still.',
    answers: {
      ...common,
      movementInHold: 'none',
      sensationCeiling: 2,
      betweenSides: 'stillness',
      holdBegins: 'whenISay',
    },
  },
  {
    id: 'yin',
    name: 'Yin',
    about: 'At the first clear resistance, muscles soft, small adjustments announced.',
    answers: { ...common, movementInHold: 'announced', sensationCeiling: 6, betweenSides: 'stillness' },
  },
  {
    id: 'mixed',
    name: 'Yin and restorative',
    about: 'Yin holds first, supported rest after; small adjustments, a movement between sides.',
    answers: { ...common, movementInHold: 'announced', sensationCeiling: 6, betweenSides: 'movement' },
  },
  {
    id: 'breath',
    name: 'Breath',
    about: 'A seat one can keep, the natural breath first and last, the least count that is easy; holds only rest.',
    answers: { ...common, movementInHold: 'none', sensationCeiling: 2, betweenSides: 'nothing' },
  },
]
