import type { Practice } from '#model/common'
import type { Session } from '#model/session'
import { patternText } from '#core/breath'
import type { Resolved } from '#core/session'
import { formatDuration } from '#core/units'
import type { Segment } from '#core/timeline'
import { basePositionNames } from '#library/base-positions'
import { changeWords } from '#library/changes'
import { afterRestName } from '#library/practice-words'
import { propNames } from '#library/prop-names'

/** What a block is called on the spine and in the list of steps to undo. */
export function blockName(resolved: Resolved): string {
  switch (resolved.kind) {
    case 'talk':
      return resolved.block.title
    case 'hold':
      return resolved.pose.names.english
    case 'movement':
      return resolved.movement.names.english
    case 'breath':
      return resolved.technique.names.english
    case 'rest':
      return 'Rest'
    case 'closing':
      return 'Closing'
  }
}

/** The line under a symmetric block's name. */
export function blockDetail(resolved: Resolved): string {
  switch (resolved.kind) {
    case 'talk':
      return resolved.block.text ?? ''
    case 'hold':
      return [propsLine(resolved), breathOverLine(resolved)].filter((line) => line !== '').join(' · ')
    case 'movement':
      return `${String(resolved.rounds)} rounds`
    case 'breath':
      return breathLine(resolved)
    case 'rest':
      return resolved.block.text ?? basePositionNames[resolved.toPosition]
    case 'closing': {
      const up = resolved.comingOutS.value + resolved.rollS.value + resolved.sittingUpS.value
      return `final rest ${formatDuration(resolved.finalRestS.value)}, coming up ${formatDuration(up)}`
    }
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
  pose.props
    .map(({ kind, count }) => (count === 1 ? propNames[kind].one : `${String(count)} ${propNames[kind].many}`))
    .join(', ')

const breathOverLine = ({ breathOver }: Extract<Resolved, { kind: 'hold' }>): string =>
  breathOver ? `${breathOver.technique.names.english.toLowerCase()} ${patternText(breathOver.pattern)} over it` : ''

function breathLine({ pattern, amount }: Extract<Resolved, { kind: 'breath' }>): string {
  if (!pattern || 'naturalS' in amount) return 'own breath'
  const ratio = patternText(pattern)
  if ('fillS' in amount) return `${ratio}, fills ${formatDuration(amount.fillS)}`
  const { sets, roundsPerSet } = amount
  return sets === 1
    ? `${ratio}, ${String(roundsPerSet)} rounds`
    : `${ratio}, ${String(sets)} sets of ${String(roundsPerSet)}`
}

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
    if (doing.kind === 'change') words.push(doing.text ?? changeWords(doing.from, doing.to) ?? '')
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
