import type { FigureView } from '#model/figure'
import type { Body } from './body/body.ts'
import type { Layer } from './picture.ts'
import type { Solid } from './occupied.ts'
import { smoothLine, smoothPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { Flat } from './skin/outline.ts'
import type { SkinPart } from './skin/skin.ts'
import { seenFrom, views } from './skin/view.ts'

/** A cell of the grid the skin is found on is about so many px, and at least and at most so many cm. */
const cellPx = 4.4
const cells = { least: 1, most: 2.4 } as const

/** How fine the skin is found for a picture of a scale, cm. */
export const cellAt = (scale: number): number => Math.min(cells.most, Math.max(cells.least, cellPx / scale))

type Place = (point: Flat) => Px

/** The skin as it is painted. */
export const bodyLayers = (skin: readonly SkinPart[], at: Place): readonly Layer[] =>
  skin.map(({ key, tone, is, rings, edges, marks, near }) => ({
    near,
    shapes: [
      { key, is, tone, path: rings.map((ring) => smoothPath(ring.map(at))).join('') },
      ...edges.map((edge, index) => ({
        ...{ key: `${key} edge ${String(index)}`, is: 'edge' as const, tone },
        path: smoothLine(edge.map(at)),
      })),
      ...marks.map((mark, index) => ({
        ...{ key: `${key} mark ${String(index)}`, is: 'mark' as const, tone },
        path: smoothLine(mark.map(at)),
      })),
    ],
  }))

/** The body as labels must keep off it. */
export const bodySolids = (skin: readonly SkinPart[], at: Place): readonly Solid[] =>
  skin.flatMap(({ rings }) => rings.map((ring) => ({ core: ring.map(at), radius: 1.5 })))

/** How far a body reaches in a picture, cm; down to the floor where it is seen from the side. */
export function reachOfBody({ parts }: Body, view: FigureView) {
  const discs = parts.flatMap(({ strings }) => strings.flat().map(({ at, r }) => ({ ...seenFrom(views[view], at), r })))
  return {
    left: Math.min(...discs.map(({ u, r }) => u - r)),
    right: Math.max(...discs.map(({ u, r }) => u + r)),
    low: Math.min(...discs.map(({ v, r }) => v - r)),
    high: Math.max(...discs.map(({ v, r }) => v + r)),
  }
}
