import type { Balance } from '#core/checks'
import { formatMs } from '#core/units'
import type { Milliseconds } from '#core/units'
import { basePositionNames } from '#words/positions'
import { directionNames } from '#words/directions'
import { targetNames } from '#words/targets'

/** A colour of the tokens, by name. */
export type Tone = 'both' | 'left' | 'right' | 'breath' | 'rest' | 'between'

/** A chart as data: bars with a length each, or a line of steps along the class; every figure also in words. */
export interface ChartData {
  readonly title: string
  readonly note?: string
  readonly kind: 'bars' | 'steps'
  readonly unit: 'min' | '%' | 'of 10' | ''
  readonly rows: readonly {
    readonly name: string
    readonly value: number
    readonly words: string
    readonly tone: Tone
  }[]
  /** For steps: where each begins and ends, in minutes. */
  readonly spans?: readonly { readonly from: number; readonly to: number; readonly value: number | null }[]
  /** For steps of named values: their names from 0 up. */
  readonly levels?: readonly string[]
  readonly most?: number
}

const minutes = (ms: Milliseconds): number => ms / 60_000
const bar = (name: string, ms: Milliseconds, tone: Tone = 'both') => ({
  name,
  value: minutes(ms),
  words: formatMs(ms),
  tone,
})

/** The balance as charts, those that would be empty left out. */
export function chartsOf(balance: Balance, totalMs: Milliseconds): ChartData[] {
  const { doings, leftMs, rightMs } = balance
  const charts: ChartData[] = [
    {
      title: 'Areas',
      note: 'a hold counts for each of its areas',
      kind: 'bars',
      unit: 'min',
      rows: balance.byTarget.map(([target, ms]) => bar(targetNames[target], ms)),
    },
    {
      title: 'Directions',
      note: 'a hold counts for each of its directions',
      kind: 'bars',
      unit: 'min',
      rows: balance.byDirection.map(([direction, ms]) => bar(directionNames[direction], ms)),
    },
    {
      title: 'Left and right',
      kind: 'bars',
      unit: 'min',
      rows: leftMs + rightMs === 0 ? [] : [bar('left', leftMs, 'left'), bar('right', rightMs, 'right')],
    },
    {
      title: 'What people do',
      kind: 'bars',
      unit: 'min',
      rows: [
        bar('still', doings.stillMs, 'both'),
        bar('counted breath', doings.breathMs, 'breath'),
        bar('listening', doings.talkMs, 'rest'),
        bar('moving', doings.movingMs, 'between'),
      ].filter(({ value }) => value > 0),
    },
    quietChart(balance),
    feltChart(balance, totalMs),
    positionsChart(balance),
  ]
  return charts.filter(({ rows }) => rows.length > 0)
}

const quietChart = ({ quiet }: Balance): ChartData => ({
  title: 'Quiet share of each hold',
  note: 'its louder side, at 110 words a minute',
  kind: 'bars',
  unit: '%',
  most: 100,
  rows: quiet.map(({ name, quiet: share }) => ({
    name,
    value: share * 100,
    words: `${String(Math.round(share * 100))} %`,
    tone: 'both',
  })),
})

function feltChart({ felt }: Balance, totalMs: Milliseconds): ChartData {
  const spans = felt.flatMap(({ startMs, endMs, from, to }, at) => {
    const gapFrom = felt[at - 1]?.endMs ?? 0
    return [
      { from: minutes(gapFrom), to: minutes(startMs), value: null },
      { from: minutes(startMs), to: minutes(endMs), value: (from + to) / 2 },
    ]
  })
  const last = felt.at(-1)
  return {
    title: 'Sensation along the class',
    note: 'the middle of each pose’s usual range, 0 to 10',
    kind: 'steps',
    unit: 'of 10',
    most: 10,
    spans: last ? [...spans, { from: minutes(last.endMs), to: minutes(totalMs), value: null }] : [],
    rows: felt.map(({ startMs, from, to }) => ({
      name: `from ${formatMs(startMs)}`,
      value: (from + to) / 2,
      words: from === to ? String(from) : `${String(from)} to ${String(to)}`,
      tone: 'both',
    })),
  }
}

function positionsChart({ positions }: Balance): ChartData {
  const levels = [...new Set(positions.map(({ position }) => position))]
  return {
    title: 'Base positions along the class',
    kind: 'steps',
    unit: '',
    most: Math.max(1, levels.length - 1),
    levels: levels.map((position) => basePositionNames[position]),
    spans: positions.map(({ startMs, endMs, position }) => ({
      from: minutes(startMs),
      to: minutes(endMs),
      value: levels.indexOf(position),
    })),
    rows: positions.map(({ startMs, endMs, position }) => ({
      name: `from ${formatMs(startMs)}`,
      value: minutes(endMs - startMs),
      words: `${basePositionNames[position]}, ${formatMs(endMs - startMs)}`,
      tone: 'both',
    })),
  }
}
