import Papa from 'papaparse'
import type { LedClassLine } from '#model/journal'

/** The journal as CSV (RFC 4180): a row a class, in seconds; a class nobody ended has no end and no length. */
export const journalCsv = (lines: readonly LedClassLine[]): string =>
  Papa.unparse(
    {
      fields: ['class', 'started', 'ended', 'session', 'planned_s', 'led_s', 'people'],
      data: lines.map(({ id, startedAt, endedAt, name, plannedS, ledS, people }) => [
        ...[id, startedAt, endedAt ?? '', name, plannedS],
        ...[endedAt === null ? '' : ledS, people],
      ]),
    },
    { newline: '\r\n', escapeFormulae: true },
  )
