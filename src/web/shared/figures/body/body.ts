import type { Elevation } from '#core/figure'
import { handBearing } from './hands.ts'
import { headBearing, headOf } from './head.ts'
import type { Head } from './head.ts'
import { armOf, legOf } from './limbs.ts'
import type { BodyPart } from './part.ts'
import { trunkBearings, trunkOf } from './trunk.ts'

/** A whole body in flesh, in cm, in the room of its elevation. */
export interface Body {
  readonly parts: readonly BodyPart[]
  readonly head: Head
}

/** The flesh round the bones of a solved body; no bone is moved. */
export function bodyOf(
  elevation: Pick<Elevation, 'skeleton' | 'frame' | 'props' | 'onCheek' | 'lateInPregnancy'>,
): Body {
  const { skeleton, frame, props, onCheek = false } = elevation
  const { pelvis, ribs } = trunkBearings(skeleton)
  const head = headOf(skeleton, frame, headBearing(skeleton, ribs, onCheek ? ribs.right : undefined))
  const sides = (['left', 'right'] as const).flatMap((side) => [
    ...legOf(skeleton, side, frame, pelvis),
    ...armOf(skeleton, side, frame, handBearing(skeleton, side, frame, props)),
  ])
  return { parts: [trunkOf(elevation), head.part, ...sides], head }
}
