import { amiss } from '#core/result'
import type { Checked } from '#core/result'
import { calculated } from './calculated.ts'
import type { Calculated } from './calculated.ts'

/** How many of a size fit side by side; the little slack is for sums of decimals [formula book 5i]. */
const fit = (total: number, size: number, gap: number, margin: number): number =>
  Math.max(0, Math.floor((total - 2 * margin + gap) / (size + gap) + 1e-9))

const positive = Number.MIN_VALUE

export interface MatsWallInput {
  /** Usable stretches of the wall, cm. */
  readonly segments: readonly number[]
  readonly matW?: number
  readonly gap?: number
  readonly margin?: number
}

/** How many mats stand against a wall that doors and radiators divide [formula book 5i]. */
export function matsWall({
  segments,
  matW = 61,
  gap = 30,
  margin = 15,
}: MatsWallInput): Calculated<{ readonly perSegment: readonly number[]; readonly total: number }> {
  const lengths = segments.map((length, at): Checked => [`segments[${String(at)}]`, length, 0])
  const bad = amiss([...lengths, ['matW', matW, positive], ['gap', gap, 0], ['margin', margin, 0]])
  if (bad) return bad
  const perSegment = segments.map((length) => fit(length, matW, gap, margin))
  return calculated({ perSegment, total: perSegment.reduce((sum, count) => sum + count, 0) })
}

export interface MatsRoomInput {
  readonly X: number
  readonly Y: number
  readonly matW?: number
  readonly matL?: number
  readonly gap?: number
  readonly rowGap?: number
  readonly margin?: number
  /** Depth of the room that is the teacher's, cm. */
  readonly teacher?: number
}

export interface MatsRoom {
  readonly orientation: 'lengthAlongY' | 'lengthAlongX'
  readonly acrossX: number
  readonly alongY: number
  readonly total: number
}

/** How many mats a room takes, all lying one way: the better of the two [formula book 5i]. */
export function matsRoom({
  X,
  Y,
  matW = 61,
  matL = 183,
  gap = 30,
  rowGap = 60,
  margin = 30,
  teacher = 0,
}: MatsRoomInput): Calculated<MatsRoom> {
  const bad = amiss([
    ['X', X, 0],
    ['Y', Y, 0],
    ['matW', matW, positive],
    ['matL', matL, positive],
    ['gap', gap, 0],
    ['rowGap', rowGap, 0],
    ['margin', margin, 0],
    ['teacher', teacher, 0],
  ])
  if (bad) return bad
  const depth = Y - teacher
  const laid = (orientation: MatsRoom['orientation'], acrossX: number, alongY: number): MatsRoom => ({
    orientation,
    acrossX,
    alongY,
    total: acrossX * alongY,
  })
  const a = laid('lengthAlongY', fit(X, matW, gap, margin), fit(depth, matL, rowGap, margin))
  const b = laid('lengthAlongX', fit(X, matL, rowGap, margin), fit(depth, matW, gap, margin))
  return calculated(b.total > a.total ? b : a)
}
