import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { SheetFonts } from '#formats/sheets/pdf'

const folder = join(import.meta.dirname, '..', '..', 'node_modules', '@fontsource', 'ysabeau-office', 'files')
const font = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(join(folder, `ysabeau-office-${name}-normal.woff`)))

/** The font of the sheets, as the application ships it. */
export const sheetFonts: SheetFonts = {
  ...{ latin: font('latin-500'), latinBold: font('latin-700') },
  ...{ ext: font('latin-ext-500'), extBold: font('latin-ext-700') },
}
