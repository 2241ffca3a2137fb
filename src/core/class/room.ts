import type { Family } from '#model/family'
import type { Room, RoomSide, Spot } from '#model/place'
import { matsRoom, matsWall } from '#core/props'
import { orThrow } from '#core/result'
import type { Timeline } from '#core/timeline'
import type { Centimetres, Milliseconds, Seconds } from '#core/units'
import { laidIn } from './laid.ts'

/** What a class wants of the floor: how far its mats stand apart, and how much longer a chair makes them [handling book 4]. */
export interface FloorWanted {
  readonly gapCm: Centimetres
  readonly chairCm: Centimetres
  /** Blocks that are done at the wall, with the longest time a side is held there. */
  readonly atWall: readonly { readonly blockId: string; readonly startMs: Milliseconds; readonly holdS: Seconds }[]
}

/** Air between mats: bare, with arms or props beside them, with the legs wide [handling book 4], cm. */
const gaps = { bare: 30, beside: 60, straddle: 90 } as const
const chairLengthCm = 60
const wide: ReadonlySet<Family> = new Set<Family>(['fold_wide', 'wide_lying'])

/** The widest shape of a session tells the gap, a chair in any of its set-ups the length. */
export function floorWanted(timeline: Timeline): FloorWanted {
  const holds = timeline.blocks.flatMap(({ block, startMs }) => (block.kind === 'hold' ? [{ ...block, startMs }] : []))
  const kinds = new Set(laidIn(timeline).flatMap(({ items }) => items.map(({ kind }) => kind)))
  const isWide = holds.some(({ pose }) => pose.families.some((family) => wide.has(family)))
  const atWall = holds.filter(
    ({ pose, setUp }) =>
      pose.base.enter === 'atWall' || (setUp?.value.items.some(({ kind }) => kind === 'wall') ?? false),
  )
  return {
    gapCm: isWide ? gaps.straddle : kinds.size > 0 ? gaps.beside : gaps.bare,
    chairCm: kinds.has('chair') ? chairLengthCm : 0,
    atWall: atWall.map(({ block, startMs, sides }) => ({
      blockId: block.id,
      startMs,
      holdS: Math.max(0, ...sides.map(({ holdS }) => holdS)),
    })),
  }
}

/** A rectangle on the floor from above: its corner from the front left one of the room, and its size, cm. */
export interface OnFloor {
  readonly x: Centimetres
  readonly y: Centimetres
  readonly width: Centimetres
  readonly length: Centimetres
}

export interface PointOnFloor {
  readonly x: Centimetres
  readonly y: Centimetres
}

export interface RoomPlan {
  /** As many mats as the room takes so far apart. */
  readonly most: number
  /** The mats of those who are there, row by row from the teacher, each row in the middle of the room. */
  readonly mats: readonly OnFloor[]
  /** A chair at the end of each mat, where the session wants room for one. */
  readonly chairs: readonly OnFloor[]
  /** As many as can lie with their legs up the free walls. */
  readonly mostAtWall: number
  /** Their places along the walls whose side is known. */
  readonly wallPlaces: readonly OnFloor[]
  readonly door?: PointOnFloor
  readonly cupboard?: PointOnFloor
  /** The teacher's way to what is known of door and cupboard, along the front and the sides. */
  readonly ways: readonly (readonly PointOnFloor[])[]
}

/** A mat, and what is the teacher's in front of them, cm. */
const mat = { width: 61, length: 183 } as const
export const teacherCm = 150
const marginCm = 30
const rowGapCm = 60

/** The mats of a class in a room, to scale, all lying one way [formula book 5i]. */
export function roomPlan(
  room: Pick<Room, 'lengthMm' | 'widthMm' | 'walls' | 'door' | 'cupboard'>,
  people: number,
  { gapCm, chairCm }: Pick<FloorWanted, 'gapCm' | 'chairCm'>,
): RoomPlan {
  const [X, Y] = [room.widthMm / 10, room.lengthMm / 10]
  const long = mat.length + chairCm
  const fits = orThrow(matsRoom({ X, Y, matW: mat.width, matL: long, gap: gapCm, teacher: teacherCm }))
  const along = fits.orientation === 'lengthAlongY'
  const size = along ? { width: mat.width, length: long } : { width: long, length: mat.width }
  const [gapX, gapY] = along ? [gapCm, rowGapCm] : [rowGapCm, gapCm]
  const mats = Array.from({ length: Math.min(people, fits.total) }, (_, at): OnFloor => {
    const row = Math.floor(at / fits.acrossX)
    const inRow = Math.min(fits.acrossX, Math.min(people, fits.total) - row * fits.acrossX)
    const rowWidth = inRow * size.width + (inRow - 1) * gapX
    return {
      ...size,
      x: (X - rowWidth) / 2 + (at % fits.acrossX) * (size.width + gapX),
      y: teacherCm + marginCm + row * (size.length + gapY),
    }
  })
  const wall = orThrow(matsWall({ segments: room.walls.map(({ freeMm }) => freeMm / 10), gap: gapCm }))
  const spots = { door: pointOf(room.door, X, Y), cupboard: pointOf(room.cupboard, X, Y) }
  return {
    most: fits.total,
    mats: mats.map((one) => (along ? { ...one, length: mat.length } : { ...one, width: mat.length })),
    chairs: chairCm === 0 ? [] : mats.map((one) => chairOf(one, chairCm, along)),
    mostAtWall: wall.total,
    wallPlaces: room.walls.flatMap(({ side }, at) =>
      side ? wallPlacesOf(side, wall.perSegment[at] ?? 0, { X, Y, gapCm }) : [],
    ),
    ...(spots.door ? { door: spots.door } : {}),
    ...(spots.cupboard ? { cupboard: spots.cupboard } : {}),
    ways: [spots.cupboard, spots.door].flatMap((to) => (to ? [wayTo(to, X, Y)] : [])),
  }
}

/** A chair on the mat's far end. */
const chairOf = ({ x, y, width, length }: OnFloor, chairCm: Centimetres, along: boolean): OnFloor =>
  along
    ? { x: x + (width - chairSeatCm) / 2, y: y + length - chairCm + 10, width: chairSeatCm, length: chairSeatCm }
    : { x: x + width - chairCm + 10, y: y + (length - chairSeatCm) / 2, width: chairSeatCm, length: chairSeatCm }
const chairSeatCm = 42

function pointOf(spot: Spot | undefined, X: Centimetres, Y: Centimetres): PointOnFloor | undefined {
  if (!spot) return undefined
  const at = spot.atMm / 10
  const alongX = Math.min(at, X)
  const alongY = Math.min(at, Y)
  return {
    front: { x: alongX, y: 0 },
    back: { x: alongX, y: Y },
    left: { x: 0, y: alongY },
    right: { x: X, y: alongY },
  }[spot.side]
}

/** Places for people with their legs up a wall: as wide as a mat, as deep as one lies there. */
function wallPlacesOf(
  side: RoomSide,
  count: number,
  { X, Y, gapCm }: { readonly X: Centimetres; readonly Y: Centimetres; readonly gapCm: Centimetres },
): readonly OnFloor[] {
  const along = side === 'front' || side === 'back' ? X : Y
  const taken = count * mat.width + (count - 1) * gapCm
  return Array.from({ length: count }, (_, at): OnFloor => {
    const from = (along - taken) / 2 + at * (mat.width + gapCm)
    const alongX = { x: from, width: mat.width, length: atWallCm }
    const alongY = { y: from, width: atWallCm, length: mat.width }
    return {
      front: { ...alongX, y: 0 },
      back: { ...alongX, y: Y - atWallCm },
      left: { ...alongY, x: 0 },
      right: { ...alongY, x: X - atWallCm },
    }[side]
  })
}
/** Trunk and head of a person whose legs are up the wall, as deep as is drawn. */
const atWallCm = 95

/** From the teacher's place in the middle of the front along it, then along the nearer side, past the mats. */
function wayTo(to: PointOnFloor, X: Centimetres, Y: Centimetres): readonly PointOnFloor[] {
  const edge = marginCm / 2
  const from = { x: X / 2, y: teacherCm / 2 }
  const aisle = to.x < X / 2 ? edge : X - edge
  const y = Math.min(Math.max(to.y, edge), Y - edge)
  return to.y <= 0
    ? [from, { x: to.x, y: from.y }, to]
    : [from, { x: aisle, y: from.y }, { x: aisle, y }, { x: to.x, y }]
}
