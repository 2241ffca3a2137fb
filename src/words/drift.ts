import type { DriftPart } from '#model/class-drift'
import type { BlockDrift, Drift, PartDrift, Proposal } from '#core/journal'
import { formatDuration } from '#core/units'
import { counted } from './text.ts'

/** The parts of a class as they are laid beside the plan. */
export const driftPartNames: Readonly<Record<DriftPart, string>> = {
  talk: 'Talk',
  change: 'Changes',
  setUp: 'Set-ups',
  hold: 'Holds',
  comingOut: 'Coming out',
  breath: 'Breath work',
  movement: 'Movement',
  rest: 'Rests',
  closing: 'Closing',
}
const several: ReadonlySet<DriftPart> = new Set(['change', 'setUp', 'hold', 'rest'])

/** Less than this a class, or than this share, is as planned. */
const littleS = 15
const littleShare = 0.05
/** So many blocks are named. */
const mostNamed = 3
/** Sides that are less apart than this are alike, s. */
const alikeS = 5

/** Seconds with their sign, as "+2:10". */
export const signed = (s: number): string => `${s < 0 ? '−' : s > 0 ? '+' : ''}${formatDuration(Math.abs(s))}`
/** How many times what is planned something takes, as "1.40"; undefined where nothing is planned. */
export const timesPlanned = ({ plannedS, tookS }: Pick<PartDrift, 'plannedS' | 'tookS'>): string | undefined =>
  plannedS === 0 ? undefined : (tookS / plannedS).toFixed(2)

const moreOrLess = (s: number): string => `${formatDuration(Math.abs(s))} ${s < 0 ? 'less' : 'more'}`

const apart = ({ plannedS, tookS }: PartDrift): number => Math.abs(tookS - plannedS)

/** Which part of the classes drifts furthest, and what makes most of it. */
export function partsSentence({ parts, classes }: Drift): string {
  const [worst] = parts
    .filter((one) => apart(one) >= littleS * classes && apart(one) >= littleShare * one.plannedS)
    .sort((a, b) => apart(b) - apart(a))
  if (!worst) return `Every part takes about what is planned.`
  const { part, plannedS, tookS, most } = worst
  const verb = several.has(part) ? 'take' : 'takes'
  const times = timesPlanned(worst)
  const [first] = most
  const alone = first ? `; ${first.name} alone ${moreOrLess(first.moreS)}` : ''
  const by =
    times === undefined ? `${formatDuration(tookS - plannedS)}, and none is planned` : `${times} of what is planned`
  return `${driftPartNames[part]} ${verb} ${by}${alone}.`
}

export function sidesSentence({ sides }: Drift): string {
  const [worst] = sides
  if (!worst) return 'No pose with two sides was led.'
  const { name, apartS } = worst
  return Math.abs(apartS) < alikeS
    ? `The sides of every pose are held alike, within ${String(alikeS)} seconds.`
    : `${name}: the right side is held ${formatDuration(Math.abs(apartS))} ${apartS < 0 ? 'shorter' : 'longer'} than the left.`
}

export function growingSentence({ growing, classes }: Drift): string {
  const [first, ...others] = growing
  if (classes < 3) return 'Three classes tell whether a hold always grows or shrinks.'
  if (!first) return 'No hold is always longer, or always shorter, than it is planned.'
  const more = others.length === 0 ? '' : `; ${String(others.length)} more`
  return `${first.name} is always ${alwaysWords(first)}${more}.`
}

/** By how much a hold is always longer or shorter. */
export const alwaysWords = ({ moreS }: Pick<BlockDrift, 'moreS'>): string =>
  `${moreS < 0 ? 'shorter' : 'longer'}, by ${formatDuration(Math.abs(moreS))} in the middle`

export function behindSentence({ fellBehind, behindAt, classes }: Drift): string {
  if (fellBehind === 0)
    return classes === 1 ? 'The class never fell a minute behind.' : 'No class fell a minute behind.'
  const at = behindAt
    .slice(0, mostNamed)
    .map(({ name, atS }) => `at ${name} (minute ${String(Math.round(atS / 60))})`)
    .join(', ')
  const which = classes === 1 ? 'The class' : `${String(fellBehind)} of ${counted(classes, 'class', 'classes')}`
  return `${which} fell a minute behind: ${at}.`
}

export const quietSentence = ({ quiet }: Drift): string =>
  quiet === undefined
    ? 'These records do not tell what was said.'
    : `${String(Math.round(quiet * 100))} % of the time is quiet, by the words of the plan.`

const planWords: Readonly<Partial<Record<DriftPart, string>>> = {
  talk: 'talk',
  change: 'the change into it',
  rest: 'rest',
  hold: 'hold',
}

/** A change of the plan, with what it is now. */
export const proposalWords = ({ drift: { name, part, plannedS }, mend }: Proposal): string =>
  `${name}, ${planWords[part] ?? driftPartNames[part]}: ${formatDuration(mend.plannedS)} instead of ${formatDuration(plannedS)}`
