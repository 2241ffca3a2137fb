import Papa from 'papaparse'
import { lengthLimitsMm } from '#model/limits'
import type { CupboardItem } from '#model/place'
import type { PropKind } from '#model/prop'
import { keysOf, parseNumber } from '#core/units'
import { propNames } from '#words/props'

const columns = ['kind', 'name', 'count', 'length_cm', 'width_cm', 'height_cm'] as const
const sides = ['length', 'width', 'height'] as const

const cmText = (mm: number | undefined): string => (mm === undefined ? '' : String(mm / 10))

/** A cupboard as CSV (RFC 4180): one row an item, its own size in cm where it was measured. */
export const cupboardCsv = (items: readonly CupboardItem[]): string =>
  Papa.unparse(
    {
      fields: [...columns],
      data: items.map(({ kind, count, sizeMm }) => [
        kind,
        propNames[kind].one,
        count,
        ...sides.map((side) => cmText(sizeMm?.[side])),
      ]),
    },
    { escapeFormulae: true },
  )

/** A line that was not understood, by its number in the file, and why. */
export interface CupboardSlip {
  readonly line: number
  readonly text: string
  readonly why: 'kind' | 'count' | 'size' | 'columns'
}

export interface CupboardRead {
  readonly items: readonly Omit<CupboardItem, 'id'>[]
  readonly slips: readonly CupboardSlip[]
}

type Row = Readonly<Partial<Record<string, string>>>

/**
 * A cupboard read from CSV: kinds by their key or as teachers call them, one or many of them; sizes in cm may be left out,
 * with a point or a comma. A line that is not understood is told, the others are read.
 */
export function readCupboardCsv(text: string): CupboardRead {
  const { data, meta } = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  })
  const named = new Set(meta.fields ?? [])
  if (!named.has('count') || !(named.has('kind') || named.has('name')))
    return { items: [], slips: [{ line: 1, text: [...named].join(', '), why: 'columns' }] }
  const items: Omit<CupboardItem, 'id'>[] = []
  const slips: CupboardSlip[] = []
  for (const [at, row] of data.entries()) {
    const read = readRow(row)
    if (typeof read === 'string') slips.push({ line: at + 2, text: Object.values(row).join(', '), why: read })
    else items.push(read)
  }
  return { items, slips }
}

function readRow(row: Row): Omit<CupboardItem, 'id'> | Exclude<CupboardSlip['why'], 'columns'> {
  const kind = kindNamed(row['kind'] ?? '') ?? kindNamed(row['name'] ?? '')
  if (!kind) return 'kind'
  const count = parseNumber(row['count'] ?? '', { least: 0, most: 1000 })
  if (!count.ok) return 'count'
  const size: Partial<Record<(typeof sides)[number], number>> = {}
  for (const side of sides) {
    const typed = (row[`${side}_cm`] ?? '').trim()
    if (typed === '') continue
    const cm = parseNumber(typed, { least: lengthLimitsMm.least / 10, most: lengthLimitsMm.most / 10, grain: 0.1 })
    if (!cm.ok) return 'size'
    size[side] = Math.round(cm.value * 10)
  }
  return { kind, count: count.value, ...(Object.keys(size).length === 0 ? {} : { sizeMm: size }) }
}

const kinds: ReadonlyMap<string, PropKind> = new Map(
  keysOf(propNames).flatMap((kind) =>
    [kind, propNames[kind].one, propNames[kind].many].map((name) => [name.toLowerCase(), kind] as const),
  ),
)
/** A formula sign that was put before a word goes. */
const kindNamed = (typed: string): PropKind | undefined => kinds.get(typed.trim().replace(/^'/, '').toLowerCase())
