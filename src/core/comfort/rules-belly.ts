import type { Point3 } from '#core/figure'
import { bellyOf, between, distanceTo, lengthOf, minus } from '#core/figure'
import { heightOf, isLying, tenth, valueOf } from './reading.ts'
import type { Look, Rule } from './rule.ts'

/** How steep the trunk lies late in pregnancy, degrees [caution reference, sup_rest and sup_bb: head and trunk inclined]. */
const inclined = { least: 30, most: 45 } as const
/** How far something may press into a belly before it is told, cm [estimate]. */
const mostPressed = 2
/** Nearer to the hip joint than this share of it a thigh is one flesh with the trunk [estimate]. */
const creaseShare = 0.45
/** How many balls of a belly, from the pubic bone up, lie in the crease of the hips. */
const inTheCrease = 2
/** How high something under a belly lies that fills it on the side, cm [estimate]. */
const leastUnderBelly = 2

const isBellied = ({ elevation }: Look): boolean => elevation.lateInPregnancy === true

/** How far something so far from its middle is inside a ball, cm; below 0 where it is outside. */
const inside = (ball: { readonly at: Point3; readonly r: number }, apart: number): number => ball.r - apart

/** What presses furthest into the belly: the thighs, or what carries the body in front. */
function pressing({ elevation: { skeleton, frame, props } }: Look): { byCm: number; by: 'thighs' | 'props' } {
  const belly = bellyOf(skeleton, frame).slice(inTheCrease)
  const thighs = (['left', 'right'] as const).flatMap((side) => {
    const { hip, knee } = skeleton[side]
    return [creaseShare, 0.6, 0.75, 0.9].map((share) => ({
      at: between(hip, knee, share),
      r: frame.thighR + (frame.kneeR - frame.thighR) * share,
    }))
  })
  const byThighs = belly.map((ball) =>
    Math.max(...thighs.map(({ at, r }) => inside(ball, lengthOf(minus(at, ball.at)) - r))),
  )
  const byProps = belly.map((ball) =>
    Math.max(
      0,
      ...props
        .filter(({ zFrom, zTo }) => ball.at.z >= zFrom && ball.at.z <= zTo)
        .map((prop) => inside(ball, distanceTo(prop, ball.at))),
    ),
  )
  const [thighsCm, propsCm] = [Math.max(0, ...byThighs), Math.max(...byProps)]
  return thighsCm >= propsCm ? { byCm: thighsCm, by: 'thighs' } : { byCm: propsCm, by: 'props' }
}

/** What a body late in pregnancy asks of a set-up [caution reference: prone, sup_rest, fold_seated, child, side_rest]. */
export const bellyRules: readonly Rule[] = [
  {
    code: 'BELLY_FLAT_ON_BACK',
    grade: 'must',
    find: (look) => {
      if (!isBellied(look) || !isLying(look)) return undefined
      const angle = Math.round(valueOf(look.elevation.numbers.incline)?.trunkAngle ?? 0)
      return (
        angle < inclined.least && {
          part: 'upperBack',
          facts: { angleDeg: angle, leastDeg: inclined.least, mostDeg: inclined.most },
          wish: { part: 'upperBack', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'BELLY_LAIN_ON',
    grade: 'must',
    find: (look) => isBellied(look) && look.figure.kind === 'prone' && { part: 'belly', facts: {} },
  },
  {
    code: 'BELLY_PRESSED',
    grade: 'look',
    find: (look) => {
      if (!isBellied(look) || look.figure.kind === 'prone' || look.figure.kind === 'side') return undefined
      const { byCm, by } = pressing(look)
      return (
        byCm > mostPressed && {
          part: 'belly',
          facts: { byCm: tenth(byCm), by },
          wish: { part: 'chest', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'BELLY_UNFILLED',
    grade: 'tip',
    find: (look) =>
      isBellied(look) &&
      look.figure.kind === 'side' &&
      heightOf(look, 'belly') < leastUnderBelly && { part: 'belly', facts: {} },
  },
]
