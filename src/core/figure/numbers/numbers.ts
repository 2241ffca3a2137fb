import type { Figure } from '#model/figure'
import { boundAngle, chairFeet, childsPose, forwardFold, legsUpWall, pelvisRaised, seatCross } from '#core/props'
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
import { inclineOf, slopeOf } from '../body/bed.ts'
import { kneeNumbers } from '../poses/lying.ts'
import { foldInput } from '../poses/seated-fold.ts'
import { heightUnder, pileUnder } from '../body/scene.ts'
import type { Scene } from '../body/scene.ts'
import { usualOf } from '../body/usual.ts'

/** The formula book's numbers for a figure on its set-up: each only where it applies to it. */
export interface BookNumbers {
  readonly incline?: Calculated<Incline & { readonly free: number }>
  readonly knees?: Calculated<KneeBolster>
  /** How high the support under each knee would be where the knees are to fall as far as is comfortable. */
  readonly bound?: Calculated<BoundAngle>
  readonly raised?: Calculated<PelvisRaised>
  readonly wall?: Calculated<LegsUpWall>
  readonly child?: Calculated<ChildsPose>
  readonly fold?: Calculated<ForwardFold>
  readonly seat?: Calculated<SeatCross>
  readonly feet?: Calculated<ChairFeet>
}

/** What the book says of a figure on these loaded heights, and of the slope of the thighs as they are drawn. */
export function numbersOf(figure: Figure, scene: Scene, thighSlopeDeg: number): BookNumbers {
  const { f } = scene
  const of = { stature: f.stature, measured: f }
  switch (figure.kind) {
    case 'lying':
      return lyingNumbers(figure, scene)
    case 'childFold':
      return {
        child: childsPose({ ...of, bolsterTop: heightUnder(scene, 'chest'), seatPad: heightUnder(scene, 'pelvis') }),
      }
    case 'seated': {
      const seat =
        figure.legs === 'crossed' ? { seat: seatCross({ ...of, thighUpDeg: usualOf(figure).thighUpDeg }) } : {}
      return figure.trunk === 'fold' ? { ...seat, fold: forwardFold(foldInput(figure, scene, thighSlopeDeg)) } : seat
    }
    case 'chair': {
      const seat = pileUnder(scene, 'pelvis')
      return seat ? { feet: chairFeet({ ...of, seatH: seat.height }) } : {}
    }
    default:
      return {}
  }
}

function lyingNumbers(figure: Extract<Figure, { kind: 'lying' }>, scene: Scene): BookNumbers {
  const { f } = scene
  const of = { stature: f.stature, measured: f }
  const slope = slopeOf(scene)
  const pelvisH = heightUnder(scene, 'pelvis')
  const knees = kneeNumbers(scene)
  const usual = usualOf(figure)
  return {
    ...(slope ? { incline: inclineOf(scene, slope) } : {}),
    ...(!slope && pelvisH > 0
      ? {
          raised: pelvisRaised({
            ...of,
            pelvisH,
            shoulderPad: Math.min(heightUnder(scene, 'upperBack'), pelvisH),
            headPad: heightUnder(scene, 'head'),
          }),
        }
      : {}),
    ...(figure.legs === 'long' && knees ? { knees } : {}),
    ...(figure.legs === 'bound'
      ? { bound: boundAngle({ ...of, abductionDeg: usual.abductionDeg, heelGap: usual.heelGapCm }) }
      : {}),
    ...(figure.legs === 'wall' ? { wall: legsUpWall({ ...of, slrDeg: usual.legRaiseDeg, supportH: pelvisH }) } : {}),
  }
}
