/** A point of the drawing, in px. */
export interface Px {
  readonly x: number
  readonly y: number
}

const fixed = (value: number): string => String(Math.round(value * 100) / 100)
const at = ({ x, y }: Px): string => `${fixed(x)} ${fixed(y)}`
const arc = (radius: number, to: Px, isLong: boolean, sweep: 0 | 1): string =>
  `A${fixed(radius)} ${fixed(radius)} 0 ${isLong ? '1' : '0'} ${String(sweep)} ${at(to)}`

/** A disc as a path. */
const discPath = ({ x, y }: Px, radius: number): string =>
  `M${at({ x: x - radius, y })}${arc(radius, { x: x + radius, y }, false, 1)}${arc(radius, { x: x - radius, y }, false, 1)}Z`

/** The outline of a limb: two discs and their outer tangents. Where one disc holds the other, only the larger is left. */
export function limbPath(a: Px, b: Px, ra: number, rb: number): string {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const apart = Math.hypot(dx, dy)
  if (apart <= Math.abs(ra - rb) + 1e-6) return ra >= rb ? discPath(a, ra) : discPath(b, rb)
  const along = Math.atan2(dy, dx)
  const off = Math.acos((ra - rb) / apart)
  const on = (centre: Px, radius: number, angle: number): Px => ({
    x: centre.x + radius * Math.cos(angle),
    y: centre.y + radius * Math.sin(angle),
  })
  const [a1, a2] = [on(a, ra, along + off), on(a, ra, along - off)]
  const [b1, b2] = [on(b, rb, along + off), on(b, rb, along - off)]
  return `M${at(a1)}${arc(ra, a2, off < Math.PI / 2, 1)}L${at(b2)}${arc(rb, b1, off > Math.PI / 2, 1)}Z`
}

/** The outline of everything within `radius` of a convex core whose corners go counterclockwise on paper (y upwards). */
export function roundedPath(core: readonly Px[], radius: number): string {
  const [first, second] = core
  if (!first) return ''
  if (!second) return discPath(first, radius)
  if (core.length === 2) return limbPath(first, second, radius, radius)
  const sides = core.map((from, index) => {
    const to = core[(index + 1) % core.length] ?? from
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
    // On the screen y points down, so the outside of such an edge lies at its right hand on paper.
    const out = { x: (-(to.y - from.y) / length) * radius, y: ((to.x - from.x) / length) * radius }
    return { from: { x: from.x + out.x, y: from.y + out.y }, to: { x: to.x + out.x, y: to.y + out.y } }
  })
  return `${sides.map(({ from, to }, index) => `${index === 0 ? `M${at(from)}` : arc(radius, from, false, 0)}L${at(to)}`).join('')}${arc(radius, sides[0]?.from ?? first, false, 0)}Z`
}

/** A line through points as it is. */
export const linePath = (points: readonly Px[]): string =>
  points.map((point, index) => `${index === 0 ? 'M' : 'L'}${fixedTenth(point)}`).join('')

/** A closed outline that bends at its points instead of breaking there: it goes through the middle of each side. */
export function smoothPath(ring: readonly Px[]): string {
  const last = ring.at(-1)
  const [first] = ring
  if (!first || !last) return ''
  const middle = (a: Px, b: Px): Px => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })
  const pieces = ring.map(
    (point, index) => `Q${fixedTenth(point)} ${fixedTenth(middle(point, ring[index + 1] ?? first))}`,
  )
  return `M${fixedTenth(middle(last, first))}${pieces.join('')}Z`
}

/** A line that bends at its points instead of breaking there. */
export function smoothLine(points: readonly Px[]): string {
  const [first] = points
  const last = points.at(-1)
  if (!first || !last || points.length < 3) return linePath(points)
  const bends = points.slice(1, -1).map((point, index) => {
    const next = points[index + 2] ?? last
    const end = index === points.length - 3 ? last : { x: (point.x + next.x) / 2, y: (point.y + next.y) / 2 }
    return `Q${fixedTenth(point)} ${fixedTenth(end)}`
  })
  return `M${fixedTenth(first)}${bends.join('')}`
}

const fixedTenth = ({ x, y }: Px): string => `${tenth(x)} ${tenth(y)}`
const tenth = (value: number): string => String(Math.round(value * 10) / 10)
