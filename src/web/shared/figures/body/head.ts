import { headCentre, minus, scaled } from '#core/figure'
import type { Frame, Point3, Skeleton } from '#core/figure'
import { bead } from './part.ts'
import type { BodyPart } from './part.ts'
import { bearing, directed, moved } from './vectors.ts'
import type { Bearing } from './vectors.ts'

/** A head: its flesh, and where hair covers it. */
export interface Head {
  readonly part: BodyPart
  readonly centre: Point3
  /** The skull, on which the hair lies. */
  readonly skull: { readonly at: Point3; readonly r: number }
  /** Hair is where a place on the skull lies beyond so far from its middle, in one of these directions. */
  readonly hair: readonly { readonly towards: Point3; readonly from: number }[]
  /** Closed eyes, ears and mouth: lines on the face, each with the way it faces. */
  readonly marks: readonly { readonly line: readonly Point3[]; readonly facing: Point3 }[]
  readonly turn: Bearing
  /** Across both closed eyes. */
  readonly eyes: readonly Point3[]
}

/** How the head is turned: up along the neck, its face as the ribs', or turned onto a cheek, to whoever looks. */
export function headBearing({ shoulder, crown }: Skeleton, ribs: Bearing, cheek: Point3 | undefined): Bearing {
  const up = directed(minus(crown, shoulder), ribs.along)
  return bearing(up, cheek ?? ribs.front, ribs.front)
}

/** Skull, brow, nose, lips, chin and jaw, as shares of the stature from the middle of the head [estimates]. */
export function headOf(skeleton: Skeleton, f: Frame, turn: Bearing): Head {
  const h = f.stature
  const centre = headCentre(skeleton, f)
  const at = (front: number, up: number, aside = 0): Point3 =>
    moved(centre, [turn.front, front * h], [turn.along, up * h], [turn.right, aside * h])
  const skull = bead(at(-0.009, 0.012), 0.0505 * h)
  const jaw = (side: -1 | 1) => [
    bead(at(-0.002, -0.018, side * 0.021), 0.024 * h),
    bead(at(0.022, -0.045, side * 0.008), 0.0135 * h),
    bead(at(0.036, -0.052, 0), 0.0105 * h),
  ]
  return {
    centre,
    skull,
    turn,
    eyes: [at(0.04, 0.002, -0.03), at(0.049, 0.002, 0), at(0.04, 0.002, 0.03)],
    // Over the crown down to the brow, and down the back to the nape.
    hair: [
      { towards: directed(minus(at(-0.3, 0.95), centre), turn.along), from: 0.02 * h },
      { towards: directed(minus(at(-0.98, 0.1), centre), turn.along), from: 0.012 * h },
    ],
    marks: ([-1, 1] as const).flatMap((side) => [
      {
        line: [at(0.047, 0.001, side * 0.011), at(0.044, -0.003, side * 0.017), at(0.035, -0.001, side * 0.026)],
        facing: directed(minus(at(0.7, 0, side * 0.7), centre), turn.front),
      },
      {
        line: [
          at(0.001, 0.004, side * 0.042),
          at(-0.005, 0.009, side * 0.043),
          at(-0.011, 0.003, side * 0.043),
          at(-0.007, -0.008, side * 0.042),
          at(-0.002, -0.014, side * 0.04),
        ],
        facing: scaled(turn.right, side),
      },
    ]),
    part: {
      name: 'head',
      strings: [
        [skull],
        [
          bead(at(0.0135, 0.022), 0.0375 * h),
          bead(at(0.016, -0.004), 0.0325 * h),
          bead(at(0.025, -0.03), 0.022 * h),
          bead(at(0.0395, -0.05), 0.0115 * h),
        ],
        // The nose from between the brows to its tip, and back to the lip.
        [bead(at(0.046, 0.006), 0.0045 * h), bead(at(0.0635, -0.0145), 0.005 * h), bead(at(0.048, -0.019), 0.006 * h)],
        [bead(at(0.0475, -0.0275), 0.005 * h), bead(at(0.0465, -0.0345), 0.0058 * h)],
        jaw(-1),
        jaw(1),
        [bead(at(-0.012, -0.02), 0.034 * h), bead(at(-0.016, -0.055), 0.028 * h)],
      ],
      joints: [bead(at(-0.012, -0.06), 0.05 * h)],
    },
  }
}
