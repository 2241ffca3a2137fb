import type { Side } from '#model/common'
import type { BodyPart } from '#model/set-up'
import { isSeat } from '#core/props'
import type { LoadedPiece, Pile } from '#core/props'
import type { Frame } from './frame.ts'
import { between } from '../geometry/plane.ts'
import type { Point, Point3 } from '../geometry/plane.ts'
import { boundsOf, distanceTo, floorAt, isFreeOf, samples, shapeOn, surfaceAt } from '../geometry/shape.ts'
import type { Limb, Shape, Surface } from '../geometry/shape.ts'
import type { BookNumbers } from '../numbers/numbers.ts'
import type { Skeleton } from './skeleton.ts'
import type { LaidSlope } from './slope.ts'

/** Something a limb cannot be in: an outline from the side, and what it takes of the depth of the picture. */
export interface Obstacle extends Shape {
  readonly zFrom: number
  readonly zTo: number
}

/** What props that lie together do: carry by themselves, be the long support of a slope with what lies on it, or raise that. */
export type HeapRole = 'support' | 'slope' | 'riser'

/** Which heap a prop belongs to; `twin` is the side of one of two equal piles. */
interface InHeap {
  readonly part: BodyPart
  readonly role: HeapRole
  readonly twin?: Side
}

/** A prop where it lies. */
export interface PlacedProp extends Obstacle, InHeap {
  readonly piece: LoadedPiece
}

/** Props that lie together, from the floor up. */
export interface Heap extends InHeap {
  readonly props: readonly PlacedProp[]
  /** Loaded height of all of them, cm. */
  readonly height: number
}

/** What a figure is built from. */
export interface Scene {
  readonly f: Frame
  readonly piles: readonly Pile[]
  /** Whether the set-up names a wall. */
  readonly wall: boolean
  /** How high the knees are cross-legged on the floor, where that was measured, cm. */
  readonly kneeH0Cm?: number | undefined
}

/** A figure at rest on its props. */
export interface Drawn {
  readonly skeleton: Skeleton
  readonly props: readonly PlacedProp[]
  /** Where the wall stands, and which way it faces the body. */
  readonly wallX?: number
  /** Where the back of a chair stands that somebody leans over. */
  readonly backrestX?: number
  /** The head lies on a cheek: the face is turned to the body's right. */
  readonly onCheek?: boolean
  /** The book's numbers it was built from. */
  readonly numbers: BookNumbers
  /** The slope under the back. */
  readonly slope?: LaidSlope
  /** How far legs that reach up to a seat lift the pelvis off what it lies on, cm. */
  readonly lift?: number
}

/** Whether a chair or sofa stands at the foot of a pile. */
export const onSeat = (pile: Pick<Pile, 'pieces'> | undefined): boolean =>
  pile?.pieces[0] !== undefined && isSeat(pile.pieces[0])

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
  { z = 0, role = 'support', twin }: { readonly z?: number; readonly role?: HeapRole; readonly twin?: Side } = {},
): readonly PlacedProp[] {
  const heap = { part, role, ...(twin ? { twin } : {}) }
  let base = surface
  return pieces.map((piece) => {
    const shape = shapeOn(base, piece, piece.loaded)
    base = surfaceAt(base, 0, piece.loaded)
    return { ...shape, ...heap, piece, zFrom: z - piece.across / 2, zTo: z + piece.across / 2 }
  })
}

/** A pile in the middle, or both of two equal piles at their depths. */
export function placed(pile: Pile | undefined, surface: Surface, z = 0): readonly PlacedProp[] {
  if (!pile) return []
  return pile.piles === 1
    ? stacked(pile.pieces, pile.part, surface)
    : [
        ...stacked(pile.pieces, pile.part, surface, { z: -z, twin: 'left' }),
        ...stacked(pile.pieces, pile.part, surface, { z, twin: 'right' }),
      ]
}

/** The props as the heaps they were laid in, in the order in which they were laid. */
export function heapsOf(props: readonly PlacedProp[]): readonly Heap[] {
  const heaps = new Map<string, PlacedProp[]>()
  for (const prop of props) {
    const key = `${prop.part} ${prop.role} ${prop.twin ?? ''}`
    heaps.set(key, [...(heaps.get(key) ?? []), prop])
  }
  return [...heaps.values()].flatMap((there) => {
    const [first] = there
    if (!first) return []
    const { part, role, twin } = first
    const height = there.reduce((sum, { piece }) => sum + piece.loaded, 0)
    return [{ part, role, ...(twin ? { twin } : {}), props: there, height }]
  })
}

/** How high the highest of some props reaches; 0 without any. */
export const topOf = (props: readonly PlacedProp[]): number => Math.max(0, ...props.map((prop) => boundsOf(prop).high))

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
