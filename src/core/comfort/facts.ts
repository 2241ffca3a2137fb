import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import type { CalculationCode } from '#core/props'
import type { Centimetres } from '#core/units'

type Deg = number
type Nothing = Readonly<Record<never, never>>

interface RuleFacts {
  HEAD_PAD_IMPOSSIBLE: { padCm: Centimetres; mostCm: Centimetres }
  HEAD_PAD_LOW: { padCm: Centimetres; leastCm: Centimetres; mostCm: Centimetres }
  HEAD_PAD_HIGH: { padCm: Centimetres; mostCm: Centimetres }
  HEAD_TIPPED_BACK: { tiltDeg: Deg }
  CHIN_TUCKED: { bendDeg: Deg; mostDeg: Deg }
  HEAD_NOT_REACHED: { gapCm: Centimetres }
  NECK_FLEXED_UNDER_LOAD: { padCm: Centimetres; mostCm: Centimetres }
  NECK_ALONE: Nothing
  NECK_ROLL_SIZE: { acrossCm: Centimetres; leastCm: Centimetres; mostCm: Centimetres }
  HEAD_BELOW_HEART: { belowCm: Centimetres; gentleCm: Centimetres; mostCm: Centimetres; everyone: boolean }
  PELVIS_EDGE_AT_WAIST: { kind: PropKind }
  LUMBAR_EDGE: { edgeCm: Centimetres; limitCm: Centimetres; seatCm?: Centimetres; raiseCm?: Centimetres }
  SACRUM_NARROW: { acrossCm: Centimetres; leastCm: Centimetres }
  TRUNK_ANGLE: { angleDeg: Deg; leastDeg: Deg; mostDeg: Deg; forBreath: boolean }
  STEEP: { what: 'bolster' | 'back' | 'trunk'; angleDeg: Deg; mostDeg: Deg }
  HEAD_OFF_END: { alongCm: Centimetres }
  HANGS_FREE: { freeCm: Centimetres; mostCm: Centimetres }
  ARMS_UNFILLED: { elbowsCm: Centimetres; armsCm: Centimetres; shortCm: Centimetres; mostCm: Centimetres }
  TORSO_ANGLE: { angleDeg: Deg; mostDeg: Deg }
  RAISE_SEAT: { seatCm?: Centimetres }
  SEAT_IMPOSSIBLE: { seatCm: Centimetres; mostCm: Centimetres }
  FLOOR_IMPOSSIBLE: { depthCm: Centimetres; mostCm: Centimetres }
  SEAT_HIGH: { seatCm: Centimetres; mostCm: Centimetres; chair: boolean }
  KNEES_ABOVE_HIPS: { aboveCm: Centimetres; seatCm?: Centimetres; chair?: boolean }
  KNEE_BEND: { angleDeg: Deg; leastDeg: Deg; mostDeg: Deg }
  KNEES_UNFILLED: { wantedCm: Centimetres; hereCm: Centimetres; shortCm: Centimetres }
  ONE_KNEE_FILLED: Nothing
  WALL_ANGLE: { angleDeg: Deg; leastDeg: Deg; mostDeg: Deg; far: boolean }
  PELVIS_LIFTED: { liftCm: Centimetres }
  FEET_HANG: { shortCm: Centimetres; wantedCm: Centimetres }
  SEAT_LOW: { raiseCm: Centimetres }
  HEAD_SUPPORT_SHORT: { wantedCm: Centimetres; hereCm: Centimetres; shortCm: Centimetres }
  STACK_TALL: { heightCm: Centimetres; narrowCm: Centimetres; ratio: number; most: number }
  STACK_ORDER: { upper: PropKind; lower: PropKind }
  ON_ROUND: { upper: PropKind }
  STACK_MANY: { pieces: number; most: number }
  BLOCK_ON_END: { slope: boolean }
  RIGID_CONTACT: { kind: PropKind; softCm: Centimetres }
  SANDBAG_HEAVY: { kg: number; mostKg: number; part: BodyPart }
  SANDBAG_PLACE: Nothing
  LAYER_IMPOSSIBLE: { kind: PropKind; layerCm: Centimetres; leastCm: Centimetres; mostCm: Centimetres }
  FOLD_BULKY: Nothing
  ROLL_TOO_STIFF: Nothing
  BELLY_FLAT_ON_BACK: { angleDeg: Deg; leastDeg: Deg; mostDeg: Deg }
  BELLY_LAIN_ON: Nothing
  BELLY_PRESSED: { byCm: Centimetres; by: 'thighs' | 'props' }
  BELLY_UNFILLED: Nothing
}

/** What each comfort rule tells, by its code; lengths in cm to a tenth, angles in whole degrees. */
export type ComfortRuleFacts = { readonly [Code in keyof RuleFacts]: Readonly<RuleFacts[Code]> }

/** The same, and what stands where a figure could not be computed at all: the field it failed at. */
export type ComfortFacts = ComfortRuleFacts &
  Readonly<Record<Exclude<CalculationCode, keyof RuleFacts>, { readonly field: string }>>
export type ComfortCode = keyof ComfortFacts
