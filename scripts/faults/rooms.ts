import fc from 'fast-check'
import { sessionSchema } from '#model/session'
import type { Session } from '#model/session'
import { balanceOf, checkSession, leadable } from '#core/checks'
import { stretchToLength } from '#core/fit'
import { fold, ledStart } from '#core/lead'
import { slipsIn } from '#core/session'
import { compileTimeline, inTheWayOf, sayingsOf } from '#core/timeline'
import { busyDaysIn } from '#formats/calendar'
import { readCaptionFile } from '#formats/caption-file'
import { cueLines, cueListFile } from '#formats/cue-list'
import { readCupboardCsv } from '#formats/cupboard-csv'
import { readPeopleCsv } from '#formats/people-csv'
import { nameBook } from '#formats/plan-text/names'
import { readPlan } from '#formats/plan-text/read-plan'
import { planText } from '#formats/plan-text/write-plan'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog as catalog } from '#library/shipped'
import { benchSession } from '#testing/bench-session'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import { changes, mutated } from './mutations.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const on = { catalog, book: nameBook(catalog) }

/** What takes longer than it may, or throws; nothing where it holds. */
function tried(what: string, mostMs: number, work: () => void): string | undefined {
  const begun = performance.now()
  try {
    work()
  } catch (error) {
    return `${what}: ${error instanceof Error ? `${error.name}: ${error.message}` : String(error)}`
  }
  const ms = performance.now() - begun
  return ms > mostMs ? `${what}: ${ms.toFixed(0)} ms` : undefined
}

/** To write and read a whole plan as text takes as long as all else: so many are between two. */
const wholeEvery = 9

/** A session that may be saved: planned, checked, fitted, led and exported, as the windows do it. */
function throughTheRooms(session: Session): void {
  const compiled = compileTimeline(session, catalog)
  if (!compiled.ok) throw new Error(`it was accepted, and does not compile: ${JSON.stringify(compiled)}`)
  const timeline = compiled.value
  const input = { session, timeline, catalog, book: cautionBook, asked: undefined, names: [] }
  checkSession(input)
  balanceOf(input)
  sayingsOf(timeline)
  stretchToLength(session, catalog)
  leadable(input)
  const start = ledStart(session, timeline, {
    ...{ id: 'led', people: 3, startedAtMs: 0, promisedEndMs: session.lengthS * 1000 },
    ...{ nameOf: blockName, sectionNameOf: sectionName },
  })
  fold(
    start.plan,
    [
      { type: 'pause', atMs: 5 },
      { type: 'resume', atMs: 9 },
    ],
    timeline.totalMs,
  )
  cueListFile(cueLines(timeline, session.practice), 'vtt')
}

/** Its text reads back as the plan it was. */
function backFromItsText(session: Session): void {
  const read = readPlan(planText(session, on), { ...on, wanted: {} })
  if (read.blocks.length !== session.blocks.length) throw new Error('its text reads back as another plan')
}

/** Mutations of a session, in this process: none throws in any room, whatever is accepted goes through all of them. */
export function mutatedInTheRooms(seed: number, count: number, mostMs: number): Tally[] {
  const [looked, through]: [(string | undefined)[], (string | undefined)[]] = [[], []]
  for (const change of fc.sample(changes, { seed: seed + 9, numRuns: count })) {
    const what = JSON.stringify(change)
    let accepted: Session | undefined
    looked.push(
      tried(what, mostMs, () => {
        const { data } = sessionSchema.safeParse(mutated(benchSession(), change))
        if (data && slipsIn(data).length === 0 && inTheWayOf(data, catalog).length === 0) accepted = data
      }),
    )
    const session = accepted
    if (session && through.length % wholeEvery === 0)
      through.push(
        tried(`${what}, as text`, mostMs, () => {
          backFromItsText(session)
        }),
      )
    if (session)
      through.push(
        tried(what, mostMs, () => {
          throughTheRooms(session)
        }),
      )
  }
  return [
    tallyOf('mutated sessions looked at: none throws', looked),
    tallyOf('those accepted: planned, checked, fitted, led, exported', through),
  ]
}

/** A file of each form that is read, as it should be. */
const good = {
  people: 'name,called,level,height_cm,touch,in_case\nHilde,Hil,new,168,ask,Ring Jo\nOle,,regular,181,no,\n',
  cupboard: 'kind,count,length_cm\nblanket,40,200\nblock,12,23\n',
  captions: 'WEBVTT\n\n00:00.000 --> 00:06.000\nLie on your back\n\n1\n00:00:07,000 --> 00:00:09,500\nand stay\n',
  calendar:
    'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;TZID=Europe/Berlin:20260312T180000\r\nRRULE:FREQ=WEEKLY;BYDAY=TH;COUNT=9\r\nSUMMARY:Away\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
  plan: planText(benchSession(), on),
} as const
const readers: Readonly<Record<keyof typeof good, (text: string) => unknown>> = {
  people: readPeopleCsv,
  cupboard: readCupboardCsv,
  captions: (text) => readCaptionFile(new TextEncoder().encode(text)),
  calendar: (text) => busyDaysIn(text, '2026-01-01', '2026-12-31', 'Europe/Berlin'),
  plan: (text) => readPlan(text, { ...on, wanted: {} }),
}
const forms = Object.keys(good) as (keyof typeof good)[]

interface Slip {
  readonly where: number
  readonly length: number
  readonly by: string
}
const slips: fc.Arbitrary<Slip[]> = fc.array(
  fc.record({
    where: fc.nat({ max: 999_999 }),
    length: fc.nat({ max: 60 }),
    by: fc.oneof(
      fc.constantFrom(
        '',
        '\n',
        '\0',
        ';',
        ',',
        '"',
        '=1+1',
        '99999999999',
        '\u2028',
        ':',
        '-->',
        'RRULE:FREQ=SECONDLY',
        '🦌',
      ),
      fc.string({ maxLength: 12, unit: 'grapheme' }),
    ),
  }),
  { minLength: 1, maxLength: 6 },
)
const slipped = (text: string, by: readonly Slip[]): string =>
  by.reduce((so, { where, length, by: put }) => {
    const at = Math.floor((where / 1_000_000) * (so.length + 1))
    return so.slice(0, at) + put + so.slice(at + length)
  }, text)

/** Mutations of a file of every form that is read: none throws, none hangs. */
export function mutatedTexts(seed: number, count: number, mostMs: number): Tally {
  const trials = fc.sample(slips, { seed: seed + 11, numRuns: count }).map((slip, at) => {
    const form = forms[at % forms.length] ?? 'plan'
    const text = slipped(good[form], slip)
    return tried(`${form} ${JSON.stringify(slip)}`, mostMs, () => readers[form](text))
  })
  return tallyOf(`mutated files of ${String(forms.length)} forms read: none throws, none hangs`, trials)
}
