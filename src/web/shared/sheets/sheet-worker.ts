import latin from '@fontsource/ysabeau-office/files/ysabeau-office-latin-500-normal.woff?url'
import latinBold from '@fontsource/ysabeau-office/files/ysabeau-office-latin-700-normal.woff?url'
import ext from '@fontsource/ysabeau-office/files/ysabeau-office-latin-ext-500-normal.woff?url'
import extBold from '@fontsource/ysabeau-office/files/ysabeau-office-latin-ext-700-normal.woff?url'
import { pdfOf } from '#formats/sheets/pdf'
import type { FontFile, SheetFonts } from '#formats/sheets/pdf'
import { pageOf, sheetOf } from './sheet-work.ts'
import type { PageQuestion, SheetQuestion } from './sheet-work.ts'

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

/** A sheet as the bytes of a PDF, the students' page as those of its text; nothing where nothing of it goes home. */
async function answer(question: SheetQuestion | PageQuestion): Promise<void> {
  if (question.kind === 'page') {
    const html = await pageOf(question)
    postMessage(html === undefined ? {} : { bytes: new TextEncoder().encode(html) })
    return
  }
  const document = sheetOf(question)
  fonts ??= readFonts()
  postMessage({ bytes: await pdfOf(document, await fonts) })
}

addEventListener('message', ({ data }: MessageEvent<SheetQuestion | PageQuestion>) => {
  // What goes wrong is told like any error of a worker's.
  answer(data).catch((error: unknown) => {
    fonts = undefined
    postMessage({ failed: String(error) })
  })
})
