import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { say, sheetDocument } from './pdf.ts'
import type { Paper } from './pdf.ts'

export interface RoomSheet {
  readonly name: string
  readonly paper: Paper
  readonly about: readonly string[]
  /** What one fetches, what all fetch together, what there is too little of. */
  readonly lists: readonly { readonly title: string; readonly lines: readonly string[] }[]
  /** The room from above as SVG, and what is to say of it; absent where no room is known. */
  readonly picture?: string
  readonly words: readonly string[]
}

/** How the mats lie, and what is fetched: for whoever lays out the room. */
export function roomSheet({ name, paper, about, lists, picture, words }: RoomSheet): TDocumentDefinitions {
  return sheetDocument({ title: name, paper }, [
    say(name, { fontSize: 17, bold: true }),
    ...about.map((line) => say(line, { color: '#444444' })),
    ...(picture === undefined
      ? []
      : [
          {
            svg: picture,
            fit: [500, 420] as [number, number],
            margin: [0, 10, 0, 4] as [number, number, number, number],
          },
        ]),
    ...words.map((line) => say(line, { fontSize: 11 })),
    ...lists
      .filter(({ lines }) => lines.length > 0)
      .flatMap(({ title, lines }) => [
        say(title, { fontSize: 13, bold: true, margin: [0, 10, 0, 2] }),
        ...lines.map((line) => say(`–  ${line}`, { fontSize: 12 })),
      ]),
  ])
}
