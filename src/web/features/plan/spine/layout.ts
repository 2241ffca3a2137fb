import type { Practice } from '#model/common'
import type { Session } from '#model/session'
import type { BlockSpan, Segment, Timeline } from '#core/timeline'
import { blockDetail, blockName, ribWords, sideWords } from '#words/blocks'

/** Space above minute 0, in px, for the bank's names. */
export const topPx = 34
/** A rib lower than this shows no label [design]. */
const leastRibPx = 9
const labelPx = 14
/** A wing lower than this cannot hold its name: it shows it beside itself. */
const lowWingPx = 21
const nameBesidePx = 17

export type Bank = 'left' | 'right'
export type Tone = 'left' | 'right' | 'both' | 'breath' | 'rest'

/** One side of a block as it stands on the spine; a symmetric block has two, a pair. */
export interface Wing {
  readonly key: string
  readonly blockId: string
  readonly blockIndex: number
  readonly bank: Bank | 'pair'
  readonly tone: Tone
  readonly topPx: number
  readonly heightPx: number
  readonly name: string
  readonly detail: string
  readonly seconds: number
  /** Too low for its name, which then stands beside it where there is room. */
  readonly low: boolean
  /** How many lines its name and the line under it may take without being cut. */
  readonly nameLines: number
  readonly detailLines: number
  readonly nameBeside: boolean
  /** How far the name beside it stands below its middle, so that it clears what is above. */
  readonly nameShiftPx: number
}

/** What lies between two wings: the ribbed stem, with one label on the bank opposite to the next wing. */
export interface Rib {
  readonly key: string
  readonly topPx: number
  readonly heightPx: number
  readonly label: string
  readonly bank: Bank
  /** Where the label's line begins; undefined where it would touch something. */
  readonly labelTopPx: number | undefined
}

/** A wing without its height on the spine: what is the same when only blocks before it change. */
export type WingShape = Omit<Wing, 'topPx'>

export const shapeOf = ({ topPx: _, ...shape }: Wing): WingShape => shape

/** Gives back the object it gave before for what has the same key and says the same, so that nothing is drawn anew. */
export function steady<T>(): (key: string, now: T) => T {
  const known = new Map<string, { readonly text: string | undefined; readonly value: T }>()
  return (key, value) => {
    const text = JSON.stringify(value)
    const former = known.get(key)
    if (former && former.text === text) return former.value
    known.set(key, { text, value })
    return value
  }
}

export interface SpineLayout {
  readonly wings: readonly Wing[]
  readonly ribs: readonly Rib[]
  /** Whole minutes from 0 to the end of the longer of session and wish. */
  readonly minutes: readonly { readonly minute: number; readonly yPx: number; readonly numbered: boolean }[]
  readonly heightPx: number
  /** Where the wanted length ends. */
  readonly wantedPx: number
}

const between = new Set(['change', 'setUp', 'settle', 'comingOut', 'betweenSides', 'afterRest'])
const isBetween = ({ doing }: Segment): boolean =>
  between.has(doing.kind) || (doing.kind === 'movement' && doing.part === 'rest')

interface Run {
  readonly between: boolean
  readonly segments: readonly Segment[]
}

/** Segments in runs: a wing's segments (one block, one side), or all between two wings. */
function runsOf(segments: readonly Segment[]): Run[] {
  const runs: { between: boolean; segments: Segment[] }[] = []
  for (const segment of segments) {
    const last = runs.at(-1)
    const former = last?.segments.at(-1)
    const here = isBetween(segment)
    const joins =
      last?.between === here && (here || (former?.blockId === segment.blockId && former.side === segment.side))
    if (joins) last?.segments.push(segment)
    else runs.push({ between: here, segments: [segment] })
  }
  return runs
}

/** What the spine needs of the session itself. */
type Wanted = Pick<Session, 'lengthS' | 'practice'>

/** The session down the stem in true minutes: where every wing, rib, label and minute stands, in px. */
export function layOutSpine(timeline: Timeline, { lengthS, practice }: Wanted, pxPerMinute: number): SpineLayout {
  const y = (ms: number) => topPx + (ms / 60_000) * pxPerMinute
  const runs = runsOf(timeline.segments)
  const bare = runs.filter((run) => !run.between).map((run) => wingOf(run, timeline.blocks, y))
  const wings = withNamesBeside(bare)
  const ribs = runs.filter((run) => run.between).map((run) => ribOf(run, wings, y, practice))
  const endMs = Math.max(timeline.totalMs, lengthS * 1000)
  // Numbers every five minutes, or every ten where five would crowd.
  const numberEvery = pxPerMinute * 5 >= 30 ? 5 : 10
  const minutes = Array.from({ length: Math.ceil(endMs / 60_000) + 1 }, (_, minute) => ({
    minute,
    yPx: y(minute * 60_000),
    numbered: minute % numberEvery === 0,
  }))
  return { wings, ribs, minutes, heightPx: y(Math.ceil(endMs / 60_000) * 60_000) + 40, wantedPx: y(lengthS * 1000) }
}

type BareWing = Omit<Wing, 'nameBeside' | 'nameShiftPx'>

function wingOf({ segments }: Run, blocks: readonly BlockSpan[], y: (ms: number) => number): BareWing {
  const first = segments[0]
  const last = segments.at(-1)
  const span = first && blocks[first.blockIndex]
  if (!first || !last || !span) throw new RangeError('layOutSpine: a wing has no segments')
  const { side } = first
  const isOneSided = side === 'left' || side === 'right'
  const name = blockName(span.block)
  const heightPx = y(last.endMs) - y(first.startMs)
  return {
    key: `${first.blockId}-${String(first.index - span.firstSegment)}`,
    blockId: first.blockId,
    blockIndex: first.blockIndex,
    bank: isOneSided ? side : 'pair',
    tone: toneOf(first),
    topPx: y(first.startMs),
    heightPx,
    name,
    detail: isOneSided ? sideWords(span.block, side) : blockDetail(span.block),
    seconds: (last.endMs - first.startMs) / 1000,
    low: heightPx < lowWingPx,
    ...linesIn(heightPx, isOneSided && name.length > besidePicture),
  }
}

/** Line heights of a wing's name and detail, and its padding and edges, in px. */
const nameLinePx = 20.1
const detailLinePx = 17.1
const wingInsetPx = 8

/** A longer name does not stand on one line beside the picture of a wing on one bank, letters. */
const besidePicture = 20

/**
 * A high wing gives its name two lines, one on a bank that shares its line with a picture earlier; what is left goes to
 * the detail, in whole lines.
 */
function linesIn(heightPx: number, isNarrow: boolean): { nameLines: number; detailLines: number } {
  const nameLines = heightPx >= (isNarrow ? 3 : 4) * nameLinePx ? 2 : 1
  const leftPx = heightPx - wingInsetPx - nameLines * nameLinePx
  return { nameLines, detailLines: Math.max(0, Math.floor(leftPx / detailLinePx)) }
}

function toneOf({ doing, side }: Segment): Tone {
  if (doing.kind === 'breath') return 'breath'
  if (doing.kind === 'hold' || doing.kind === 'movement') return side === null ? 'both' : side
  return 'rest'
}

const onBank = (wing: { bank: Wing['bank'] }, bank: Bank): boolean => wing.bank === 'pair' || wing.bank === bank

/** So far the name beside a low wing may stand off its middle, and is still its own. */
const nameMayShiftPx = 6

/**
 * A low wing's name stands beside it unless it would touch the name before it or a whole wing on its bank.
 * `takenTo` is how far down each bank is taken: by whole wings, and by names beside low ones.
 */
function withNamesBeside(wings: readonly BareWing[]): Wing[] {
  const takenTo: Record<Bank, number> = { left: -Infinity, right: -Infinity }
  return wings.map((wing, index) => {
    if (!wing.low) {
      for (const bank of ['left', 'right'] as const) {
        if (onBank(wing, bank)) takenTo[bank] = wing.topPx + wing.heightPx
      }
      return { ...wing, nameBeside: false, nameShiftPx: 0 }
    }
    const bank: Bank = wing.bank === 'right' ? 'right' : 'left'
    const middle = wing.topPx + wing.heightPx / 2
    const fromPx = Math.max(middle - nameBesidePx / 2, takenTo[bank])
    const endPx = fromPx + nameBesidePx
    const nameShiftPx = endPx - nameBesidePx / 2 - middle
    const next = wings.slice(index + 1).find((other) => !other.low && onBank(other, bank))
    const nameBeside = nameShiftPx <= nameMayShiftPx && endPx <= (next?.topPx ?? Infinity)
    if (nameBeside) takenTo[bank] = endPx
    return { ...wing, nameBeside, nameShiftPx: nameBeside ? nameShiftPx : 0 }
  })
}

function ribOf({ segments }: Run, wings: readonly Wing[], y: (ms: number) => number, practice: Practice): Rib {
  const first = segments[0]
  const last = segments.at(-1)
  if (!first || !last) throw new RangeError('layOutSpine: a rib has no segments')
  const top = y(first.startMs)
  const bottom = y(last.endMs)
  const before = wings.findLast((wing) => wing.topPx + wing.heightPx <= top + 0.01)
  const after = wings.find((wing) => wing.topPx >= bottom - 0.01)
  const bank: Bank = after?.bank === 'right' ? 'left' : 'right'
  return {
    key: `rib-${first.blockId}-${first.doing.kind}-${String(first.side)}`,
    topPx: top,
    heightPx: bottom - top,
    label: ribWords(segments, practice),
    bank,
    labelTopPx: bottom - top < leastRibPx ? undefined : labelPlace(top, bottom, before, after, bank),
  }
}

/** The label in the middle of its rib, moved off a wing that stands on its bank; nowhere if there is no room. */
function labelPlace(
  top: number,
  bottom: number,
  before: Wing | undefined,
  after: Wing | undefined,
  bank: Bank,
): number | undefined {
  const from = before && onBank(before, bank) ? top : -Infinity
  const to = after && onBank(after, bank) ? bottom : Infinity
  // A label may be set a px tighter than its line is high: its letters are lower than the line.
  if (to - from < labelPx - 1.5) return undefined
  const middle = (top + bottom) / 2 - labelPx / 2
  return Math.max(from - 0.5, Math.min(middle, to - labelPx + 0.5))
}

/** Where a block dropped at a height goes: before the first block whose middle lies below it. */
export function dropIndex(timeline: Timeline, yPx: number, pxPerMinute: number): number {
  const ms = ((yPx - topPx) / pxPerMinute) * 60_000
  const index = timeline.blocks.findIndex(({ startMs, endMs }) => (startMs + endMs) / 2 > ms)
  return index < 0 ? timeline.blocks.length : index
}

/** The height at which the drop line for that place is drawn. */
export function dropLinePx(timeline: Timeline, index: number, pxPerMinute: number): number {
  const ms = timeline.blocks[index]?.startMs ?? timeline.totalMs
  return topPx + (ms / 60_000) * pxPerMinute
}
