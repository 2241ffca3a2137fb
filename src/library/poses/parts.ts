import type { Family } from '#model/family'
import type { HoldRange, Pose, Variant } from '#model/pose'

/** A pose as it is told here: what it takes is counted in its full set-up. */
export type ShelfPose = Omit<Pose, 'props'>

/** A usual range in minutes, and where a new block starts. */
export const minutes = (from: number, usual: number, to: number): HoldRange => ({
  fromS: from * 60,
  usualS: usual * 60,
  toS: to * 60,
})

/** Usual set-up times grow for new people and shrink a little with experience [estimates]. */
export const setUp = (regularS: number): Pose['times']['setUpS'] => ({
  new: Math.ceil((regularS * 1.5) / 5) * 5,
  regular: regularS,
  experienced: Math.max(10, Math.floor((regularS * 0.8) / 5) * 5),
})

type Triple = readonly [from: number, usual: number, to: number]

/** Usual holds in minutes by level: shortest, where a new block starts, longest. */
export const byLevel = (asNew: Triple, regular: Triple, experienced: Triple): Pose['holds']['yin'] => ({
  new: minutes(...asNew),
  regular: minutes(...regular),
  experienced: minutes(...experienced),
})

/** One thing inward once people are still, and one at half time where there is something to say: the rest is quiet. */
export const inward = (early: string, half?: string, earlyS = 45): Pose['cues'] => [
  { id: 'early', at: { fromStartS: earlyS }, text: early },
  ...(half === undefined ? [] : [{ id: 'half', at: { share: 0.5 }, text: half }]),
]

/** Before a yin hold ends it is said; a restorative one ends by itself. */
export const lastWords: NonNullable<Pose['yinCues']> = [
  { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more' },
]

/** In a form of one side at a time that has one clock: when it changes over. */
export const changeAtHalf = (text: string): Pose['cues'] => [{ id: 'change', at: { share: 0.5 }, text }]

/** A hold of a minute or less has room for one cue. */
export const oneCue = (text: string): Pose['cues'] => [{ id: 'early', at: { fromStartS: 10 }, text }]

/** Another way out of a fold, where the school says so. */
export const rollingUp: NonNullable<Pose['meanings']> = [
  {
    question: 'comingOutOfFolds',
    answer: 'rollUp',
    comingOut: ['Tailbone heavy', 'roll up slowly from the tailbone, back bone by bone', 'head last'],
  },
]

/** The form where a school keeps the head at the level of the heart or above. */
export const headLevel = (setUp: string, ...families: Family[]): NonNullable<Pose['meanings']>[number] => ({
  question: 'headBelowHeart',
  answer: 'avoided',
  setUp,
  ...(families.length === 0 ? {} : { families }),
})

/** The end of the way out of lying between poses: it stops on the side, and the change goes on from there. */
export const rollOut = ['{roll}', 'pause on the side'] as const

/** A standing fold with the trunk level: the head or the hands at hip height on something that stands firm. */
export const atHipHeight = (
  legs: 'long' | 'wide',
  own: Pick<Variant, 'name' | 'change' | 'setUpWords' | 'head' | 'cues'>,
): Variant => ({
  id: 'on-a-chair',
  grade: 'easier',
  families: ['half_fold'],
  sensation: { from: 1, to: 3 },
  hinged: true,
  base: { enter: 'standing', leave: 'standing' },
  looksFor: ['One line from hands to hips.', 'The knees are soft.'],
  mistakes: ['The low back sags between hands and hips.'],
  comingOut: ['Walk towards the support', 'come up with the hands still on it'],
  figure: { kind: 'standing', legs, trunk: 'level' },
  ...own,
})

/** What is said where forearms and brow lie at hip height. */
export const browAtHipHeight: Pick<Variant, 'name' | 'setUpWords' | 'head' | 'cues'> = {
  name: 'Brow at hip height',
  setUpWords: ['Forearms and brow at hip height, padded', 'Walk back until the trunk is level'],
  head: { turned: 'never', rests: 'Brow on the forearms, at hip height.' },
  cues: oneCue('Let the forearms be heavy'),
}
