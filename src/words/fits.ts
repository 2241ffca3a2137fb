import type { Session } from '#model/session'
import { roundsThatFit } from '#core/breath'
import type { Fit, OrderSuggestion } from '#core/fit'
import { resolveSession } from '#core/session'
import type { Catalog, Resolved, ResolvedHold } from '#core/session'
import { orThrow } from '#core/result'
import { formatDuration } from '#core/units'
import { counted, namesInWords } from './text.ts'
import { afterRestName, afterRestNames } from './practices.ts'
import { targetNames } from './targets.ts'
import { blockName } from './blocks.ts'

const heldS = ({ sides }: ResolvedHold): number => sides.reduce((sum, { holdS }) => sum + holdS, 0)
const isHold = (block: Resolved): block is ResolvedHold => block.kind === 'hold'

/** What a fit costs, a line for each thing it changes; "every hold as written" where it leaves them. */
export function costWords(session: Session, fit: Fit, catalog: Catalog): string[] {
  const before = orThrow(resolveSession(session, catalog))
  const after = orThrow(resolveSession(fit.session, catalog))
  const left = new Map(after.map((block) => [block.block.id, block]))
  const dropped = before.filter(({ block }) => !left.has(block.id)).map(blockName)
  return [
    ...(dropped.length > 0 ? [`drops ${namesInWords(dropped)}`] : []),
    holdsLine(before.filter(isHold), after.filter(isHold)),
    ...closingLines(before.at(-1), after.at(-1)),
    ...afterRestLines(session, before, left),
    ...breathLines(before, left),
    ...(fit.missed.length > 0 ? [`no room for ${namesInWords(fit.missed.map((target) => targetNames[target]))}`] : []),
    restLine(session, fit),
  ].filter((line) => line !== '')
}

function holdsLine(before: readonly ResolvedHold[], after: readonly ResolvedHold[]): string {
  const planned = new Map(before.map((hold) => [hold.block.id, heldS(hold)]))
  const changed = after.filter((hold) => heldS(hold) !== planned.get(hold.block.id))
  if (after.length === 0) return ''
  if (changed.length === 0) return after.length === 1 ? 'the hold as written' : 'every hold as written'
  const [was, is] = [
    after.reduce((sum, hold) => sum + (planned.get(hold.block.id) ?? 0), 0),
    after.reduce((sum, hold) => sum + heldS(hold), 0),
  ]
  const percent = Math.max(1, Math.round((Math.abs(was - is) / was) * 100))
  const times = after.flatMap(({ sides }) => sides.map(({ holdS }) => holdS))
  return is < was
    ? `holds ${String(percent)} % shorter, shortest ${formatDuration(Math.min(...times))}`
    : `holds ${String(percent)} % longer, longest ${formatDuration(Math.max(...times))}`
}

function closingLines(before: Resolved | undefined, after: Resolved | undefined): string[] {
  if (before?.kind !== 'closing' || after?.kind !== 'closing') return []
  const [was, is] = [before.finalRestS.value, after.finalRestS.value]
  return was === is ? [] : [`final rest ${formatDuration(was)} to ${formatDuration(is)}`]
}

function afterRestLines(
  { practice }: Session,
  before: readonly Resolved[],
  left: ReadonlyMap<string, Resolved>,
): string[] {
  const longer = before.filter(isHold).filter((hold) => {
    const now = left.get(hold.block.id)
    return now?.kind === 'hold' && now.times.afterRestS.value > hold.times.afterRestS.value
  })
  return longer.length === 0
    ? []
    : [`${counted(longer.length, afterRestName(practice), afterRestNames(practice))} longer`]
}

/** Counted breath over a hold keeps whole rounds: where fewer of them fit than were planned, it is said. */
function breathLines(before: readonly Resolved[], left: ReadonlyMap<string, Resolved>): string[] {
  return before.filter(isHold).flatMap((hold) => {
    const now = left.get(hold.block.id)
    if (now?.kind !== 'hold' || !hold.breathOver) return []
    const [was, is] = [roundsOver(hold), roundsOver(now)]
    const name = hold.breathOver.technique.names.english.toLowerCase()
    return is < was ? [`${String(is)} rounds of ${name} over ${blockName(hold)} instead of ${String(was)}`] : []
  })
}

function roundsOver({ breathOver, sides }: ResolvedHold): number {
  if (!breathOver) return 0
  const most = Math.min(...sides.map(({ holdS }) => roundsThatFit(holdS * 1000, breathOver.pattern, breathOver.pace)))
  return Math.min(breathOver.rounds ?? most, most)
}

function restLine({ lengthS }: Session, fit: Fit): string {
  if (fit.overMs > 0) return `still ${formatDuration(Math.ceil(fit.overMs / 1000))} too long`
  const spareS = lengthS - Math.ceil(fit.totalMs / 1000)
  return spareS === 0 ? 'fits to the second' : `${formatDuration(spareS)} to spare`
}

/** What stands in the way of the length, each with the least it can be. */
export function inTheWayWords(session: Session, { inTheWay }: Fit, catalog: Catalog): string[] {
  const blocks = new Map(orThrow(resolveSession(session, catalog)).map((block) => [block.block.id, block]))
  return inTheWay.flatMap(({ blockId, of, leastS }) => {
    const block = blocks.get(blockId)
    if (!block) return []
    const each = of === 'side' && block.kind === 'hold' && block.sides.length > 1 ? ' a side' : ''
    return [`${of === 'final rest' ? 'Final rest' : blockName(block)} ${formatDuration(leastS)}${each}`]
  })
}

/** What an order saves, and how sure it is. */
export function orderWords({ now, then, isBest, boundS, edits }: OrderSuggestion): string[] {
  if (edits.length === 0) {
    return [
      isBest
        ? `No order under these rules moves less: changes take ${formatDuration(now.changeS)}.`
        : `Nothing better was found: changes take ${formatDuration(now.changeS)}.`,
    ]
  }
  const lines = [
    now.changeS === then.changeS
      ? `Changes still take ${formatDuration(now.changeS)}.`
      : `Changes take ${formatDuration(then.changeS)} instead of ${formatDuration(now.changeS)}: saves ${formatDuration(now.changeS - then.changeS)}.`,
  ]
  if (then.moves !== now.moves)
    lines.push(`The base position changes ${timesWords(then.moves)} instead of ${timesWords(now.moves)}.`)
  if (then.trips !== now.trips) lines.push(`${counted(then.trips, 'trip')} for props instead of ${String(now.trips)}.`)
  if (!isBest)
    lines.push(`With so many blocks this may not be the best; none can come below ${formatDuration(boundS)}.`)
  return lines
}

const timesWords = (times: number): string => (times === 1 ? 'once' : `${String(times)} times`)
