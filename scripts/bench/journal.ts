import { recordings } from '#testing/recordings'
import { shippedCatalog } from '#library/shipped'
import { measureCaptions } from '#core/captions'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase } from '#server/db/open'
import { demoClasses } from '#server/demo/led-classes'
import { thursdaySlowHour } from '#server/demo/sessions'
import { aLedClass } from '#testing/led-classes'
import { startServer } from '#server/start'
import type { LedPlan } from '#model/led-class'
import type { ClassDrift } from '#model/class-drift'
import { classDrift, meantAndDone, whatDrifts } from '#core/journal'
import { fold } from '#core/lead'
import { ms, quantile, report, times } from './measure.ts'

const classes = 5000
/** Rows that are written at once. */
const batch = 100

/** Years of classes, each with the whole record of the demo's hour. */
async function fill(file: string): Promise<void> {
  const database = await openDatabase(file)
  const [demo] = demoClasses(new Date())
  const document = JSON.stringify(demo?.start)
  for (let from = 0; from < classes; from += batch) {
    const rows = Array.from({ length: batch }, (_, at) => ({
      ...{ id: `class-${String(from + at)}`, sessionId: 'session-1', people: 12, name: 'Thursday slow hour', document },
      ...{ startedAt: new Date(Date.UTC(2020, 0, 1) + (from + at) * 8 * 3_600_000), endedAt: null },
      ...{
        plannedS: 3528,
        ledS: 0,
        format: 2,
        conductedMs: 0,
        left: false,
        isAbout: false,
        visits: null,
        note: null,
        version: 1,
      },
    }))
    await database.inTransaction((transaction) => database.models.ledClasses.bulkCreate(rows, { transaction }))
  }
  await database.close()
}

/** Far past the longest plan of 200 blocks: holds on both sides, with a bell or two in each. */
function longPlan(segments: number, cues: number): LedPlan {
  return {
    segments: Array.from({ length: segments }, (_, index) => ({
      ...{ index, blockId: `block-${String(Math.floor(index / 2))}`, blockIndex: Math.floor(index / 2) },
      ...{ side: index % 2 === 0 ? 'left' : 'right', lengthMs: 8000 },
      doing: { kind: 'hold', phase: { id: 'hold', name: '', index: 0 } },
      ...(index % 2 === 0 ? {} : { mirrors: index - 1 }),
    })),
    cues: Array.from({ length: cues }, (_, at) => ({
      ...{ id: `cue-${String(at)}`, segment: at % segments, offsetMs: 1000, fromEnd: false },
      sound: { kind: 'bowl', strokes: 1 },
    })),
    ...{ totalMs: segments * 8000, capMs: {}, ceilingMs: {}, over: {} },
  }
}

/** How long a class nobody ended takes to be told: its whole log is folded. */
export function benchUnfinished(): void {
  const plan = longPlan(5000, 12_000)
  const figures = Array.from({ length: 5 }, () => {
    const startMs = performance.now()
    meantAndDone(plan, fold(plan, [], plan.totalMs).visits)
    return performance.now() - startMs
  })
  report('an unfinished class of 5,000 stretches, 12,000 bells', `median ${ms(quantile(figures, 0.5))}`, 'linear')
}

/** How long it takes to say how one class drifts, and what drifts over the most that are asked. */
export function benchDrift(): void {
  const led = aLedClass(thursdaySlowHour)
  const one = classDrift(led)
  const classes = Array.from({ length: 400 }, (_, at) => ({
    ...one,
    startedAt: new Date(Date.UTC(2020, 0, 1) + at * 7 * 24 * 3_600_000).toISOString(),
    id: `class-${String(at)}`,
  })) as ClassDrift[]
  const told = times(40, () => classDrift(led))
  report('how one class drifts, told when it ends', `median ${ms(quantile(told, 0.5))}`, '')
  const over = times(20, () => whatDrifts(classes))
  report(
    `what drifts over ${String(classes.length)} classes`,
    `median ${ms(quantile(over, 0.5))}, p95 ${ms(quantile(over, 0.95))}`,
    '< 50 ms',
  )
}

/** How long it takes to measure a recorded class of an hour by its captions. */
export function benchCaptions(): void {
  // As dense as automatic programs leave them where somebody never stops: a caption every four seconds.
  const texts = recordings.flatMap(({ captions: said }) => said.map(({ text }) => text))
  const captions = Array.from({ length: 900 }, (_, at) => ({
    ...{ startMs: at * 4000, endMs: (at + 1) * 4000, text: texts[at % texts.length] ?? '' },
  }))
  const taken = times(12, () => measureCaptions({ captions, catalog: shippedCatalog }))
  report(
    `a recorded class of an hour, measured (${String(captions.length)} captions)`,
    `median ${ms(quantile(taken, 0.5))}, p95 ${ms(quantile(taken, 0.95))}`,
    '< 200 ms',
  )
}

/** How long the first page of a long journal takes. */
export async function benchJournal(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'))
  const file = join(folder, 'bench.sqlite')
  await fill(file)
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
  const running = await startServer(config, file, undefined)
  const figures: number[] = []
  for (let run = 0; run < 60; run += 1) {
    const startMs = performance.now()
    await (await fetch(`${running.address}api/led-classes`)).json()
    figures.push(performance.now() - startMs)
  }
  await running.stop()
  rmSync(folder, { recursive: true, force: true })
  report(
    `API first page of ${String(classes)} led classes`,
    `median ${ms(quantile(figures, 0.5))}, p95 ${ms(quantile(figures, 0.95))}`,
    'p95 < 50 ms',
  )
}
