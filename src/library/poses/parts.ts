import type { Family } from '#model/family'
import type { HoldRange, Pose } from '#model/pose'

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

/** One early cue, one at half time, one before the end; short holds want the early one sooner. */
export const cues = (early: string, half: string, earlyS = 30): Pose['cues'] => [
  { id: 'early', at: { fromStartS: earlyS }, text: early },
  { id: 'half', at: { share: 0.5 }, text: half },
  { id: 'last', at: { beforeEndS: 20 }, text: 'Twenty seconds more' },
]

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

/** The end of every way up from the back; the roll leaves a choice, as decided. */
export const rollOut = ['{roll}', 'pause', 'press up, head last'] as const
