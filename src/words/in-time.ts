import type { Refit } from '#model/led-class'
import type { Moment } from '#core/journal'
import { formatMs } from '#core/units'
import { namesInWords } from './text.ts'

const ways: Readonly<Record<Refit['way'], string>> = {
  lessBetween: 'less between',
  leaveOut: 'poses left out',
  endLater: 'a later end',
  shorter: 'shorter holds',
  fewerRounds: 'fewer rounds',
  finalRest: 'a shorter rest',
  longer: 'longer holds',
  left: 'chosen to leave out',
  moved: 'another order',
}
const plain: Readonly<Record<Exclude<Moment['what']['type'], 'pause' | 'refit' | 'observed'>, string>> = {
  mark: 'Marked',
  asPlanned: 'As planned again',
  promised: 'Another end promised',
  freely: 'Breath left free',
  stopCard: 'Stop signs shown',
  stoppedThen: 'Breath left free before its turn',
  cameLate: 'Somebody came late',
  back: 'Begun again',
  stay: 'Stayed longer',
}

/** What happened at a moment of a class, as its journal tells it. */
export function momentWords({ what }: Moment, nameOf: (blockId: string) => string): string {
  if (what.type === 'pause') return `Paused for ${formatMs(what.forMs)}`
  if (what.type === 'observed') return what.text === '' ? plain.mark : what.text
  if (what.type !== 'refit') return plain[what.type]
  const out = what.leaves.length === 0 ? '' : ` (${namesInWords(what.leaves.map(nameOf))})`
  return `Re-fitted: ${ways[what.way]}${out}`
}
