import Papa from 'papaparse'
import type { LedClass } from '#model/led-class'
import type { BreathRow, MeantAndDone } from '#core/journal'
import { peopleHere } from '#core/lead'

const seconds = (ms: number): number => Math.round(ms / 1000)

/** What only rows of counted breath have. */
const noBreath = { planned_rounds: '', rounds: '', longest_held_s: '', left_free: '' }

/**
 * A led class as CSV (RFC 4180): one row a hold and side, one row a block of counted breath with its rounds, then one
 * row a kind of other time, in seconds.
 */
export function ledClassCsv(
  led: LedClass,
  { holds, others }: MeantAndDone,
  breaths: readonly BreathRow[] = [],
): string {
  const common = {
    class: led.id,
    started: led.startedAt,
    session: led.document.name,
    people: peopleHere({ start: led, events: led.events }),
  }
  const rows = [
    ...holds.map(({ blockId, side, plannedMs, heldMs, attempts }) => ({
      ...common,
      what: led.blocks[blockId]?.name ?? blockId,
      side: side === 'both' ? '' : side,
      kind: 'hold',
      planned_s: seconds(plannedMs),
      took_s: seconds(heldMs),
      begun_again: attempts,
      ...noBreath,
    })),
    ...breaths.map(({ blockId, plannedRounds, rounds, longestHeldMs, freed }) => ({
      ...common,
      what: led.blocks[blockId]?.name ?? blockId,
      side: '',
      kind: 'rounds',
      planned_s: '',
      took_s: '',
      begun_again: '',
      planned_rounds: plannedRounds,
      rounds,
      longest_held_s: seconds(longestHeldMs),
      left_free: freed ? { freely: 'freely', stopCard: 'stop sign', stopBefore: 'stop sign before' }[freed.by] : '',
    })),
    ...others.map(({ kind, plannedMs, tookMs }) => ({
      ...common,
      what: '',
      side: '',
      kind,
      planned_s: seconds(plannedMs),
      took_s: seconds(tookMs),
      begun_again: 0,
      ...noBreath,
    })),
  ]
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })
}
