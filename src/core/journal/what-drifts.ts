import type { ClassDrift, DriftPart } from '#model/class-drift'
import { grouped } from '#core/units'
import type { Seconds } from '#core/units'
import { median } from './quantile.ts'

/** A part over all classes: what was planned of it and what it took. */
export interface PartDrift {
  readonly part: DriftPart
  readonly plannedS: Seconds
  readonly tookS: Seconds
  /** The blocks that drift the way the part does, from the largest on. */
  readonly most: readonly BlockDrift[]
  /** All its blocks, in the order of the plan. */
  readonly blocks: readonly BlockDrift[]
}

/** A part of one block of a session, as it was in the classes that had it. */
export interface BlockDrift {
  readonly sessionId: string
  readonly blockId: string
  readonly name: string
  readonly part: DriftPart
  readonly classes: number
  /** In the newest class. */
  readonly plannedS: Seconds
  /** The middle of all. */
  readonly tookS: Seconds
  /** The middle of how much more than planned it took; less below 0. */
  readonly moreS: Seconds
}

/** A pose whose sides can be laid beside each other: the middle of what was held. */
export interface SidesDrift {
  readonly poseId: string
  readonly name: string
  readonly sessionId: string
  readonly blockId: string
  readonly classes: number
  readonly leftS: Seconds
  readonly rightS: Seconds
  /** The middle of how much longer the right was held, planned alike; shorter below 0. */
  readonly apartS: Seconds
}

/** A block at whose start classes were a minute behind for the first time. */
export interface BehindAt {
  readonly sessionId: string
  readonly blockId: string
  readonly name: string
  readonly classes: number
  /** The second of the plan at which it begins, in the newest of these classes. */
  readonly atS: Seconds
}

export interface Drift {
  readonly classes: number
  readonly parts: readonly PartDrift[]
  /** From the most uneven on. */
  readonly sides: readonly SidesDrift[]
  /** Holds that in every class were longer than planned, or in every one shorter. */
  readonly growing: readonly BlockDrift[]
  /** How many classes fell a minute behind. */
  readonly fellBehind: number
  /** The blocks at which they first were it, the most frequent first. */
  readonly behindAt: readonly BehindAt[]
  /** The middle of how late classes are, by the second of the plan. */
  readonly late: readonly { readonly atS: Seconds; readonly lateS: Seconds }[]
  /** How much of the classes that tell it is quiet, 0 to 1; undefined where none does. */
  readonly quiet: number | undefined
}

/** In the order in which they are told. */
const told: readonly DriftPart[] = [
  ...(['talk', 'change', 'setUp', 'hold', 'comingOut', 'rest', 'breath', 'movement', 'closing'] as const),
]
/** So much behind is worth a word, s. */
const behindS = 60
/** Fewer classes make no habit. */
const leastClasses = 3
/** Less than this is no drift of a hold, s. */
const leastS = 10
/** How far apart the points of lateness lie, s. */
const lateStepS = 300

/** What drifts over some classes: planned beside real, in whole seconds; the newest class stands for what is planned. */
export function whatDrifts(classes: readonly ClassDrift[]): Drift {
  const newestLast = classes.toSorted((a, b) => a.startedAt.localeCompare(b.startedAt))
  const rows = newestLast.flatMap((one) => one.of.map((row) => ({ ...row, sessionId: one.sessionId, id: one.id })))
  const heard = newestLast.filter(({ quietS }) => quietS !== undefined)
  const behindAt = behindOf(newestLast)
  const ledOf = (some: readonly ClassDrift[]): Seconds => some.reduce((sum, { ledS }) => sum + ledS, 0)
  return {
    classes: newestLast.length,
    parts: told.flatMap((part) =>
      partDrift(
        part,
        rows.filter((row) => row.part === part),
      ),
    ),
    sides: sidesOf(rows),
    growing: growing(rows),
    fellBehind: behindAt.reduce((total, one) => total + one.classes, 0),
    behindAt,
    late: lateness(newestLast),
    quiet:
      heard.length === 0 ? undefined : heard.reduce((sum, { quietS = 0 }) => sum + quietS, 0) / (ledOf(heard) || 1),
  }
}

type Row = ClassDrift['of'][number] & { readonly sessionId: string; readonly id: string }

/** A block of two sessions is two: its plan is another. */
const byBlock = <T extends { readonly sessionId: string; readonly blockId: string }>(rows: readonly T[]): T[][] => [
  ...grouped(rows, ({ sessionId, blockId }) => `${sessionId} ${blockId}`).values(),
]

const sum = (figures: readonly number[]): number => figures.reduce((total, one) => total + one, 0)
const middle = (figures: readonly number[]): Seconds => Math.round(median(figures))

function partDrift(part: DriftPart, rows: readonly Row[]): readonly PartDrift[] {
  const [plannedS, tookS] = [sum(rows.map((row) => row.plannedS)), sum(rows.map((row) => row.tookS))]
  if (plannedS + tookS === 0) return []
  const way = Math.sign(tookS - plannedS)
  const blocks = blocksOf(rows)
  const most = blocks.filter(({ moreS }) => moreS * way > 0).sort((a, b) => (b.moreS - a.moreS) * way)
  return [{ part, plannedS, tookS, most, blocks }]
}

function blocksOf(rows: readonly Row[]): readonly BlockDrift[] {
  return byBlock(rows).flatMap((of) => {
    const newest = of.at(-1)
    if (!newest) return []
    const { sessionId, blockId, name, part, plannedS } = newest
    return [
      {
        ...{ sessionId, blockId, name, part, plannedS },
        classes: new Set(of.map(({ id }) => id)).size,
        tookS: middle(of.map(({ tookS }) => tookS)),
        moreS: middle(of.map((row) => row.tookS - row.plannedS)),
      },
    ]
  })
}

const holdsOf = (rows: readonly Row[]): readonly Row[] => rows.filter(({ part }) => part === 'hold')

function growing(rows: readonly Row[]): readonly BlockDrift[] {
  const always = byBlock(holdsOf(rows)).filter(
    (of) =>
      new Set(of.map(({ id }) => id)).size >= leastClasses &&
      [1, -1].some((way) => of.every(({ tookS, plannedS }) => (tookS - plannedS) * way >= leastS)),
  )
  return blocksOf(always.flat()).toSorted((a, b) => Math.abs(b.moreS) - Math.abs(a.moreS))
}

function sidesOf(rows: readonly Row[]): readonly SidesDrift[] {
  const pairs = [...grouped(holdsOf(rows), ({ id, blockId }) => `${id} ${blockId}`).values()].flatMap((of) => {
    const [left, right] = (['left', 'right'] as const).map((side) => of.find((row) => row.side === side))
    return left?.poseId !== undefined && right && left.plannedS === right.plannedS
      ? [{ ...left, poseId: left.poseId, rightS: right.tookS }]
      : []
  })
  const poses = [...grouped(pairs, ({ poseId }) => poseId).values()].flatMap((of) => {
    const newest = of.at(-1)
    if (!newest) return []
    const { poseId, name, sessionId, blockId } = newest
    return [
      {
        ...{ poseId, name, sessionId, blockId, classes: new Set(of.map(({ id }) => id)).size },
        leftS: middle(of.map(({ tookS }) => tookS)),
        rightS: middle(of.map(({ rightS }) => rightS)),
        apartS: middle(of.map(({ tookS, rightS }) => rightS - tookS)),
      },
    ]
  })
  return poses.sort((a, b) => Math.abs(b.apartS) - Math.abs(a.apartS))
}

function behindOf(classes: readonly ClassDrift[]): readonly BehindAt[] {
  const first = classes.flatMap(({ sessionId, late }) => {
    const at = late.find(({ lateS }) => lateS >= behindS)
    return at ? [{ ...at, sessionId }] : []
  })
  return byBlock(first)
    .flatMap((of) => {
      const newest = of.at(-1)
      if (!newest) return []
      const { sessionId, blockId, name, plannedAtS } = newest
      return [{ sessionId, blockId, name, classes: of.length, atS: plannedAtS }]
    })
    .sort((a, b) => b.classes - a.classes || a.atS - b.atS)
}

/** Between the starts of its blocks a class is as late as at the one before. */
function lateness(classes: readonly ClassDrift[]): Drift['late'] {
  const longestS = Math.max(0, ...classes.map(({ late }) => late.at(-1)?.plannedAtS ?? 0))
  const points = Array.from({ length: Math.ceil(longestS / lateStepS) + 1 }, (_, at) => at * lateStepS)
  return points.flatMap((atS) => {
    const there = classes.flatMap(({ late }) => {
      // A class that is shorter says nothing of later minutes.
      if (atS - lateStepS >= (late.at(-1)?.plannedAtS ?? -1)) return []
      return late.findLast(({ plannedAtS }) => plannedAtS <= atS)?.lateS ?? []
    })
    return there.length === 0 ? [] : [{ atS, lateS: middle(there) }]
  })
}
