import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { stopCard } from '#words/advice'
import { say, sayAll, sheetDocument } from './pdf.ts'
import type { Paper } from './pdf.ts'

/** What is practised at home, in the order of the session, with what a house has. */
export interface HomePart {
  readonly name: string
  /** "3:30 each side, left first", "20 breaths". */
  readonly howLong: string
  readonly picture?: string
  /** What is used, and how one comes into it and out again. */
  readonly use: readonly string[]
  readonly into: readonly string[]
  readonly out: readonly string[]
}

export interface HomeSheet {
  readonly name: string
  readonly paper: Paper
  /** The one it is made for, where somebody was chosen for it just now. */
  readonly madeFor?: string
  readonly about: string
  readonly parts: readonly HomePart[]
}

/** A sheet for students: large, with figures, what to use at home and when to stop. */
export function homeSheet({ name, paper, madeFor, about, parts }: HomeSheet): TDocumentDefinitions {
  return sheetDocument({ title: name, paper, margin: 44 }, [
    say(name, { fontSize: 22, bold: true }),
    ...(madeFor === undefined ? [] : [say(`For ${madeFor}`, { fontSize: 15 })]),
    say(about, { fontSize: 13, margin: [0, 2, 0, 10] }),
    stopContent(),
    ...parts.map(partContent),
    say(
      'This sheet is no medical advice: your own doctor, midwife or licensed therapist decides. In an emergency, call your local emergency number.',
      {
        fontSize: 11,
        margin: [0, 12, 0, 0],
      },
    ),
  ])
}

/** Before anything is begun: when to stop. */
const stopContent = (): Content => ({
  unbreakable: true,
  margin: [0, 0, 0, 12],
  layout: {
    hLineWidth: () => 1,
    vLineWidth: () => 1,
    paddingLeft: () => 10,
    paddingRight: () => 10,
    paddingTop: () => 7,
    paddingBottom: () => 8,
  },
  table: {
    widths: ['*'],
    body: [
      [
        {
          stack: [
            say('Stop if', { fontSize: 14, bold: true }),
            ...stopCard.signs.map((sign) => say(`–  ${sign}`, { fontSize: 12.5 })),
            say(`Breathe as you like. ${stopCard.comingOut}`, { fontSize: 12.5, margin: [0, 3, 0, 0] }),
          ],
        },
      ],
    ],
  },
})

function partContent({ name, howLong, picture, use, into, out }: HomePart): Content {
  const size = { fontSize: 13 }
  return {
    unbreakable: true,
    margin: [0, 0, 0, 14],
    columns: [
      picture === undefined ? { width: 130, text: '' } : { width: 130, svg: picture, fit: [120, 92] },
      {
        width: '*',
        stack: [
          sayAll([{ text: name, bold: true }, { text: `  ${howLong}` }], { fontSize: 15 }),
          ...(use.length === 0 ? [] : [sayAll([{ text: 'Use: ', bold: true }, { text: use.join('; ') }], size)]),
          ...into.map((line) => say(line, size)),
          ...(out.length === 0
            ? []
            : [sayAll([{ text: 'To come out: ', bold: true }, { text: out.join('; ') }], size)]),
        ],
      },
    ],
  }
}
