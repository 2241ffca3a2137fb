import type { Seen } from './view.ts'

const { ceil, floor, max, min, sqrt } = Math

/** A ball of flesh as it is seen, cm. */
export interface Disc extends Seen {
  readonly r: number
}

/** How far each place of a grid is inside of something, cm; below 0 outside, and no more than {@link outside} counted. */
export interface Field {
  readonly left: number
  readonly low: number
  readonly cell: number
  readonly across: number
  readonly rows: number
  readonly depths: Float64Array
}

/** Further out than this from everything nothing is measured, cells: an outline is found between neighbours. */
const margin = 1

/** Something flesh does not enter but is pressed flat against: how far a place is from it, cm, and from where to where. */
export interface Firm {
  readonly apart: (u: number, v: number) => number
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
  /** What of the depth of the picture it takes. */
  readonly from: number
  readonly to: number
}

/** The flesh of strings of discs over a grid of square cells, cm; pressed flat against what is firm at its depth. */
export function fieldOf(strings: readonly (readonly Disc[])[], cell: number, firm: readonly Firm[] = []): Field {
  const discs = strings.flat()
  const reach = margin * cell
  const left = min(...discs.map(({ u, r }) => u - r)) - reach
  const low = min(...discs.map(({ v, r }) => v - r)) - reach
  const right = max(...discs.map(({ u, r }) => u + r)) + reach
  const high = max(...discs.map(({ v, r }) => v + r)) + reach
  const across = ceil((right - left) / cell) + 1
  const rows = ceil((high - low) / cell) + 1
  const field = { left, low, cell, across, rows, depths: new Float64Array(across * rows).fill(-reach) }
  for (const string of strings) {
    const [first] = string
    if (string.length === 1 && first) fillBetween(field, first, first, firm)
    for (let at = 1; at < string.length; at += 1) {
      const [a, b] = [string[at - 1], string[at]]
      if (a && b) fillBetween(field, a, b, firm)
    }
  }
  return field
}

function fillBetween(field: Field, a: Disc, b: Disc, firm: readonly Firm[]): void {
  const { left, low, cell, across, rows, depths } = field
  const thick = max(a.r, b.r)
  const reach = thick + margin * cell
  const from = max(0, ceil((min(a.u, b.u) - reach - left) / cell))
  const to = min(across - 1, floor((max(a.u, b.u) + reach - left) / cell))
  const bottom = max(0, ceil((min(a.v, b.v) - reach - low) / cell))
  const top = min(rows - 1, floor((max(a.v, b.v) + reach - low) / cell))
  const against = firm.filter((one) => isAgainst(one, a, b, thick))
  const du = b.u - a.u
  const dv = b.v - a.v
  const perLength = 1 / (du * du + dv * dv || 1)
  const taper = b.r - a.r
  for (let row = bottom; row <= top; row += 1) {
    const v = low + row * cell
    const pv = v - a.v
    for (let column = from; column <= to; column += 1) {
      const u = left + column * cell
      const pu = u - a.u
      const share = max(0, min(1, (pu * du + pv * dv) * perLength))
      const at = row * across + column
      const before = depths[at] ?? 0
      const thickness = a.r + taper * share
      // Most places are deeper in a piece before this one, or too far away: they are left without a root taken.
      const within = thickness - before
      if (within <= 0) continue
      const ou = pu - share * du
      const ov = pv - share * dv
      const apart = ou * ou + ov * ov
      if (apart >= within * within) continue
      let depth = thickness - sqrt(apart)
      for (let one = 0; depth > before && one < against.length; one += 1)
        depth = min(depth, against[one]?.apart(u, v) ?? depth)
      if (depth > before) depths[at] = depth
    }
  }
}

/** Whether a piece of flesh is at the depth of something firm, and comes near it. */
const isAgainst = ({ from, to, left, right, low, high }: Firm, a: Disc, b: Disc, thick: number): boolean =>
  from <= max(a.near, b.near) &&
  to >= min(a.near, b.near) &&
  left <= max(a.u, b.u) + thick &&
  right >= min(a.u, b.u) - thick &&
  low <= max(a.v, b.v) + thick &&
  high >= min(a.v, b.v) - thick

/** Cuts a field down to what another says of each of its places, cm inside; it is told how deep the place is in this one. */
export function cut(field: Field, depthAt: (u: number, v: number, depth: number) => number): void {
  const { left, low, cell, across, rows, depths } = field
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < across; column += 1) {
      const at = row * across + column
      const depth = depths[at] ?? 0
      if (depth <= -margin * cell) continue
      const here = depthAt(left + column * cell, low + row * cell, depth)
      if (here < depth) depths[at] = max(here, -margin * cell)
    }
  }
}

/** How deep inside a place between those of the grid lies, cm; below 0 outside. */
export function depthIn({ left, low, cell, across, rows, depths }: Field, u: number, v: number): number {
  const [x, y] = [(u - left) / cell, (v - low) / cell]
  const [column, row] = [floor(x), floor(y)]
  if (column < 0 || row < 0 || column >= across - 1 || row >= rows - 1) return -margin * cell
  const at = row * across + column
  const [sx, sy] = [x - column, y - row]
  const lower = (depths[at] ?? 0) * (1 - sx) + (depths[at + 1] ?? 0) * sx
  const upper = (depths[at + across] ?? 0) * (1 - sx) + (depths[at + across + 1] ?? 0) * sx
  return lower * (1 - sy) + upper * sy
}
