import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { say, sheetDocument, pageSizes } from './pdf.ts'
import type { Paper } from './pdf.ts'

/** A card that lies at a mat: the figure with its measures, and what lies there from the floor up. */
export interface SetUpCard {
  readonly title: string
  /** Which side it shows, and for whom. */
  readonly about: string
  /** With its measures, as SVG; absent for a pose that is not drawn. */
  readonly picture?: string
  readonly items: readonly string[]
}

const margin = 24
const gap = 12
const columns = 2
const rows = 3

/** Cards to be cut apart, six a page. */
export function setUpCards({
  name,
  paper,
  cards,
}: {
  readonly name: string
  readonly paper: Paper
  readonly cards: readonly SetUpCard[]
}): TDocumentDefinitions {
  const { width, height } = pageSizes[paper]
  const card = { width: (width - 2 * margin - gap) / columns, height: (height - 2 * margin - 34) / rows }
  const body: Content[][] = []
  for (let at = 0; at < cards.length; at += columns) {
    const row = cards.slice(at, at + columns).map((one) => cardContent(one, card))
    body.push(row.length < columns ? [...row, { text: '' }] : row)
  }
  return sheetDocument({ title: name, paper, margin }, [
    cards.length === 0
      ? say('Nothing of this session is set up with props.')
      : {
          layout: { hLineWidth: () => 0.5, vLineWidth: () => 0.5, hLineColor: '#999999', vLineColor: '#999999' },
          table: {
            widths: Array<number>(columns).fill(card.width - 10),
            heights: card.height - 12,
            dontBreakRows: true,
            body,
          },
        },
  ])
}

/** With many things the type is smaller, so that a card stays one card. */
const sizeFor = (items: readonly string[]): number => (items.join('').length > 420 ? 7.5 : items.length > 7 ? 8.5 : 10)

function cardContent(
  { title, about, picture, items }: SetUpCard,
  card: { readonly width: number; readonly height: number },
): Content {
  return {
    margin: [4, 2, 4, 2],
    stack: [
      say(title, { fontSize: 12, bold: true }),
      say(about, { fontSize: 8.5, color: '#444444' }),
      ...(picture === undefined
        ? []
        : [
            {
              svg: picture,
              fit: [card.width - 26, card.height * 0.46] as [number, number],
              margin: [0, 4, 0, 4] as [number, number, number, number],
            },
          ]),
      ...items.map((item, at) => say(`${String(at + 1)}  ${item}`, { fontSize: sizeFor(items) })),
    ],
  }
}
