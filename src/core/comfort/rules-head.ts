import { boundsOf, headCentre } from '#core/figure'
import { apart, heightOf, isLying, pileOf, tenth, valueOf } from './reading.ts'
import type { Rule } from './rule.ts'

/** A pad under a lying head, cm [formula book 6]. */
const padRange = { least: 2, level: 5, most: 8, impossible: 20 } as const
/** A roll under the nape, cm across [formula book 6]. */
const napeRange = { least: 4, most: 9 } as const
/** Past this tilt the chin lies higher than the forehead, degrees [estimate]. */
const tippedBack = 4
/** Past this bend of the neck the chin comes nearer to the breastbone than a fist [estimate]. */
const mostTucked = 32
/** Head below heart, cm [formula book 6]: gentle up to the first, for nobody past the second. */
const belowHeart = { gentle: 5, most: 15 } as const

const headUnder = { part: 'head' } as const

export const headRules: readonly Rule[] = [
  {
    code: 'HEAD_PAD_IMPOSSIBLE',
    grade: 'must',
    find: (look) =>
      isLying(look) &&
      heightOf(look, 'head') > padRange.impossible && {
        ...headUnder,
        facts: { padCm: tenth(heightOf(look, 'head')), mostCm: padRange.impossible },
        wish: { part: 'head', wants: 'lower' },
      },
  },
  {
    code: 'HEAD_PAD_LOW',
    grade: 'look',
    find: (look) => {
      const pad = heightOf(look, 'head')
      // With the pelvis raised nothing thick belongs under the head: another rule.
      const isAsked = isLying(look) && !look.elevation.numbers.raised && pad < padRange.least - 0.25
      // Where nothing at all is used it is a choice.
      return (
        isAsked && {
          ...headUnder,
          ...(look.items.length > 0 ? {} : { grade: 'tip' as const }),
          facts: { padCm: tenth(pad), leastCm: padRange.least, mostCm: padRange.most },
          wish: { part: 'head', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'HEAD_PAD_HIGH',
    grade: 'look',
    find: (look) => {
      const pad = heightOf(look, 'head')
      if (!isLying(look) || pad <= padRange.level + 0.25 || pad > padRange.impossible) return undefined
      return {
        ...headUnder,
        ...(pad > padRange.most ? {} : { grade: 'tip' as const }),
        facts: { padCm: tenth(pad), mostCm: pad > padRange.most ? padRange.most : padRange.level },
        wish: { part: 'head', wants: 'lower' },
      }
    },
  },
  {
    code: 'HEAD_TIPPED_BACK',
    grade: 'look',
    find: (look) => {
      if (!isLying(look) || look.elevation.numbers.raised) return undefined
      const { shoulder, crown } = look.elevation.skeleton
      const tilt = (Math.atan2(shoulder.y - crown.y, Math.abs(crown.x - shoulder.x)) * 180) / Math.PI
      return (
        tilt > tippedBack && {
          ...headUnder,
          facts: { tiltDeg: Math.round(tilt) },
          wish: { part: 'head', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'CHIN_TUCKED',
    grade: 'look',
    find: (look) => {
      if (!isLying(look)) return undefined
      const { waist, shoulder, crown } = look.elevation.skeleton
      const above = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
        (Math.atan2(b.y - a.y, Math.abs(b.x - a.x)) * 180) / Math.PI
      const bend = above(shoulder, crown) - above(waist, shoulder)
      return (
        bend > mostTucked &&
        heightOf(look, 'head') > 0 && {
          ...headUnder,
          facts: { bendDeg: Math.round(bend), mostDeg: mostTucked },
          wish: { part: 'head', wants: 'lower' },
        }
      )
    },
  },
  {
    code: 'HEAD_NOT_REACHED',
    grade: 'look',
    find: ({ elevation }) => {
      const { frame, skeleton, props } = elevation
      const pads = props.filter(({ part }) => part === 'head')
      if (pads.length === 0) return undefined
      const centre = headCentre(skeleton, frame)
      const gap = centre.y - frame.headR - Math.max(...pads.map((pad) => boundsOf(pad).high))
      return (
        gap > apart + 0.5 && { ...headUnder, facts: { gapCm: tenth(gap) }, wish: { part: 'head', wants: 'higher' } }
      )
    },
  },
  {
    code: 'NECK_FLEXED_UNDER_LOAD',
    grade: 'look',
    find: (look) => {
      const raised = look.elevation.numbers.raised
      if (!raised?.ok || !raised.warnings.includes('NECK_FLEXED_UNDER_LOAD')) return undefined
      return {
        ...headUnder,
        facts: {
          padCm: tenth(heightOf(look, 'head')),
          mostCm: tenth(heightOf(look, 'upperBack') + 0.02 * look.elevation.frame.stature),
        },
        wish: { part: 'head', wants: 'lower' },
      }
    },
  },
  {
    code: 'NECK_ALONE',
    grade: 'tip',
    find: (look) =>
      isLying(look) &&
      pileOf(look, 'neck') !== undefined &&
      heightOf(look, 'head') < 1 && { part: 'neck', facts: {}, wish: { part: 'head', wants: 'higher' } },
  },
  {
    code: 'NECK_ROLL_SIZE',
    grade: 'tip',
    find: (look) => {
      const roll = heightOf(look, 'neck')
      return (
        roll > 0 &&
        (roll < napeRange.least || roll > napeRange.most) && {
          part: 'neck',
          facts: { acrossCm: tenth(roll), leastCm: napeRange.least, mostCm: napeRange.most },
          wish: { part: 'neck', wants: roll > napeRange.most ? 'lower' : 'higher' },
        }
      )
    },
  },
  {
    code: 'HEAD_BELOW_HEART',
    grade: 'look',
    find: ({ figure, elevation }) => {
      const { skeleton, frame, numbers } = elevation
      const drawn =
        figure.kind === 'allFours' ||
        figure.kind === 'childFold' ||
        (figure.kind === 'standing' && figure.trunk === 'fold')
      const heart =
        skeleton.waist.y +
        ((skeleton.shoulder.y - skeleton.waist.y) * (frame.hipToHeart - frame.lowTrunk)) / frame.ribCage
      const below = valueOf(numbers.raised)?.headBelowHeart ?? (drawn ? heart - headCentre(skeleton, frame).y : 0)
      return (
        below > belowHeart.gentle && {
          ...headUnder,
          facts: {
            belowCm: tenth(below),
            gentleCm: belowHeart.gentle,
            mostCm: belowHeart.most,
            everyone: below > belowHeart.most,
          },
        }
      )
    },
  },
]
