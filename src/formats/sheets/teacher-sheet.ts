import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { formatMs, hourOfDay } from '#core/units'
import { disclaimer, stopCard } from '#words/advice'
import { rowTexts, sheetRows } from '#words/class-sheet'
import type { SheetBlock, SheetPart } from '#words/class-sheet'
import { joined } from '#words/text'
import { say, sayAll, sheetDocument } from './pdf.ts'
import type { Paper } from './pdf.ts'

/** What a sheet of a class is made from: words and pictures, no person by name. */
export interface SheetClass {
  readonly name: string
  readonly paper: Paper
  readonly totalMs: number
  /** When and where it is, for how many, what for: lines under its name. */
  readonly about: readonly string[]
  /** Minutes since midnight at which it begins; absent: times are from the start. */
  readonly startsAtMin?: number
  readonly fetch: readonly string[]
  readonly askFirst: readonly string[]
  readonly blocks: readonly (SheetBlock & {
    /** What some do or have otherwise, in numbers. */
    readonly lookTo: readonly string[]
    /** Each as an SVG document. */
    readonly pictures: readonly string[]
  })[]
}

const soft = '#444444'
/** The time of day to the minute, or the time since the start. */
export const atWords = (ms: number, startsAtMin: number | undefined): string =>
  startsAtMin === undefined ? formatMs(ms) : hourOfDay(startsAtMin + ms / 60_000)

/** The plan on paper, to lie beside the mat: everything of the class in the order of its time. */
export function teacherSheet(sheet: SheetClass): TDocumentDefinitions {
  const { name, paper, about, fetch, askFirst, blocks } = sheet
  return sheetDocument({ title: name, paper, margin: 32 }, [
    say(name, { fontSize: 17, bold: true, margin: [0, 0, 0, 2] }),
    ...about.map((line) => say(line, { color: soft })),
    ...listOf('To fetch', fetch),
    ...listOf('Ask and say first', askFirst),
    { text: '', margin: [0, 0, 0, 4] },
    ...blocks.map((block) => blockContent(block, sheet)),
    ...stopContent(),
  ])
}

const listOf = (title: string, lines: readonly string[]): Content[] =>
  lines.length === 0
    ? []
    : [sayAll([{ text: `${title}: `, bold: true }, { text: lines.join(' · ') }], { margin: [0, 3, 0, 0] })]

/** As many signs as surely go on half a page: a block with more may break over two. */
const mostUnbroken = 2400

function blockContent(block: SheetClass['blocks'][number], { startsAtMin }: SheetClass): Content {
  const { name, form, takes, note, parts, lookTo, pictures } = block
  const [picture] = pictures
  const long = JSON.stringify(parts).length + note.length
  const title = sayAll(
    [
      { text: joined([name, form], ', '), bold: true },
      { text: `  ${formatMs(block.endMs - block.startMs)}${takes === '' ? '' : ` · ${takes}`}`, color: soft },
    ],
    { fontSize: 11 },
  )
  return {
    unbreakable: long < mostUnbroken,
    margin: [0, 0, 0, 4],
    fontSize: 9,
    stack: [
      {
        canvas: [{ type: 'line', x1: 0, y1: 0, x2: 531, y2: 0, lineWidth: 0.4, lineColor: '#777777' }],
        margin: [0, 0, 0, 3],
      },
      {
        columns: [
          say(atWords(block.startMs, startsAtMin), { width: 46, fontSize: 11, bold: true }),
          picture === undefined ? { width: 58, text: '' } : { width: 58, svg: picture, fit: [54, 42] },
          {
            width: '*',
            stack: [
              title,
              ...sheetRows(parts).map(rowContent),
              ...(lookTo.length === 0
                ? []
                : [sayAll([{ text: 'Look to: ', bold: true }, { text: lookTo.join('; ') }])]),
              ...(note === '' ? [] : [sayAll([{ text: 'Note: ', bold: true }, { text: note }])]),
            ],
          },
        ],
      },
    ],
  }
}

function rowContent(parts: readonly SheetPart[]): Content {
  const [first] = parts
  return {
    columns: [
      say(first ? formatMs(first.endMs - first.startMs) : '', { width: 36, bold: true }),
      sayAll(
        rowTexts(parts).map(({ text, is }) => ({
          text,
          ...(is === 'time' ? { bold: true } : {}),
          ...(is === 'aside' ? { color: soft } : {}),
        })),
        { width: '*' },
      ),
    ],
  }
}

/** When to stop, as the card has it, and what no sheet can know. */
export const stopContent = (): Content[] => [
  {
    unbreakable: true,
    margin: [0, 4, 0, 0],
    fontSize: 8.5,
    stack: [
      sayAll([
        { text: `${stopCard.lead} `, bold: true },
        { text: `${stopCard.signs.join('; ')}. ${stopCard.comingOut} ${stopCard.emergency}` },
      ]),
      say(disclaimer, { color: soft, margin: [0, 3, 0, 0] }),
    ],
  },
]
