import type { BodyPart } from '#model/set-up'
import { boundsOf } from '#core/figure'
import type { Elevation, Heap, Measure, PlacedProp } from '#core/figure'
import type { LengthUnit } from '#words/lengths'
import { markWords } from '#words/measures'
import { countedOrOne } from '#words/props'
import { heapNumber } from './heap-number.ts'
import type { Px } from './outlines.ts'
import type { Plot } from './picture.ts'
import type { Box } from './occupied.ts'
import type { Wanted } from './place-labels.ts'

/** Under this width labels are numbers alone, px. */
export const narrowBelow = 480
/** From 13 px and half an em a sign. */
export const letterPx = 7.4
export const linePx = 17

/** Where labels may stand. */
export const roomIn = (width: number, height: number): Box => ({
  left: 4,
  top: 4,
  right: width - 4,
  bottom: height - 4,
})

/** A line of a measure as points in px, before it is a path: labels keep off it. */
export interface PlottedLine {
  readonly key: string
  readonly points: readonly Px[]
}

export const measureLines = (measures: readonly Measure[], plot: Plot): readonly PlottedLine[] =>
  measures
    .flatMap((measure) => markLines(measure, plot).map((points) => ({ what: measure.what, points })))
    .map(({ what, points }, index) => ({ key: `${what} ${String(index)}`, points }))

const tick = 5

/** The lines of a measure's mark. */
function markLines({ mark }: Measure, { at, scale }: Plot): readonly (readonly Px[])[] {
  if (!mark) return []
  if (mark.kind === 'height') {
    const [low, high] = [at({ x: mark.x, y: mark.from }), at({ x: mark.x, y: mark.to })]
    return [
      [low, high],
      ...[low, high].map(({ x, y }) => [
        { x: x - tick, y },
        { x: x + tick, y },
      ]),
    ]
  }
  if (mark.kind === 'distance') {
    const [near, far] = [at({ x: mark.from, y: mark.y }), at({ x: mark.to, y: mark.y })]
    return [
      [near, far],
      ...[near, far].map(({ x, y }) => [
        { x, y: y - tick },
        { x, y: y + tick },
      ]),
    ]
  }
  if (mark.kind === 'point') return []
  const radius = Math.max(26, 12 * scale)
  const centre = at(mark.at)
  const on = (degrees: number): Px => ({
    x: centre.x + radius * Math.cos((degrees * Math.PI) / 180),
    y: centre.y - radius * Math.sin((degrees * Math.PI) / 180),
  })
  return [Array.from({ length: 9 }, (_, index) => on(mark.from + ((mark.to - mark.from) * index) / 8))]
}

export const sized = (text: string) => ({ text, width: text.length * letterPx + 4, height: linePx })

export function markLabel(measure: Measure, plot: Plot, unit: LengthUnit, isShort: boolean): readonly Wanted[] {
  const { mark, what } = measure
  if (!mark) return []
  const label = { key: what, ...sized(markWords(measure, unit, isShort)) }
  if (mark.kind === 'height') return [{ ...label, anchor: plot.at({ x: mark.x, y: mark.to }), rather: -90 }]
  if (mark.kind === 'distance')
    return [{ ...label, anchor: plot.at({ x: (mark.from + mark.to) / 2, y: mark.y }), rather: 90 }]
  if (mark.kind === 'point') return [{ ...label, anchor: plot.at(mark.at), rather: -45 }]
  const radius = Math.max(26, 12 * plot.scale)
  const middle = (mark.from + mark.to) / 2
  const centre = plot.at(mark.at)
  return [
    {
      ...label,
      anchor: {
        x: centre.x + radius * Math.cos((middle * Math.PI) / 180),
        y: centre.y - radius * Math.sin((middle * Math.PI) / 180),
      },
      rather: -middle,
    },
  ]
}

/** The measure that already tells the height of a pile under a part. */
const toldBy: Readonly<Partial<Record<BodyPart, readonly Measure['what'][]>>> = {
  knees: ['kneesHeight', 'kneeJointsHeight'],
  shins: ['seatHeight'],
  thighs: ['kneesHeight', 'kneeJointsHeight'],
}

/** The heaps that are named in a picture: of two equal piles the second is the first once more. */
export const labelledHeaps = ({ heaps }: Elevation): readonly Heap[] =>
  heaps.filter(
    (heap) =>
      heap.twin !== 'right' ||
      !heaps.some(({ part, role, twin }) => twin === 'left' && part === heap.part && role === heap.role),
  )

export function pileLabels(
  elevation: Elevation,
  measures: readonly Measure[],
  { at }: Plot,
  unit: LengthUnit,
  isShort: boolean,
): readonly Wanted[] {
  const isTold = (part: BodyPart): boolean =>
    measures.some(({ what, mark }) => mark !== undefined && (toldBy[part] ?? []).includes(what)) &&
    !elevation.numbers.bound
  return labelledHeaps(elevation)
    .filter(({ part }) => !isTold(part))
    .map((heap) => {
      const { part, props } = heap
      const bounds = props.map(boundsOf)
      const [low, high] = [Math.min(...bounds.map((one) => one.low)), Math.max(...bounds.map((one) => one.high))]
      const middle = (Math.min(...bounds.map(({ left }) => left)) + Math.max(...bounds.map(({ right }) => right))) / 2
      const onFloor = low < 1
      return {
        key: `pile ${part} ${String(low)}`,
        ...sized(heapText(heap, elevation, unit, isShort)),
        anchor: at({ x: middle, y: onFloor ? low + (high - low) * 0.35 : (low + high) / 2 }),
        rather: onFloor ? 90 : -90,
      }
    })
}

/** What lies there and how high: its height alone where there is no room for more. */
export const heapText = (heap: Heap, elevation: Elevation, unit: LengthUnit, isShort: boolean): string =>
  `${isShort ? '' : `${heapName(heap.props)} `}${heapNumber(heap, elevation, unit)} ${unit}`

function heapName(props: readonly PlacedProp[]): string {
  const kinds = [...new Set(props.map(({ piece }) => piece.kind))]
  if (kinds.length > 2) return `${String(props.length)} props`
  return kinds
    .map((kind) => {
      const count = props.filter(({ piece }) => piece.kind === kind).length
      return countedOrOne(kind, count)
    })
    .join(' + ')
}
