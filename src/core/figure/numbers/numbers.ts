import type {
  BoundAngle,
  Calculated,
  ChairFeet,
  ChildsPose,
  ForwardFold,
  Incline,
  KneeBolster,
  LegsUpWall,
  PelvisRaised,
  SeatCross,
} from '#core/props'

/** The incline of a slope, with how far its block is from reaching its underside and how far its edge may stand out, cm. */
export type SlopeNumbers = Incline & { readonly free: number; readonly edgeLimit: number }

/** The formula book's numbers a figure was built from on its set-up: each only where it applies to it. */
export interface BookNumbers {
  readonly incline?: Calculated<SlopeNumbers>
  /** Knees over a roll of so many cm. */
  readonly knees?: Calculated<KneeBolster & { readonly supportH: number }>
  /** How high the support under each knee would be where the knees are to fall as far as is comfortable. */
  readonly bound?: Calculated<BoundAngle>
  readonly raised?: Calculated<PelvisRaised>
  readonly wall?: Calculated<LegsUpWall>
  readonly child?: Calculated<ChildsPose>
  readonly fold?: Calculated<ForwardFold>
  readonly seat?: Calculated<SeatCross>
  readonly feet?: Calculated<ChairFeet>
}
