import latin from '@fontsource/ysabeau-office/files/ysabeau-office-latin-500-normal.woff?url'
import latinBold from '@fontsource/ysabeau-office/files/ysabeau-office-latin-700-normal.woff?url'
import ext from '@fontsource/ysabeau-office/files/ysabeau-office-latin-ext-500-normal.woff?url'
import extBold from '@fontsource/ysabeau-office/files/ysabeau-office-latin-ext-700-normal.woff?url'
import { pdfOf } from '#formats/sheets/pdf'
import type { FontFile, SheetFonts } from '#formats/sheets/pdf'
import { sheetOf } from './sheet-work.ts'
import type { SheetQuestion } from './sheet-work.ts'

const files: Readonly<Record<FontFile, string>> = { latin, latinBold, ext, extBold }
/** Read once: every sheet is set in it. */
let fonts: Promise<SheetFonts> | undefined
async function readFonts(): Promise<SheetFonts> {
  const read = Object.entries(files).map(async ([name, address]) => {
    const reply = await fetch(address)
    if (!reply.ok) throw new Error(`the font ${name} is not there`)
    return [name, new Uint8Array(await reply.arrayBuffer())] as const
  })
  return Object.fromEntries(await Promise.all(read)) as Record<FontFile, Uint8Array>
}

/** A sheet as the bytes of a PDF; nothing where its session cannot be compiled. */
async function answer(question: SheetQuestion): Promise<void> {
  const document = sheetOf(question)
  fonts ??= readFonts()
  const bytes = document && (await pdfOf(document, await fonts))
  postMessage({ bytes })
}

addEventListener('message', ({ data }: MessageEvent<SheetQuestion>) => {
  // What goes wrong is told like any error of a worker's.
  answer(data).catch((error: unknown) => {
    fonts = undefined
    postMessage({ failed: String(error) })
  })
})
