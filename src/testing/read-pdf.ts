import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** A page of a PDF as it is read: its lines from top to bottom. */
export type PdfPage = readonly string[]

interface Piece {
  readonly str: string
  readonly transform: readonly number[]
  readonly width: number
}

/** The text of a PDF, page by page, in lines as they stand on the paper. */
export async function readPdf(bytes: Uint8Array): Promise<readonly PdfPage[]> {
  const document = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 }).promise
  const pages: PdfPage[] = []
  for (let at = 1; at <= document.numPages; at += 1) {
    const { items } = await (await document.getPage(at)).getTextContent()
    pages.push(linesOf(items.flatMap((item) => ('str' in item && item.str !== '' ? [item as Piece] : []))))
  }
  await document.destroy()
  return pages
}

/** What stands at one height is a line, from left to right; what does not touch is apart. */
function linesOf(pieces: readonly Piece[]): string[] {
  const rows = new Map<number, Piece[]>()
  for (const piece of pieces) {
    const y = Math.round(piece.transform[5] ?? 0)
    const row = rows.get(y) ?? rows.get(y + 1) ?? rows.get(y - 1)
    if (row) row.push(piece)
    else rows.set(y, [piece])
  }
  const x = ({ transform }: Piece): number => transform[4] ?? 0
  return [...rows]
    .toSorted(([a], [b]) => b - a)
    .map(([, row]) => {
      const inOrder = row.toSorted((a, b) => x(a) - x(b))
      return inOrder.reduce((line, piece, at) => {
        const before = inOrder[at - 1]
        const gap = before ? x(piece) - x(before) - before.width : 0
        return `${line}${gap > 1.5 ? ' ' : ''}${piece.str.replaceAll('\u00a0', ' ')}`
      }, '')
    })
}
