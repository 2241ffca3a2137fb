import type { Target } from '#model/pose'
import type { Milliseconds, Seconds } from '#core/units'
import type { Candidate } from './candidates.ts'

/** What is asked of a subset besides its blocks that must stay. */
export interface SubsetWanted {
  readonly lengthMs: Milliseconds
  /** Areas of which at least one hold has to stay. */
  readonly keepTargets: readonly Target[]
}

export interface Subset {
  /** Places of what stays, rising. */
  readonly kept: readonly number[]
  readonly totalMs: Milliseconds
  readonly weight: number
  readonly heldS: Seconds
  readonly changeS: Seconds
}

/** One way to have chosen so far. */
interface Label {
  readonly ms: Milliseconds
  readonly weight: number
  readonly heldS: Seconds
  readonly changeS: Seconds
  readonly kept: Kept | undefined
}
interface Kept {
  readonly index: number
  readonly before: Kept | undefined
}

const nothingChosen: Label = { ms: 0, weight: 0, heldS: 0, changeS: 0, kept: undefined }

/**
 * How much more a choice is worth than another: by weight, then by seconds held, then by less change; 0
 * where they are worth the same. Each for itself: seconds planned can pass any factor that would bind them.
 */
const worthMore = (a: Label, b: Label): number => a.weight - b.weight || a.heldS - b.heldS || b.changeS - a.changeS

/** Where a choice stands: the block whose place people are in, what still waits for its counterpose, areas kept. */
interface State {
  readonly place: number | undefined
  readonly waiting: number
  readonly met: number
  readonly labels: readonly Label[]
}

/**
 * The exact best subset in the given order: all that must stay, then the greatest sum of weights, then the
 * most seconds held, then the least change time, then the earliest blocks; the whole no longer than wanted.
 * Undefined where nothing of that kind is short enough.
 *
 * A walk over the blocks keeps for every state only labels that are worth more than each shorter one; as all
 * sums just add up, a label that is longer and worth no more can never come out ahead.
 */
export function bestSubset(
  candidates: readonly Candidate[],
  { lengthMs, keepTargets }: SubsetWanted,
): Subset | undefined {
  const slots = slotsOf(candidates)
  const leastAfter = leastMsAfter(candidates)
  let states: State[] = [{ place: undefined, waiting: 0, met: 0, labels: [nothingChosen] }]
  for (const candidate of candidates) {
    const mostMs = lengthMs - (leastAfter[candidate.index + 1] ?? 0)
    states = gathered(states.flatMap((state) => branches(state, candidate, { slots, keepTargets, mostMs })))
  }
  const allMet = 2 ** keepTargets.length - 1
  const best = states
    .filter(({ met }) => met === allMet)
    .flatMap(({ labels }) => labels)
    .reduce<Label | undefined>((a, b) => (!a || isBetter(b, a) ? b : a), undefined)
  return best && subsetOf(best)
}

interface Branching {
  readonly slots: readonly (Waiting | undefined)[]
  readonly keepTargets: readonly Target[]
  readonly mostMs: Milliseconds
}

/** The states after a block: without it where it may go, and with it where there is time. */
function branches(state: State, candidate: Candidate, { slots, keepTargets, mostMs }: Branching): State[] {
  const countered = candidate.counters === undefined ? undefined : slots[candidate.counters]
  const counteredStays = countered !== undefined && (state.waiting & countered.bit) !== 0
  const waiting = countered?.until === candidate.index ? state.waiting & ~countered.bit : state.waiting
  const next: State[] = []
  const mayGo = !candidate.must && (!counteredStays || candidate.mayLeave)
  if (mayGo) next.push({ ...state, waiting, labels: state.labels.filter(({ ms }) => ms <= mostMs) })
  const mayStay = candidate.must || !countered || counteredStays
  if (!mayStay) return next
  const changeS = candidate.changeS(state.place)
  const byMs = candidate.ownMs + changeS * 1000
  const labels = state.labels
    .filter(({ ms }) => ms + byMs <= mostMs)
    .map((label): Label => ({
      ms: label.ms + byMs,
      weight: label.weight + candidate.weight,
      heldS: label.heldS + candidate.heldS,
      changeS: label.changeS + changeS,
      kept: { index: candidate.index, before: label.kept },
    }))
  next.push({
    place: candidate.leaves(state.place),
    waiting: waiting | (slots[candidate.index]?.bit ?? 0),
    met: keepTargets.reduce(
      (met, target, at) => (candidate.targets.includes(target) ? met | (2 ** at) : met),
      state.met,
    ),
    labels,
  })
  return next
}

/** States that stand alike become one, with the labels of all that are worth keeping. */
function gathered(states: readonly State[]): State[] {
  const alike = new Map<string, State[]>()
  for (const state of states) {
    if (state.labels.length === 0) continue
    const key = `${String(state.place ?? '')} ${String(state.waiting)} ${String(state.met)}`
    const same = alike.get(key)
    if (same) same.push(state)
    else alike.set(key, [state])
  }
  return [...alike.values()].map((same) => {
    const [first] = same
    if (!first) throw new RangeError('gathered: no state')
    return same.length === 1 ? first : { ...first, labels: worthKeeping(same.flatMap(({ labels }) => labels)) }
  })
}

/** The labels worth more than every shorter one, shortest first. */
function worthKeeping(labels: Label[]): Label[] {
  labels.sort((a, b) => a.ms - b.ms || worthMore(b, a) || (isEarlier(a, b) ? -1 : 1))
  const kept: Label[] = []
  for (const label of labels) {
    const best = kept.at(-1)
    if (!best || isBetter(label, best)) kept.push(label)
  }
  return kept
}

/** Whether a choice is worth more than another, or as much with the earlier blocks. */
function isBetter(a: Label, b: Label): boolean {
  const more = worthMore(a, b)
  return more > 0 || (more === 0 && isEarlier(a, b))
}

/** Of two choices worth the same: whether at the first block where they differ it is `a` that keeps it. */
function isEarlier(a: Label, b: Label): boolean {
  let [one, other] = [a.kept, b.kept]
  let earlier = false
  while (one !== other) {
    // From the back: the last difference found is the first in the session.
    if (one && (!other || one.index > other.index)) {
      earlier = true
      one = one.before
    } else if (other && (!one || other.index > one.index)) {
      earlier = false
      other = other.before
    } else {
      one = one?.before
      other = other?.before
    }
  }
  return earlier
}

/** The bit of a block that waits for its counterposes, and the last of them. */
interface Waiting {
  readonly bit: number
  readonly until: number
}

/** A bit for every block that has counterposes, used again where the wait is over. */
function slotsOf(candidates: readonly Candidate[]): (Waiting | undefined)[] {
  const lastCounter = new Map<number, number>()
  for (const { index, counters } of candidates) if (counters !== undefined) lastCounter.set(counters, index)
  const freeFrom: number[] = []
  return candidates.map(({ index }) => {
    const until = lastCounter.get(index)
    if (until === undefined) return undefined
    const free = freeFrom.findIndex((from) => from <= index)
    const slot = free < 0 ? freeFrom.length : free
    freeFrom[slot] = until
    return { bit: 2 ** slot, until }
  })
}

/** For each place, the least time of what must stay from there on, changes apart. */
function leastMsAfter(candidates: readonly Candidate[]): Milliseconds[] {
  const least = new Array<number>(candidates.length + 1).fill(0)
  for (let at = candidates.length - 1; at >= 0; at -= 1) {
    const candidate = candidates[at]
    least[at] = (least[at + 1] ?? 0) + (candidate?.must ? candidate.ownMs : 0)
  }
  return least
}

function subsetOf({ ms, weight, heldS, changeS, kept: last }: Label): Subset {
  const kept: number[] = []
  for (let at = last; at; at = at.before) kept.unshift(at.index)
  return { kept, totalMs: ms, weight, heldS, changeS }
}
