/** A point of the picture in cm: x along the floor, y above it. */
export interface Point {
  readonly x: number
  readonly y: number
}
/** A point of the body or the room: z towards whoever looks, who sees the right side of the body. */
export interface Point3 extends Point {
  readonly z: number
}

const perDegree = Math.PI / 180
export const cosOf = (degrees: number): number => Math.cos(degrees * perDegree)
export const sinOf = (degrees: number): number => Math.sin(degrees * perDegree)
export const degreesOf = (y: number, x: number): number => Math.atan2(y, x) / perDegree
export const asinOf = (ratio: number): number => Math.asin(Math.max(-1, Math.min(1, ratio))) / perDegree

/** The point at a distance from another, at an angle above the direction of x. */
export const from = (start: Point3, degrees: number, length: number): Point3 => ({
  x: start.x + length * cosOf(degrees),
  y: start.y + length * sinOf(degrees),
  z: start.z,
})

/** As {@link from}, the whole turned out of the picture's plane about the vertical: `out` degrees towards z. */
export const fromOut = (start: Point3, degrees: number, out: number, length: number): Point3 => ({
  x: start.x + length * cosOf(degrees) * cosOf(out),
  y: start.y + length * sinOf(degrees),
  z: start.z + length * cosOf(degrees) * sinOf(out),
})

export const plus = (a: Point3, b: Point3): Point3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z })
export const minus = (a: Point3, b: Point3): Point3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z })
export const scaled = (a: Point3, factor: number): Point3 => ({ x: a.x * factor, y: a.y * factor, z: a.z * factor })
export const lengthOf = (a: Point3): number => Math.hypot(a.x, a.y, a.z)
export const dot = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z
export const cross = (a: Point3, b: Point3): Point3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
})
export const between = (a: Point3, b: Point3, share: number): Point3 => plus(a, scaled(minus(b, a), share))
const unit = (a: Point3): Point3 => scaled(a, 1 / (lengthOf(a) || 1))
/** Some direction square to one. */
const anyAside = (a: Point3): Point3 => {
  const aside = cross(a, Math.abs(a.x) < Math.abs(a.y) ? { x: 1, y: 0, z: 0 } : { x: 0, y: 1, z: 0 })
  return lengthOf(aside) > 1e-9 ? unit(aside) : { x: 0, y: 0, z: 1 }
}

/**
 * The middle joint of two bones from one point to another. It stands off the line towards `towards`, turned about
 * the line by `swivel` degrees. Where the points are further apart than the bones reach, the bones lie on the line,
 * and the second ends short of `to`.
 */
export function middleJoint(
  start: Point3,
  to: Point3,
  first: number,
  second: number,
  towards: Point3,
  swivel = 0,
): Point3 {
  const line = minus(to, start)
  const apart = lengthOf(line)
  // Where the points are one, or the wish lies along the line, any way off will do.
  const axis = apart > 1e-9 ? unit(line) : anyAside(towards)
  const along =
    apart >= first + second
      ? first
      : Math.max(-first, Math.min(first, (first ** 2 + apart ** 2 - second ** 2) / (2 * (apart || 1))))
  const off = Math.sqrt(Math.max(0, first ** 2 - along ** 2))
  const wish = minus(towards, scaled(axis, dot(towards, axis)))
  // What is left of a wish along the line is rounding, and stands anyhow.
  const up = lengthOf(wish) > 1e-6 * (1 + lengthOf(towards)) ? unit(wish) : anyAside(axis)
  const aside = cross(axis, up)
  const away = plus(scaled(up, off * cosOf(swivel)), scaled(aside, off * sinOf(swivel)))
  return plus(plus(start, scaled(axis, along)), away)
}

/** The end of the second bone: the wished point, or as far towards it as the bones reach. */
export function reached(start: Point3, to: Point3, first: number, second: number): Point3 {
  const apart = lengthOf(minus(to, start))
  const [least, most] = [Math.abs(first - second), first + second]
  if (apart >= least && apart <= most) return to
  // Wished for where they start, they go any way as far as they must.
  const direction = apart > 1e-9 ? unit(minus(to, start)) : anyAside(start)
  return plus(start, scaled(direction, Math.max(least, Math.min(most, apart))))
}

/** Between a clear angle and one that is not: the last clear one, to a two hundred and fiftieth of the way. */
function halved(clear: number, met: number, isClear: (degrees: number) => boolean): number {
  let [near, far] = [clear, met]
  for (let halving = 0; halving < 8; halving += 1) {
    const middle = (near + far) / 2
    if (isClear(middle)) near = middle
    else far = middle
  }
  return near
}

/**
 * Turns from one angle towards another until it comes free: the first that is clear, else the last. The counterpart
 * of {@link turnUntilContact} for what already lies in something.
 */
export function turnUntilClear(first: number, last: number, isClear: (degrees: number) => boolean): number {
  if (isClear(first)) return first
  const steps = 36
  let met = first
  for (let step = 1; step <= steps; step += 1) {
    const next = first + ((last - first) * step) / steps
    if (!isClear(next)) {
      met = next
      continue
    }
    return halved(next, met, isClear)
  }
  return last
}

/**
 * The last clear angle of the first clear stretch between two: where something lies in the way at first, it is passed
 * over. Undefined where nothing on the way is clear.
 */
export function turnThrough(first: number, last: number, isClear: (degrees: number) => boolean): number | undefined {
  const start = turnUntilClear(first, last, isClear)
  return isClear(start) ? turnUntilContact(start, last, isClear) : undefined
}

/**
 * Turns from one angle towards another and stops at the first contact; the last angle if nothing is met.
 * `isClear` says whether an angle is free; where already the first is not, it is returned.
 */
export function turnUntilContact(
  first: number,
  last: number,
  isClear: (degrees: number) => boolean,
  steps = 18,
): number {
  let clear = first
  for (let step = 0; step <= steps; step += 1) {
    const next = first + ((last - first) * step) / steps
    if (isClear(next)) {
      clear = next
      continue
    }
    if (step === 0) return first
    return halved(clear, next, isClear)
  }
  return last
}
