import type { Block } from '#model/block'
import type { Practice } from '#model/common'
import type { Session } from '#model/session'
import { patternText } from '#core/breath'
import { holdSecondsOf, poseIn, techniqueIdIn } from '#core/session'
import type { Catalog, ComingUp, Resolved } from '#core/session'
import { formatDuration } from '#core/units'
import type { Segment } from '#core/timeline'
import { basePositionNames, changeWords } from './positions.ts'
import { afterRestName } from './practices.ts'
import { countedOrOne } from './props.ts'
import { sectionsLine, sectionsTime } from './sections.ts'
import { counted } from './text.ts'

/** What a block stands on: a pose, a movement, a technique. */
interface Named {
  readonly names: { readonly english: string }
}

const goneNames = { hold: 'a pose', movement: 'a movement', breath: 'a breath' } as const

function nameOn(block: Block, on: Named | undefined): string {
  if (block.kind === 'talk') return block.title
  if (block.kind === 'rest') return 'Rest'
  if (block.kind === 'closing') return 'Closing'
  return on?.names.english ?? `${goneNames[block.kind]} that is gone`
}

/** What a block is called: on the spine, in lists, in the record of a class. */
export function blockName(resolved: Resolved): string {
  if (resolved.kind === 'hold') return nameOn(resolved.block, resolved.pose)
  if (resolved.kind === 'movement') return nameOn(resolved.block, resolved.movement)
  return nameOn(resolved.block, resolved.kind === 'breath' ? resolved.technique : undefined)
}

/** The same of a block that is not resolved, also where what it stands on is gone. */
export function blockNameIn(block: Block, catalog: Catalog): string {
  if (block.kind === 'hold') return nameOn(block, poseIn(catalog, block.poseId))
  if (block.kind === 'movement') return nameOn(block, catalog.movements.get(block.movementId))
  return nameOn(block, block.kind === 'breath' ? catalog.techniques.get(techniqueIdIn(block) ?? '') : undefined)
}

/** The time a block sets, in words; of one side where that is asked for. Nothing where it sets none. */
export function blockTimeWords(block: Block, side?: 'left' | 'right'): string {
  switch (block.kind) {
    case 'talk':
    case 'rest':
      return formatDuration(block.s)
    case 'closing':
      return block.finalRestS === undefined ? '' : formatDuration(block.finalRestS)
    case 'hold':
      return block.hold ? formatDuration(holdSecondsOf(block.hold, side ?? 'both')) : ''
    case 'movement':
      return block.rounds === undefined ? '' : counted(block.rounds, 'round')
    case 'breath':
      return sectionsTime(block.sections)
  }
}

/** How long people come up at the end of lying still. */
export const comingUpWords = ({ comingOutS, rollS, sittingUpS }: ComingUp): string =>
  `coming up ${formatDuration(comingOutS.value + rollS.value + sittingUpS.value)}`

/** The line under a symmetric block's name. */
export function blockDetail(resolved: Resolved): string {
  switch (resolved.kind) {
    case 'talk':
      return resolved.block.text ?? ''
    case 'hold':
      return [propsLine(resolved), breathOverLine(resolved)].filter((line) => line !== '').join(' · ')
    case 'movement':
      return counted(resolved.rounds, 'round')
    case 'breath':
      return sectionsLine(resolved.sections)
    case 'rest': {
      const { block, toPosition, ending } = resolved
      return [block.text ?? basePositionNames[toPosition], ...(ending ? [comingUpWords(ending)] : [])].join(', ')
    }
    case 'closing':
      return `final rest ${formatDuration(resolved.finalRestS.value)}, ${comingUpWords(resolved)}`
  }
}

/** The line under the name of one side: the side in the body's terms, and what is used. */
export function sideWords(resolved: Resolved, side: 'left' | 'right'): string {
  if (resolved.kind === 'movement') return resolved.movement.sides?.[side] ?? side
  if (resolved.kind !== 'hold') return side
  const props = propsLine(resolved)
  const told = resolved.pose.sides?.[side] ?? side
  return props === '' ? told : `${told} · ${props}`
}

const propsLine = ({ pose }: Extract<Resolved, { kind: 'hold' }>): string =>
  pose.props.map(({ kind, count }) => countedOrOne(kind, count)).join(', ')

const breathOverLine = ({ breathOver }: Extract<Resolved, { kind: 'hold' }>): string =>
  breathOver ? `${breathOver.technique.names.english.toLowerCase()} ${patternText(breathOver.pattern)} over it` : ''

const restNames = { nothing: 'other side', stillness: 'stillness', movement: 'other side' } as const

/** One label for all that lies between two wings: the rest first, then where it goes. */
export function ribWords(segments: readonly Segment[], practice: Practice): string {
  const totalS = segments.reduce((sum, { startMs, endMs }) => sum + (endMs - startMs), 0) / 1000
  const words: string[] = []
  for (const { doing, startMs, endMs } of segments) {
    const time = formatDuration((endMs - startMs) / 1000)
    if (doing.kind === 'movement') words.push(`rest ${time}`)
    if (doing.kind === 'afterRest') words.push(`${afterRestName(practice)} ${time}`)
    if (doing.kind === 'betweenSides' && doing.form === 'stillness')
      words.push(`${restNames.stillness} ${time}`, 'other side')
    if (doing.kind === 'betweenSides' && doing.form !== 'stillness') words.push(restNames[doing.form])
    if (doing.kind === 'change') words.push(doing.text ?? changeWords(doing.from, doing.to) ?? 'props')
  }
  const said = words.filter((word) => word !== '')
  if (said.length === 0)
    said.push(segments.some(({ doing }) => doing.kind === 'setUp' && doing.second) ? 'other side' : lonely(segments))
  return said.some((word) => /\d/.test(word)) ? said.join(' · ') : `${said.join(' · ')} ${formatDuration(totalS)}`
}

/** Between-time with neither rest nor change: set-up at the start, or only coming out. */
const lonely = (segments: readonly Segment[]): string =>
  segments.some(({ doing }) => doing.kind === 'setUp') ? 'set-up' : 'coming out'

/** "Deer, left, 3:30, block 7 of 14": a wing as a screen reader says it. */
export function wingLabel(
  wing: { name: string; bank: 'left' | 'right' | 'pair'; seconds: number; blockIndex: number },
  session: Session,
): string {
  const side = wing.bank === 'pair' ? [] : [wing.bank]
  const place = `block ${String(wing.blockIndex + 1)} of ${String(session.blocks.length)}`
  return [wing.name, ...side, formatDuration(wing.seconds), place].join(', ')
}
