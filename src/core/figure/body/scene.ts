import type { BodyPart } from '#model/set-up'
import type { LoadedPiece, Pile } from '#core/props'
import type { Frame } from './frame.ts'
import { between } from '../geometry/plane.ts'
import type { Point, Point3 } from '../geometry/plane.ts'
import { distanceTo, floorAt, isFreeOf, samples, shapeOn, surfaceAt } from '../geometry/shape.ts'
import type { Limb, Shape, Surface } from '../geometry/shape.ts'
import type { Skeleton } from './skeleton.ts'

/** Something a limb cannot be in: an outline from the side, and what it takes of the depth of the picture. */
export interface Obstacle extends Shape {
  readonly zFrom: number
  readonly zTo: number
}

/** A prop where it lies. */
export interface PlacedProp extends Obstacle {
  readonly piece: LoadedPiece
  readonly part: BodyPart
}

/** What a figure is built from. */
export interface Scene {
  readonly f: Frame
  readonly piles: readonly Pile[]
  /** Whether the set-up names a wall. */
  readonly wall: boolean
}

/** A figure at rest on its props. */
export interface Drawn {
  readonly skeleton: Skeleton
  readonly props: readonly PlacedProp[]
  /** Where the wall stands, and which way it faces the body. */
  readonly wallX?: number
}

/** The pile under a part; with `count`, only one of so many equal piles. */
export const pileUnder = ({ piles }: Pick<Scene, 'piles'>, part: BodyPart, count?: 1 | 2): Pile | undefined =>
  piles.find((pile) => pile.part === part && (count === undefined || pile.piles === count))

export const heightUnder = (scene: Pick<Scene, 'piles'>, part: BodyPart): number => pileUnder(scene, part)?.height ?? 0

/** How wide the widest piece of a pile is along the body. */
export const alongOf = (pile: Pick<Pile, 'pieces'> | undefined): number =>
  Math.max(0, ...(pile?.pieces ?? []).map(({ along }) => along))

/** Pieces one on another, centred on a surface and on a depth. */
export function stacked(
  pieces: readonly LoadedPiece[],
  part: BodyPart,
  surface: Surface,
  z = 0,
): readonly PlacedProp[] {
  let base = surface
  return pieces.map((piece) => {
    const shape = shapeOn(base, piece, piece.loaded)
    base = surfaceAt(base, 0, piece.loaded)
    return { ...shape, piece, part, zFrom: z - piece.across / 2, zTo: z + piece.across / 2 }
  })
}

/** A pile in the middle, or both of two equal piles at their depths. */
export function placed(pile: Pile | undefined, surface: Surface, z = 0): readonly PlacedProp[] {
  if (!pile) return []
  return pile.piles === 1
    ? stacked(pile.pieces, pile.part, surface, 0)
    : [-1, 1].flatMap((side) => stacked(pile.pieces, pile.part, surface, side * z))
}

/**
 * A thigh or a shin as something the trunk cannot be in, from a share of the way on: near the joint they are one
 * flesh. `beside` is how wide the trunk is to either side.
 */
export function limbObstacle({ a, b, ra, rb }: Limb, fromShare: number, beside: number): Obstacle {
  const start = between(a, b, fromShare)
  return {
    core: [start, b],
    radius: (ra + rb) / 2,
    zFrom: Math.min(start.z, b.z) - beside,
    zTo: Math.max(start.z, b.z) + beside,
  }
}

/** How far a limb is from the floor and the props, cm: negative where it is in one of them. */
export function clearance(limb: Limb, props: readonly Obstacle[]): number {
  let least = Infinity
  for (let at = 0; at <= samples; at += 1) {
    const share = at / samples
    const point: Point3 = between(limb.a, limb.b, share)
    const radius = limb.ra + (limb.rb - limb.ra) * share
    least = Math.min(least, point.y - radius)
    for (const prop of props) {
      if (point.z < prop.zFrom || point.z > prop.zTo) continue
      least = Math.min(least, distanceTo(prop, point) - radius)
    }
  }
  return least
}

/** As {@link clearance}, but only whether it is at least `-sinks`; what is far from the limb is not looked at. */
export function isFree(limb: Limb, props: readonly Obstacle[], sinks = 1e-6): boolean {
  const { a, b, ra, rb } = limb
  if (a.y < ra - sinks || b.y < rb - sinks) return false
  return props.every((prop) => isFreeOf(limb, prop, prop.zFrom, prop.zTo, sinks))
}

/** One pile laid out once at the origin, for {@link isFreeOfPile}. */
export const stillOf = (pile: Pile | undefined): readonly PlacedProp[] =>
  pile ? stacked(pile.pieces, pile.part, floorAt(0)) : []

/** Whether a limb is free of a pile that stands at a point and a depth: the limb is moved instead of the pile. */
export function isFreeOfPile(
  { a, b, ra, rb }: Limb,
  still: readonly PlacedProp[],
  at: Point,
  z = 0,
  sinks = 1e-6,
): boolean {
  const back = (p: Point3): Point3 => ({ x: p.x - at.x, y: p.y - at.y, z: p.z - z })
  const limb = { a: back(a), b: back(b), ra, rb }
  return still.every((prop) => isFreeOf(limb, prop, prop.zFrom, prop.zTo, sinks))
}

export const isClear = (limbs: readonly Limb[], props: readonly Obstacle[]): boolean =>
  limbs.every((limb) => isFree(limb, props))
