import type { Content, ContentText, TDocumentDefinitions } from 'pdfmake/interfaces'

/** Paper a sheet is made for. */
export type Paper = 'A4' | 'LETTER'
/** Points of a page, upright [ISO 216; ANSI A]. */
export const pageSizes: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  A4: { width: 595.28, height: 841.89 },
  LETTER: { width: 612, height: 792 },
}

/** The font of the application, in two files: the letters of English, and those that other languages add. */
export type FontFile = 'latin' | 'latinBold' | 'ext' | 'extBold'
export type SheetFonts = Readonly<Record<FontFile, Uint8Array>>

const families = {
  Latin: { normal: 'latin', bold: 'latinBold' },
  Ext: { normal: 'ext', bold: 'extBold' },
} as const satisfies Record<string, Record<'normal' | 'bold', FontFile>>

/** Letters the first file has: Latin 1, what is typed in English, and spaces of all widths. */
const isLatin = (sign: string): boolean =>
  /[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122\u2212]/.test(sign)
const isExt = (sign: string): boolean =>
  /[\u0100-\u0130\u0132-\u0151\u0154-\u02ba\u1e00-\u1e9f\u1ef2-\u1eff]/.test(sign)

/** A text in runs of one font file each; a sign that neither has becomes a small box of the first, never nothing. */
export function runsOf(text: string): ContentText[] {
  const runs: { text: string; font: keyof typeof families }[] = []
  for (const sign of plainSigns(text)) {
    const font = isExt(sign) ? 'Ext' : 'Latin'
    const last = runs.at(-1)
    if (last?.font === font) last.text += sign
    else runs.push({ text: sign, font })
  }
  return runs
}

/** Signs the font lacks, as it can write them. */
const written: Readonly<Record<string, string>> = {
  '→': '–',
  '≥': 'at least ',
  '≤': 'at most ',
  '✓': 'v',
  '\t': ' ',
  '\u202f': '\u2009',
}
const plainSigns = (text: string): string[] =>
  [...text.normalize('NFC')].map(
    (sign) => written[sign] ?? (isLatin(sign) || isExt(sign) || sign === '\n' ? sign : '¤'),
  )

/** What a paragraph looks like, and how wide it is in a row of columns. */
type Look = Omit<ContentText, 'text'> & { readonly width?: number | '*' | 'auto' }

/** A paragraph, with what it looks like. */
export const say = (text: string, look: Look = {}): ContentText => ({ ...look, text: runsOf(text) })

/** Several texts in one paragraph, each as it looks. */
export const sayAll = (
  parts: readonly { readonly text: string; readonly bold?: boolean; readonly color?: string }[],
  look: Look = {},
): ContentText => ({
  ...look,
  text: parts.flatMap(({ text, ...of }) => runsOf(text).map((run) => ({ ...run, ...of }))),
})

/** What all sheets share: the font, the ink, the name at the foot with the number of the page. */
export function sheetDocument(
  { title, paper, margin = 40 }: { readonly title: string; readonly paper: Paper; readonly margin?: number },
  content: Content[],
): TDocumentDefinitions {
  return {
    pageSize: paper,
    pageMargins: [margin, margin, margin, margin + 8],
    info: { title, creator: 'Zovrin', producer: 'Zovrin' },
    language: 'en',
    defaultStyle: { font: 'Latin', fontSize: 9.5, lineHeight: 1.08, color: '#111111' },
    content,
    footer: (page, pages) => ({
      margin: [margin, 6, margin, 0],
      columns: [
        say(title, { fontSize: 8, color: '#444444' }),
        say(`${String(page)} of ${String(pages)}`, { fontSize: 8, color: '#444444', alignment: 'right' }),
      ],
    }),
  }
}

/** A sheet as a PDF, the font embedded in it. */
export async function pdfOf(definition: TDocumentDefinitions, fonts: SheetFonts): Promise<Uint8Array> {
  const { default: pdfMake } = await import('pdfmake/build/pdfmake')
  const maker = pdfMake as unknown as PdfMaker
  for (const [name, bytes] of Object.entries(fonts)) maker.virtualfs.writeFileSync(name, bytes)
  maker.addFonts(families)
  return new Uint8Array(await maker.createPdf(definition).getBuffer())
}

/** As much of the package as is used: what its types say of it is of a version before. */
interface PdfMaker {
  readonly virtualfs: { writeFileSync(name: string, bytes: Uint8Array): void }
  addFonts(fonts: typeof families): void
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<ArrayLike<number>> }
}
