import type { Px } from './outlines.ts'
import { covers, crosses, grown, overlap, segmentsMeet } from './occupied.ts'
import type { Box, Solid } from './occupied.ts'

/** A label to place: its words, how large they are, what it belongs to, and where it would rather stand from there. */
export interface Wanted {
  readonly key: string
  readonly text: string
  readonly width: number
  readonly height: number
  readonly anchor: Px
  /** Degrees on the screen: 0 to the right, 90 down, −90 up. */
  readonly rather: number
}

/** A label where it stands; with a line back to its anchor where that is not beside it. */
export interface Placed extends Wanted {
  readonly box: Box
  readonly leader?: readonly [Px, Px]
}

interface Placing {
  readonly labels: readonly Wanted[]
  /** What no label may touch: the figure, the props, the lines of the measures. */
  readonly solids: readonly Solid[]
  readonly room: Box
}

/** How far from its anchor a label is tried, px, the nearest first, and in which directions from the one it would rather have. */
const rings = [3, 8, 14, 22, 32, 44, 58, 74, 92, 112, 136, 164, 196, 232, 272, 320, 380] as const
const turns = [
  0, 22, -22, 45, -45, 68, -68, 90, -90, 112, -112, 135, -135, 158, -158, 180, 11, -11, 34, -34, 56, -56, 79, -79, 101,
  -101, 124, -124, 146, -146, 169, -169,
] as const
/** Beyond this distance a line leads back to the anchor, px. */
const leaderFrom = 12
/** Air around a label, px. */
const air = 2

/** The rectangle of a label whose nearest edge stands so far from the anchor in a direction. */
function boxAt({ anchor, width, height }: Wanted, away: number, degrees: number): Box {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const x = anchor.x + cos * (away + width / 2) - width / 2
  const y = anchor.y + sin * (away + height / 2) - height / 2
  return { left: x, top: y, right: x + width, bottom: y + height }
}

const nearestOn = ({ left, top, right, bottom }: Box, { x, y }: Px): Px => ({
  x: Math.max(left, Math.min(right, x)),
  y: Math.max(top, Math.min(bottom, y)),
})
const isIn = (inner: Box, outer: Box): boolean =>
  inner.left >= outer.left && inner.right <= outer.right && inner.top >= outer.top && inner.bottom <= outer.bottom

interface Outcome {
  readonly placed: readonly Placed[]
  readonly left: readonly Wanted[]
}

/**
 * Places labels one after the other: each at the nearest place to its anchor, in the direction nearest to the one it
 * would rather have, where it touches no solid, no label and no label's line, and its own line runs through no label
 * and, if that can be had, over no other line. What finds no room so is placed first and the others after it; what
 * finds none even then is given back in `left`.
 */
export function placeLabels({ labels, solids, room }: Placing): Outcome {
  const bounded = solids.map((solid) => ({ solid, bounds: boundsOf(solid) }))
  const outcome = inTurn(labels, bounded, room)
  if (outcome.left.length === 0) return outcome
  const { left } = outcome
  const again = inTurn([...left, ...labels.filter((label) => !left.includes(label))], bounded, room)
  return again.left.length < left.length ? again : outcome
}

function inTurn(labels: readonly Wanted[], solids: readonly Bounded[], room: Box): Outcome {
  const placed: Placed[] = []
  const left: Wanted[] = []
  for (const wanted of labels) {
    const found = firstFree(wanted, placed, solids, room, false) ?? firstFree(wanted, placed, solids, room, true)
    if (found) placed.push(found)
    else left.push(wanted)
  }
  return { placed, left }
}

/** Something solid and how far it reaches: what is nowhere near a label is not looked at. */
interface Bounded {
  readonly solid: Solid
  readonly bounds: Box
}

function boundsOf({ core, radius }: Solid): Box {
  const [xs, ys] = [core.map(({ x }) => x), core.map(({ y }) => y)]
  return {
    left: Math.min(...xs) - radius,
    top: Math.min(...ys) - radius,
    right: Math.max(...xs) + radius,
    bottom: Math.max(...ys) + radius,
  }
}

function firstFree(
  wanted: Wanted,
  placed: readonly Placed[],
  solids: readonly Bounded[],
  room: Box,
  linesMayCross: boolean,
): Placed | undefined {
  for (const away of rings) {
    for (const turn of turns) {
      const box = boxAt(wanted, away, wanted.rather + turn)
      if (!isIn(box, room)) continue
      const aired = grown(box, air)
      if (placed.some((other) => overlap(aired, other.box) || (other.leader && crosses(...other.leader, aired))))
        continue
      const leader = leaderOf(wanted, box)
      if (
        leader &&
        placed.some(
          (other) =>
            crosses(...leader, grown(other.box, air)) ||
            (!linesMayCross && other.leader && segmentsMeet(...leader, ...other.leader)),
        )
      )
        continue
      if (solids.some(({ solid, bounds }) => overlap(bounds, aired) && covers(solid, aired))) continue
      return { ...wanted, box, ...(leader ? { leader } : {}) }
    }
  }
  return undefined
}

function leaderOf({ anchor }: Wanted, box: Box): readonly [Px, Px] | undefined {
  const end = nearestOn(box, anchor)
  return Math.hypot(end.x - anchor.x, end.y - anchor.y) > leaderFrom ? [anchor, end] : undefined
}
