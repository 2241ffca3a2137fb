import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp, Point } from '#core/figure'
import { isSeat } from '#core/props'

type Line = readonly Point[]

/** What of a prop is drawn as lines: a chair's back and legs. */
export const frameLines = (prop: PlacedProp, elevation: Elevation): readonly Line[] =>
  isSeat(prop.piece) ? chairLines(prop, elevation) : prop.piece.leanDeg === undefined ? [] : upturnedLines(prop)

/** How long a chair's back and its legs are, cm [estimates]. */
const chairParts = { back: 40, legs: 42 } as const

/** Seat and front legs of an upturned chair, under its back that slopes up to the left from the floor. */
function upturnedLines({ piece: { leanDeg = 0 }, core }: PlacedProp): readonly Line[] {
  const [run, rise] = [Math.cos((leanDeg * Math.PI) / 180), Math.sin((leanDeg * Math.PI) / 180)]
  const foot = core.reduce((lowest, point) => (point.y < lowest.y ? point : lowest))
  const hinge = { x: foot.x - chairParts.back * run, y: foot.y + chairParts.back * rise }
  const edge = { x: hinge.x - (hinge.y * rise) / run, y: 0 }
  return [
    [hinge, edge],
    [edge, { x: edge.x - chairParts.legs * run, y: chairParts.legs * rise }],
  ]
}

/** The back stands away from whoever sits on a chair or leans over it, but for one who sits astride. */
export const isBackAtRight = (
  prop: PlacedProp,
  { skeleton, backrestX }: Pick<Elevation, 'skeleton' | 'backrestX'>,
): boolean => {
  const { left, right } = boundsOf(prop)
  return prop.part === 'pelvis' ? backrestX !== undefined : (left + right) / 2 > skeleton.hip.x
}

/** Backs and legs of a chair: only its seat carries. */
function chairLines(prop: PlacedProp, { skeleton, backrestX }: Elevation): readonly Line[] {
  const { left, right, low, high } = boundsOf(prop)
  const backAtRight = isBackAtRight(prop, { skeleton, backrestX })
  const back = backAtRight ? right - 1 : left + 1
  return [
    [
      { x: left + 2, y: low },
      { x: left + 2, y: 0 },
    ],
    [
      { x: right - 2, y: low },
      { x: right - 2, y: 0 },
    ],
    [
      { x: back, y: high },
      { x: back + (backAtRight ? 3 : -3), y: high + chairParts.back },
    ],
  ]
}
