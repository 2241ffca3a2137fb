import type { Side } from '#model/common'
import type { Pose } from '#model/pose'

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/** "The first side", "on the right": the side itself, said as such. */
const sideItself =
  /\b(?:on|to|for|with|this is|that's|first|our|your|the) (?:\w+ )?(left|right)(?: hand)? side\b|\bon (?:the|your) (left|right)\b(?! (?:leg|knee|foot|ankle|arm|hand|hip|thigh|shin|elbow|shoulder|ear|side|sit)\b)/g
/** Where one turns or bends to; where one looks is another matter. */
const towards =
  /(?<!\b(?:look|looks|looking|gaze|head|face|chin|eyes)(?: \w+)? )\bto(?:wards)? (?:the|your) (left|right)\b(?! (?:leg|knee|foot|ankle|heel|arm|hand|hip|thigh|shin|elbow|shoulder|ear|side|sit)\b)/g
const limb = /\b(left|right) (leg|knee|foot|ankle|heel|shin|thigh|hip|arm|hand|elbow|shoulder|ear|big toe|side)\b/g

/** Before a limb: it is where another goes. */
const upon =
  /\b(?:over|on|onto|against|behind|beside|inside|above|across|near|towards?|in front of|on top of|outside of|inside of) (?:the|your)? ?$/

/** The limbs by which the shelf tells a side of a pose, and whether they are on that side. */
function limbsOf(pose: Pose | undefined): ReadonlyMap<string, boolean> {
  const told = pose?.sides?.left ?? ''
  return new Map([...told.matchAll(limb)].map(([, side, what = '']) => [what, side === 'left'] as const))
}

/** The side that is meant, by what was said of limbs and sides; undefined where nothing was. */
export function sideSaid(text: string, pose: Pose | undefined): Side | undefined {
  const meant = limbsOf(pose)
  let left = 0
  const count = (side: string | undefined, weight: number): void => {
    if (side !== undefined) left += side === 'left' ? weight : -weight
  }
  for (const [, a, b] of text.matchAll(sideItself)) count(a ?? b, 3)
  for (const [, side] of text.matchAll(towards)) count(side, 3)
  const limbs = [...text.matchAll(limb)]
  limbs.forEach(({ 1: side, 2: what = '', index: at }, index) => {
    const is = meant.get(what)
    // What is named first is what the shape is about; the other limb follows, or is only where it goes.
    const isFirst = index === 0 && what !== 'hand'
    const weight = upon.test(text.slice(0, at)) ? 0.4 : isFirst ? 1.6 : 1
    count(is === false ? other(side as Side) : side, is === undefined ? weight * 0.6 : weight)
  })
  return left === 0 ? undefined : left > 0 ? 'left' : 'right'
}

export { other as otherThan }
