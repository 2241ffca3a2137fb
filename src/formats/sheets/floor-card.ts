import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { formatMs } from '#core/units'
import type { SheetBlock } from '#words/class-sheet'
import { capital, lower } from '#words/text'
import { say, sayAll, sheetDocument, pageSizes } from './pdf.ts'
import type { Paper } from './pdf.ts'

/** A line of the card that lies on the floor: what, which side how long, with what. */
export interface FloorLine {
  readonly name: string
  readonly sides: string
  readonly takes: string
}

/** Poses, breath, rests and the closing, one line each; talk and changes are left out. */
export function floorLines(blocks: readonly SheetBlock[]): readonly FloorLine[] {
  return blocks
    .filter(({ kind }) => kind !== 'talk')
    .map(({ name, form, takes, parts, kind, startMs, endMs }) => {
      const held = parts.filter((part) => part.kind === 'hold')
      const sides = held.map((part) => ({
        side: /^(left|right)\b/.exec(part.title)?.[0],
        ms: part.endMs - part.startMs,
      }))
      const rest = parts.find((part) => part.kind === 'closing')
      const whole = kind === 'closing' && rest ? rest.endMs - rest.startMs : endMs - startMs
      return {
        name: form === '' ? name : `${name}, ${lower(form)}`,
        sides: sides.length === 0 ? formatMs(whole) : sidesText(sides),
        takes,
      }
    })
}

/** "L 3:30 · R 3:30" in the order in which they are held. */
const sidesText = (sides: readonly { readonly side: string | undefined; readonly ms: number }[]): string =>
  sides
    .map(({ side, ms }) => (side === undefined ? formatMs(ms) : `${capital(side.charAt(0))} ${formatMs(ms)}`))
    .join(' · ')

const margin = 30
/** What is read a metre away by candle, and what is still read with a lamp. */
const sizes = { most: 24, least: 7 } as const
/** How wide a sign is on average, and how high a line is, as a share of the type's size. */
const signWide = 0.5
const lineHigh = 1.22
const shares = [0.44, 0.3, 0.26] as const

/** The largest type with which all lines go on one page. */
export function floorSize(lines: readonly FloorLine[], paper: Paper): number {
  const { width, height } = pageSizes[paper]
  const room = height - 2 * margin - 60
  for (let size: number = sizes.most; size > sizes.least; size -= 0.5) {
    const rows = lines.map(({ name, sides, takes }) => {
      const texts = [name, sides, takes]
      const many = texts.map((text, at) =>
        Math.ceil((text.length * size * signWide) / ((width - 2 * margin) * (shares[at] ?? 1) - 8)),
      )
      return Math.max(1, ...many) * size * lineHigh + size * 0.34
    })
    if (rows.reduce((sum, row) => sum + row, 0) <= room) return size
  }
  return sizes.least
}

/** One page that lies on the floor: pose, side, minutes, prop, as large as a page lets them be. */
export function floorCard({
  name,
  paper,
  blocks,
}: {
  readonly name: string
  readonly paper: Paper
  readonly blocks: readonly SheetBlock[]
}): TDocumentDefinitions {
  const lines = floorLines(blocks)
  const fontSize = floorSize(lines, paper)
  const { width } = pageSizes[paper]
  const widths = shares.map((share) => (width - 2 * margin) * share - 8)
  return sheetDocument({ title: name, paper, margin }, [
    say(name, { fontSize: Math.min(16, fontSize), color: '#444444', margin: [0, 0, 0, 6] }),
    lines.length === 0
      ? say('Nothing is held or breathed yet.')
      : {
          layout: {
            hLineWidth: (at) => (at === 0 ? 0 : 0.5),
            vLineWidth: () => 0,
            paddingLeft: () => 0,
            paddingRight: () => 8,
            paddingTop: () => fontSize * 0.1,
            paddingBottom: () => fontSize * 0.1,
          },
          table: {
            widths,
            body: lines.map((line) => [
              say(line.name, { fontSize, bold: true, lineHeight: 1 }),
              say(line.sides, { fontSize, lineHeight: 1 }),
              sayAll([{ text: line.takes }], { fontSize: fontSize * 0.8, lineHeight: 1 }),
            ]),
          },
        },
  ])
}
