import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog as catalog } from '#library/shipped'
import { pdfOf } from '#formats/sheets/pdf'
import { nameBook } from '#formats/plan-text/names'
import { readPlan } from '#formats/plan-text/read-plan'
import { planText } from '#formats/plan-text/write-plan'
import type { Session } from '#model/session'
import { thursdaySlowHour } from '#server/demo/sessions'
import { sheetFonts } from '#testing/sheet-fonts'
import { sheetOf } from '#web/shared/sheets/sheet-work.ts'
import { wavPieces } from '#web/shared/sound-file/sound-file-work.ts'
import { ms, quantile, report, times } from './measure.ts'

/** Twenty blocks, each with its figure. */
const twenty: Session = {
  ...thursdaySlowHour,
  lengthS: 14_400,
  blocks: [...catalog.poses.keys()].slice(0, 20).map((poseId, at) => ({ kind: 'hold', id: `b${String(at)}`, poseId })),
}

/** How long it takes to set a teacher's sheet, and to read a plan that was pasted. */
export async function benchSheets(): Promise<void> {
  const taken: number[] = []
  for (let run = 0; run < 6; run += 1) {
    const startMs = performance.now()
    const timeline = orThrow(compileTimeline(twenty, catalog))
    const sheet = sheetOf({
      ...{ kind: 'teacher', session: twenty, timeline, own: [], paper: 'A4', unit: 'cm', kinds: catalog.propKinds },
      ...{ who: { statureCm: 170 }, statures: [170], about: [], fetch: [], fetchAll: [], lookTo: [] },
    })
    await pdfOf(sheet, sheetFonts)
    taken.push(performance.now() - startMs)
  }
  const [first = NaN, ...later] = taken
  report(
    'a teacher’s sheet of 20 blocks with figures',
    `first ${ms(first)}, then ${ms(quantile(later, 0.5))}`,
    '< 3000 ms',
  )
  benchSoundFile()
  const on = { catalog, book: nameBook(catalog) }
  const text = planText(twenty, on, { exactly: false })
  const read = times(20, () => readPlan(text, { ...on, wanted: {} }))
  report('a pasted plan of 20 lines read', `median ${ms(quantile(read, 0.5))}`, 'none')
}

/** An hour of bells and breath, each stroke seven seconds long, as a WAV file. */
function benchSoundFile(): void {
  const rate = 24_000
  const strokes = [0, 1, 2].map(() => Float32Array.from({ length: 7 * rate }, (_, at) => Math.sin(at / 20) / 4))
  const placed = Array.from({ length: 1800 }, (_, at) => ({ frame: at * 2 * rate, stroke: at % 3 }))
  const question = { mix: { rate, frames: 3600 * rate, placed, strokes }, chapters: [] }
  const [taken = NaN] = times(1, () => [...wavPieces(question)].length)
  report('a class of 60 min with a sound every 2 s, mixed to WAV', ms(taken), '< 20000 ms')
}
