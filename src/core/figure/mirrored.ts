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
