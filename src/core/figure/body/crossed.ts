import type { FigureOf } from '#model/figure'
import type { Frame } from './frame.ts'
import { between, cross, dot, fromOut, lengthOf, minus, plus, reached, scaled } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { hipJoint } from './legs.ts'
import type { Leg } from './legs.ts'

export type Crossing = NonNullable<FigureOf<'seated'>['crossing']>
/** The legs of a seat, the right one as the pose names its right side. */
export interface Pair {
  readonly right: Leg
  readonly left: Leg
}

/** Where legs that are crossed lie, in shares of the stature from the middle of the hips [estimates]: ahead, and to the leg's own side. */
const places = {
  /** Heels one before the other. */
  near: { ahead: 0.07, aside: 0.01 },
  before: { ahead: 0.145, aside: 0.01 },
  apart: 0.075,
  /** The lower foot under the other leg; the upper on the other thigh, its ankle over the middle. */
  under: { ahead: 0.135, aside: -0.012 },
  over: { ahead: 0.068, aside: -0.012 },
  onThigh: 0.3,
  /** Shins square before the body, each ankle at the other knee. */
  square: { ahead: 0.235, aside: -0.112 },
  /** Knees one over the other, the feet beside the hips. */
  besideHip: { ahead: 0.05, aside: -0.155 },
} as const

/** What legs are crossed on, cm. */
export interface Sitting {
  readonly hip: Point3
  /** How high the lower knee is. */
  readonly kneeY: number
  /** How high what lies under the knees is. */
  readonly underKnees: number
  /** How far ahead what carries the pelvis reaches, and how far to either side. */
  readonly seat: { readonly front: number; readonly aside: number }
}

/** Legs crossed in a way of their own, the knee of the lower one as high as it was found; every bone as long as it is. */
export function crossedPair(crossing: Crossing, f: Frame, sitting: Sitting): Pair {
  return pairs[crossing](f, sitting)
}

/** A foot on the floor before or beside what carries the pelvis, never in it. */
function clearOf({ front, aside }: Sitting['seat'], f: Frame, place: Place): Place {
  const isBeside = Math.abs(place.aside) * f.stature - f.heelR > aside
  return isBeside ? place : { ...place, ahead: Math.max(place.ahead, (front + f.heelR + 0.3) / f.stature) }
}

const pairs: Readonly<Record<Crossing, (f: Frame, sitting: Sitting) => Pair>> = {
  heelsInLine: (f, { hip, kneeY, seat }) => {
    const near = clearOf(seat, f, places.near)
    const leg = (place: Place, z: 1 | -1, toes: number): Leg =>
      legTo(f, hip, { z, ankle: at(f, place, f.heelR, z), kneeY, toes, outwards: { x: 0.35, y: 0, z } })
    return {
      right: leg(near, 1, -62),
      left: leg({ ...places.before, ahead: Math.max(places.before.ahead, near.ahead + places.apart) }, -1, 75),
    }
  },
  footOnThigh: (f, { hip, kneeY, seat }) => {
    const left = legTo(f, hip, {
      ...{ z: -1, ankle: at(f, clearOf(seat, f, places.under), f.heelR, -1), kneeY, toes: 95 },
      outwards: { x: 0.4, y: 0, z: -1 },
    })
    const thighTop = between(left.hip, left.knee, places.onThigh).y + f.thighR * 0.8
    const ankle = at(f, places.over, thighTop, 1)
    const right = legTo(f, hip, { z: 1, ankle, kneeY, toes: -105, outwards: { x: 0.45, y: 0, z: 1 } })
    return { right, left }
  },
  stackedShins: (f, { hip, kneeY, underKnees }) => {
    const leg = (z: 1 | -1, up: number): Leg =>
      legTo(f, hip, {
        ...{ z, ankle: at(f, places.square, underKnees + f.heelR + up, z), kneeY: kneeY + up, toes: -z * 35 },
        outwards: { x: 0.5, y: 0, z },
      })
    return { right: leg(1, 2 * f.kneeR), left: leg(-1, 0) }
  },
  stackedKnees: (f, { hip, kneeY, seat }) => {
    const leg = (z: 1 | -1, up: number): Leg =>
      legTo(f, hip, {
        ...{ z, ankle: at(f, clearOf(seat, f, places.besideHip), f.heelR, z), kneeY: kneeY + up, toes: -z * 95 },
        outwards: { x: 1, y: 0, z: -z * 0.2 },
      })
    return { right: leg(1, 2 * f.kneeR), left: leg(-1, 0) }
  },
}

type Place = Readonly<Record<'ahead' | 'aside', number>>

const at = (f: Frame, { ahead, aside }: Place, y: number, z: 1 | -1): Point3 => ({
  x: ahead * f.stature,
  y,
  z: z * aside * f.stature,
})

interface Wanted {
  /** Which leg: the right is at 1. */
  readonly z: 1 | -1
  readonly ankle: Point3
  readonly kneeY: number
  /** Which way the knee goes. */
  readonly outwards: Point3
  /** Which way the foot points, degrees from straight ahead towards the right. */
  readonly toes: number
}

function legTo(f: Frame, hip: Point3, { z, ankle: wished, kneeY, outwards, toes }: Wanted): Leg {
  const start = { ...hipJoint(hip, f), z: z * f.hipHalf }
  const ankle = reached(start, wished, f.thigh, f.shank)
  return {
    hip: start,
    knee: kneeAt(start, ankle, { first: f.thigh, second: f.shank, y: kneeY, outwards }),
    ankle,
    toe: fromOut(ankle, 0, toes, f.footLength),
  }
}

interface Knee {
  readonly first: number
  readonly second: number
  /** How high the knee is wanted, cm; where the bones do not let it, as near as they do. */
  readonly y: number
  readonly outwards: Point3
}

/** The joint of two bones between two points, at a wanted height, on the side it goes to. */
function kneeAt(start: Point3, end: Point3, { first, second, y, outwards }: Knee): Point3 {
  const line = minus(end, start)
  const apart = lengthOf(line)
  const axis = scaled(line, 1 / apart)
  const along = Math.max(-first, Math.min(first, (first ** 2 + apart ** 2 - second ** 2) / (2 * apart)))
  const off = Math.sqrt(Math.max(0, first ** 2 - along ** 2))
  const middle = plus(start, scaled(axis, along))
  // Of the circle it can lie on: across, level with the floor, and up.
  const level = unit(cross(axis, { x: 0, y: 1, z: 0 }))
  const across = dot(level, outwards) < 0 ? scaled(level, -1) : level
  const up = cross(across, axis)
  const rises = Math.abs(up.y) < 1e-6 ? 0 : Math.max(-1, Math.min(1, (y - middle.y) / (off * up.y || 1)))
  const away = Math.sqrt(1 - rises ** 2)
  return plus(middle, plus(scaled(across, off * away), scaled(up, off * rises)))
}

const unit = (v: Point3): Point3 => scaled(v, 1 / (lengthOf(v) || 1))
