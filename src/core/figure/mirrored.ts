import type { Side } from '#model/common'
import type { Figure } from '#model/figure'
import type { Point3 } from './geometry/plane.ts'
import type { Elevation } from './elevation.ts'
import type { SideJoints } from './body/skeleton.ts'
import type { Heap, PlacedProp } from './body/scene.ts'

/** The same body with its sides changed over: what the right side did the left does, on props laid as in a mirror. */
export function mirrored(elevation: Elevation): Elevation {
  const { hip, waist, shoulder, crown, left, right } = elevation.skeleton
  return {
    ...elevation,
    skeleton: {
      hip: across(hip),
      waist: across(waist),
      shoulder: across(shoulder),
      crown: across(crown),
      left: jointsAcross(right),
      right: jointsAcross(left),
    },
    props: elevation.props.map(propAcross),
    heaps: elevation.heaps.map((heap): Heap => ({ ...twinAcross(heap), props: heap.props.map(propAcross) })),
  }
}

/** Turned so that the wanted side of a pose is the one it shows; as it is drawn where none is meant. */
export const turnedTo = (side: Side | undefined, figure: Pick<Figure, 'side'>, laid: Elevation): Elevation =>
  side === undefined || side === sideDrawn(figure) ? laid : mirrored(laid)

/** The side of a pose its figure draws as it stands. */
export const sideDrawn = ({ side }: Pick<Figure, 'side'>): Side => side ?? 'right'

const across = (point: Point3): Point3 => ({ ...point, z: -point.z })

const jointsAcross = ({ hip, knee, ankle, toe, shoulder, elbow, wrist }: SideJoints): SideJoints => ({
  hip: across(hip),
  knee: across(knee),
  ankle: across(ankle),
  toe: across(toe),
  shoulder: across(shoulder),
  elbow: across(elbow),
  wrist: across(wrist),
})

const twinAcross = <T extends Pick<Heap, 'twin'>>(one: T): T =>
  one.twin ? { ...one, twin: one.twin === 'left' ? 'right' : 'left' } : one

const propAcross = (prop: PlacedProp): PlacedProp => ({ ...twinAcross(prop), zFrom: -prop.zTo, zTo: -prop.zFrom })
