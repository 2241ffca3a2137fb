import { seatForEdge } from '#core/figure'
import { apart, heightOf, isLying, pileOf, tenth, valueOf } from './reading.ts'
import type { Rule } from './rule.ts'

/** The trunk on a slope, degrees [formula book 6]: what it should be, and what breathes most easily. */
const slope = { least: 15, most: 45, easyLeast: 20, easyMost: 40 } as const
/** From this thickness on a flat support under the back is meant as a slope, cm [estimate]. */
const thickSlope = 16
/** How wide the top under the sacrum is at least, cm across [formula book 6]. */
const leastSacrum = 12
/** How far below the shoulders an arm may lie, cm [formula book 6]. */
const armsBelow = 3
/** A child's fold, degrees [formula book 6 and 5h]. */
const torso = { most: 20, steep: 25 } as const

export const trunkRules: readonly Rule[] = [
  {
    code: 'PELVIS_EDGE_AT_WAIST',
    grade: 'must',
    find: (look) => {
      const pile = isLying(look) && !look.elevation.numbers.incline ? pileOf(look, 'lowBack') : undefined
      const edged = pile?.pieces.find(({ rank, round }) => rank < 2 && !round)
      return edged && { part: 'lowBack', facts: { kind: edged.kind }, wish: { part: 'lowBack', wants: 'softer' } }
    },
  },
  {
    code: 'LUMBAR_EDGE',
    grade: 'look',
    find: (look) => {
      const numbers = valueOf(look.elevation.numbers.incline)
      const { slope, frame, piles } = look.elevation
      if (!numbers || !slope || numbers.edge <= numbers.edgeLimit) return undefined
      const seat = seatForEdge({ f: frame, piles }, slope)
      return {
        part: 'pelvis',
        facts: {
          edgeCm: tenth(numbers.edge),
          limitCm: tenth(numbers.edgeLimit),
          ...(seat === undefined ? {} : { seatCm: seat, raiseCm: tenth(seat - heightOf(look, 'pelvis')) }),
        },
        wish: { part: 'pelvis', wants: 'higher' },
      }
    },
  },
  {
    code: 'SACRUM_NARROW',
    grade: 'look',
    find: (look) => {
      const top = look.elevation.numbers.raised ? pileOf(look, 'pelvis')?.pieces.at(-1) : undefined
      const across = top && Math.max(top.along, top.across)
      return (
        across !== undefined &&
        across < leastSacrum && { part: 'pelvis', facts: { acrossCm: tenth(across), leastCm: leastSacrum } }
      )
    },
  },
  {
    code: 'TRUNK_ANGLE',
    grade: 'look',
    find: (look) => {
      const numbers = valueOf(look.elevation.numbers.incline)
      const back = pileOf(look, 'upperBack')
      const promised = look.figure.kind === 'lying' ? look.figure.trunkFromDeg : undefined
      const isMeant = numbers && back && (numbers.bolsterAngle >= 1 || back.height >= thickSlope)
      if (!isMeant && promised === undefined) return undefined
      const angle = Math.round(numbers?.trunkAngle ?? 0)
      const least = promised ?? slope.least
      const isOut = angle < least || angle > slope.most
      const isTight = angle < slope.easyLeast || angle > slope.easyMost
      if (!isOut && !isTight) return undefined
      const facts = {
        angleDeg: angle,
        leastDeg: isOut ? least : slope.easyLeast,
        mostDeg: isOut ? slope.most : slope.easyMost,
        forBreath: !isOut,
      }
      return {
        part: 'upperBack',
        ...(isOut ? {} : { grade: 'tip' as const }),
        facts,
        wish: { part: 'upperBack', wants: angle < Math.max(least, slope.easyLeast) ? 'higher' : 'lower' },
      }
    },
  },
  {
    code: 'STEEP',
    grade: 'look',
    find: ({ elevation: { numbers } }) => {
      const [on, raised, child] = [numbers.incline, numbers.raised, numbers.child]
      if (on?.ok && on.warnings.includes('STEEP'))
        return {
          part: 'upperBack',
          facts: { what: 'bolster', angleDeg: Math.round(on.value.bolsterAngle), mostDeg: 45 },
          wish: { part: 'upperBack', wants: 'lower' },
        }
      if (raised?.ok && raised.warnings.includes('STEEP'))
        return {
          part: 'pelvis',
          facts: { what: 'back', angleDeg: Math.round(raised.value.slope), mostDeg: 30 },
          wish: { part: 'pelvis', wants: 'lower' },
        }
      return (
        child?.ok &&
        child.value.torsoAngle > torso.steep && {
          part: 'chest',
          facts: { what: 'trunk', angleDeg: Math.round(child.value.torsoAngle), mostDeg: torso.steep },
          wish: { part: 'chest', wants: 'lower' },
        }
      )
    },
  },
  {
    code: 'HEAD_OFF_END',
    grade: 'look',
    find: ({ elevation: { numbers, frame } }) => {
      const on = numbers.incline
      return (
        on?.ok === true &&
        on.warnings.includes('HEAD_OFF_END') && {
          part: 'head',
          facts: { alongCm: tenth(on.value.shoulderAlong + frame.shoulderToEar) },
        }
      )
    },
  },
  {
    code: 'HANGS_FREE',
    grade: 'look',
    find: ({ elevation: { numbers } }) => {
      const on = valueOf(numbers.incline)
      return (
        on !== undefined && on.free > apart && { part: 'upperBack', facts: { freeCm: tenth(on.free), mostCm: apart } }
      )
    },
  },
  {
    code: 'ARMS_UNFILLED',
    grade: 'tip',
    find: (look) => {
      if (
        !isLying(look) ||
        (look.figure.arms !== undefined && look.figure.arms !== 'along' && look.figure.arms !== 'wide')
      )
        return undefined
      const { skeleton, frame } = look.elevation
      // On a slope the elbows lie as far down it as the upper arms are long.
      const angle = valueOf(look.elevation.numbers.incline)?.trunkAngle ?? 0
      const shoulder = skeleton.shoulder.y - frame.chestR - frame.upperArm * Math.sin((angle * Math.PI) / 180)
      const short = shoulder - heightOf(look, 'arms')
      return (
        short > armsBelow && {
          part: 'arms',
          facts: {
            elbowsCm: tenth(shoulder),
            armsCm: tenth(heightOf(look, 'arms')),
            shortCm: tenth(short),
            mostCm: armsBelow,
          },
          wish: { part: 'arms', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'TORSO_ANGLE',
    grade: 'tip',
    find: ({ elevation: { numbers } }) => {
      const child = valueOf(numbers.child)
      if (!child || child.torsoAngle > torso.steep) return undefined
      const angle = Math.round(child.torsoAngle)
      return (
        (angle < 0 || angle > torso.most) && {
          part: 'chest',
          facts: { angleDeg: angle, mostDeg: torso.most },
          wish: { part: 'chest', wants: angle < 0 ? 'higher' : 'lower' },
        }
      )
    },
  },
]
