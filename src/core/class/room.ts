import type { Family } from '#model/family'
import type { Room } from '#model/place'
import { matsRoom, matsWall } from '#core/props'
import { orThrow } from '#core/result'
import type { Timeline } from '#core/timeline'
import type { Centimetres } from '#core/units'
import { laidIn } from './laid.ts'

/** What a class wants of the floor: how far its mats stand apart, and how much longer a chair makes them [handling book 4]. */
export interface FloorWanted {
  readonly gapCm: Centimetres
  readonly chairCm: Centimetres
  /** Blocks that are done at the wall. */
  readonly atWall: readonly string[]
}

/** Air between mats: bare, with arms or props beside them, with the legs wide [handling book 4], cm. */
const gaps = { bare: 30, beside: 60, straddle: 90 } as const
const chairLengthCm = 60
const wide: ReadonlySet<Family> = new Set<Family>(['fold_wide', 'wide_lying'])

/** The widest shape of a session tells the gap, a chair in any of its set-ups the length. */
export function floorWanted(timeline: Timeline): FloorWanted {
  const holds = timeline.blocks.flatMap(({ block }) => (block.kind === 'hold' ? [block] : []))
  const kinds = new Set(laidIn(timeline).flatMap(({ items }) => items.map(({ kind }) => kind)))
  const isWide = holds.some(({ pose }) => pose.families.some((family) => wide.has(family)))
  const atWall = holds.filter(
    ({ pose, setUp }) =>
      pose.base.enter === 'atWall' || (setUp?.value.items.some(({ kind }) => kind === 'wall') ?? false),
  )
  return {
    gapCm: isWide ? gaps.straddle : kinds.size > 0 ? gaps.beside : gaps.bare,
    chairCm: kinds.has('chair') ? chairLengthCm : 0,
    atWall: atWall.map(({ block }) => block.id),
  }
}

/** A rectangle on the floor from above: its corner from the front left one of the room, and its size, cm. */
export interface OnFloor {
  readonly x: Centimetres
  readonly y: Centimetres
  readonly width: Centimetres
  readonly length: Centimetres
}

export interface RoomPlan {
  /** As many mats as the room takes so far apart. */
  readonly most: number
  /** The mats of those who are there, row by row from the teacher, each row in the middle of the room. */
  readonly mats: readonly OnFloor[]
  /** As many as can lie with their legs up the free walls. */
  readonly mostAtWall: number
}

/** A mat, and what is the teacher's in front of them, cm. */
const mat = { width: 61, length: 183 } as const
export const teacherCm = 150
const marginCm = 30
const rowGapCm = 60

/** The mats of a class in a room, to scale, all lying one way [formula book 5i]. */
export function roomPlan(
  room: Pick<Room, 'lengthMm' | 'widthMm' | 'walls'>,
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
  const segments = room.walls.map(({ freeMm }) => freeMm / 10)
  const wall = orThrow(matsWall({ segments, gap: gapCm }))
  return { most: fits.total, mats, mostAtWall: wall.total }
}
