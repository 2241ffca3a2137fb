import Papa from 'papaparse'
import type { LedClass } from '#model/led-class'
import type { MeantAndDone } from '#core/journal'

const seconds = (ms: number): number => Math.round(ms / 1000)

/** A led class as CSV (RFC 4180): one row a hold and side, then one row a kind of other time, in seconds. */
export function ledClassCsv(led: LedClass, { holds, others }: MeantAndDone): string {
  const common = { class: led.id, started: led.startedAt, session: led.document.name, people: led.people }
  const rows = [
    ...holds.map(({ blockId, side, plannedMs, heldMs, attempts }) => ({
      ...common,
      what: led.blocks[blockId]?.name ?? blockId,
      side: side === 'both' ? '' : side,
      kind: 'hold',
      planned_s: seconds(plannedMs),
      took_s: seconds(heldMs),
      begun_again: attempts,
    })),
    ...others.map(({ kind, plannedMs, tookMs }) => ({
      ...common,
      what: '',
      side: '',
      kind,
      planned_s: seconds(plannedMs),
      took_s: seconds(tookMs),
      begun_again: 0,
    })),
  ]
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })
}
