import type { Elevation, Measure } from '#core/figure'
import type { PropKind } from '#model/prop'
import type { LengthUnit } from '#words/lengths'
import type { DrawnNumber } from './numbers.ts'
import type { Px } from './outlines.ts'
import type { Placed } from './place-labels.ts'
import type { Tone } from './skin/skin.ts'

/** A shape of a picture, painted over those before it. */
export interface DrawnShape {
  readonly key: string
  readonly path: string
  /**
   * A filled thing: flesh, hair, a prop. A line: where one part of the body lies over another, a mark of the face, a
   * seam or layer of a prop, what is seen through the body, a chair's frame, the wall, a strap.
   */
  readonly is: 'flesh' | 'hair' | 'edge' | 'mark' | 'prop' | 'seam' | 'through' | 'frame' | 'wall' | 'strap'
  readonly tone?: Tone
  readonly kind?: PropKind
}

/** What lies equally near to whoever looks. */
export interface Layer {
  readonly near: number
  readonly shapes: readonly DrawnShape[]
}

/** A picture as shapes in px: everything a component needs to show it, and the labels that found no room. */
export interface Drawing {
  readonly width: number
  readonly height: number
  /** Where the floor lies, seen from the side or an end. */
  readonly floorY?: number
  /** The mat, seen from above. */
  readonly mat?: string
  readonly grid: readonly { readonly y: number; readonly text: string }[]
  /** Props and body in the order in which they are painted. */
  readonly shapes: readonly DrawnShape[]
  /** The lines of the measures. */
  readonly measures: readonly { readonly key: string; readonly path: string }[]
  readonly labels: readonly Placed[]
  /** The place of each thing in the order in which it is laid. */
  readonly numbers: readonly DrawnNumber[]
  readonly left: readonly string[]
}

export interface DrawingInput {
  readonly elevation: Elevation
  readonly measures: readonly Measure[]
  readonly width: number
  readonly height: number
  readonly unit: LengthUnit
  /** The ids of the items in the order in which they are laid; without it nothing is numbered. */
  readonly order?: readonly string[]
}

/** Where cm come to lie in px: x to the right, y upwards in the room and downwards on the screen. */
export interface Plot {
  readonly scale: number
  readonly at: (point: { readonly x: number; readonly y: number }) => Px
}

/** Props and body from what is furthest away to what is nearest; of what is equally near, the props lie behind. */
export const painted = (props: readonly Layer[], body: readonly Layer[]): readonly DrawnShape[] =>
  [...props, ...body].toSorted((a, b) => a.near - b.near).flatMap(({ shapes }) => shapes)
