import { lowBackBend, neckBend } from './frame.ts'
import type { Frame } from './frame.ts'
import { from, turnUntilClear, turnUntilContact } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { isClear } from './scene.ts'
import type { Obstacle } from './scene.ts'

export interface Trunk {
  readonly hip: Point3
  readonly waist: Point3
  readonly shoulder: Point3
  readonly crown: Point3
  /** Angles of the two parts of the trunk and of the neck above the floor, in the sense of the figure. */
  readonly low: number
  readonly ribs: number
  readonly neck: number
}

/**
 * Which way a lying body faces and points: `towards` −1 has the head at the left. Face up the trunk bends forward
 * by rising, face down by sinking.
 */
export interface Lie {
  readonly towards: 1 | -1
  readonly face: 'up' | 'down'
}

/** Steps enough for something as thick as the trunk, which has nothing but the floor under what it meets. */
const coarse = 9

const angle = ({ towards }: Lie, above: number): number => (towards === 1 ? above : 180 - above)

/** Flesh on the side the body lies on. */
const radii = (f: Frame, { face }: Lie) =>
  face === 'up'
    ? { hip: f.hipR, waist: f.waistR, shoulder: f.chestR }
    : { hip: f.hipR, waist: f.hipR, shoulder: f.chestFront }

/** The head as what it is: a ball about its centre. */
export const headBall = (f: Frame, shoulder: Point3, crown: Point3) => {
  const centre = from(shoulder, (Math.atan2(crown.y - shoulder.y, crown.x - shoulder.x) * 180) / Math.PI, f.headAlong)
  return { a: centre, b: centre, ra: f.headR, rb: f.headR }
}

/** A neck and head laid down from the shoulder until the head meets something, within what a neck bends. */
export function layHead(
  f: Frame,
  lie: Lie,
  shoulder: Point3,
  ribs: number,
  props: readonly Obstacle[],
): { readonly crown: Point3; readonly neck: number } {
  const [up, down] = lie.face === 'up' ? [neckBend.forward, neckBend.back] : [neckBend.back, neckBend.forward]
  const crownAt = (above: number): Point3 => from(shoulder, angle(lie, above), f.headNeck)
  const neck = turnUntilContact(
    ribs + up,
    ribs - down,
    (above) => isClear([headBall(f, shoulder, crownAt(above))], props),
    coarse,
  )
  return { crown: crownAt(neck), neck }
}

/**
 * The trunk laid on what is there, part by part: each sinks from the hip until it meets a prop or the floor, within
 * what the low back bends. `least` and `most` bound the lowest part.
 */
export function layTrunk(
  f: Frame,
  lie: Lie,
  hip: Point3,
  props: readonly Obstacle[],
  { least = -40, most = 75 }: { readonly least?: number; readonly most?: number } = {},
): Omit<Trunk, 'crown' | 'neck'> {
  const r = radii(f, lie)
  const waistAt = (above: number): Point3 => from(hip, angle(lie, above), f.lowTrunk)
  // The low part sinks only as far as leaves the rib cage a way over what is there.
  const rises = lie.face === 'up' ? lowBackBend.forward : lowBackBend.back
  const low = turnUntilContact(
    most,
    least,
    (above) => {
      const waist = waistAt(above)
      const ribs = { a: waist, b: from(waist, angle(lie, above + rises), f.ribCage), ra: r.waist, rb: r.shoulder }
      return isClear([{ a: hip, b: waist, ra: r.hip * 0.9, rb: r.waist }, ribs], props)
    },
    coarse,
  )
  const laid = layRibs(f, lie, waistAt(low), low, props)
  return { hip, waist: waistAt(low), low, ...laid }
}

/**
 * The trunk arched over something that lies across it: the low back rises to it, the rib cage falls away past it,
 * as far as the low back bends. The lowest arch that is clear.
 */
export function archedTrunk(
  f: Frame,
  lie: Lie,
  hip: Point3,
  props: readonly Obstacle[],
): Omit<Trunk, 'crown' | 'neck'> {
  const r = radii(f, lie)
  const posed = (low: number) => {
    const ribs = low - Math.min(lowBackBend.back, 2 * low)
    const waist = from(hip, angle(lie, low), f.lowTrunk)
    return { hip, waist, low, shoulder: from(waist, angle(lie, ribs), f.ribCage), ribs }
  }
  return posed(
    turnUntilClear(0, 60, (low) => {
      const { waist, shoulder } = posed(low)
      return isClear(
        [
          { a: hip, b: waist, ra: r.hip * 0.9, rb: r.waist },
          { a: waist, b: shoulder, ra: r.waist, rb: r.shoulder * 0.98 },
        ],
        props,
      )
    }),
  )
}

/** The rib cage laid down from the waist, within what the low back bends. */
function layRibs(
  f: Frame,
  lie: Lie,
  waist: Point3,
  low: number,
  props: readonly Obstacle[],
): { readonly shoulder: Point3; readonly ribs: number } {
  const r = radii(f, lie)
  const [up, down] =
    lie.face === 'up' ? [lowBackBend.forward, lowBackBend.back] : [lowBackBend.back, lowBackBend.forward]
  const shoulderAt = (above: number): Point3 => from(waist, angle(lie, above), f.ribCage)
  const ribs = turnUntilContact(
    low + up,
    low - down,
    (above) => isClear([{ a: waist, b: shoulderAt(above), ra: r.waist, rb: r.shoulder }], props),
    coarse,
  )
  return { shoulder: shoulderAt(ribs), ribs }
}
