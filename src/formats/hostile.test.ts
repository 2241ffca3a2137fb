import fc from 'fast-check'
import { envelopeSchema } from '#model/envelope'
import { personSchema } from '#model/person'
import { cupboardItemSchema } from '#model/place'
import { sessionSchema } from '#model/session'
import { shippedCatalog as catalog } from '#library/shipped'
import { thursdaySlowHour } from '#server/demo/sessions'
import { busyDaysIn } from './calendar.ts'
import { readCaptionFile } from './caption-file.ts'
import { readCupboardCsv } from './cupboard-csv.ts'
import { readPeopleCsv } from './people-csv.ts'
import { nameBook } from './plan-text/names.ts'
import { readPlan } from './plan-text/read-plan.ts'
import { planText } from './plan-text/write-plan.ts'

const on = { catalog, book: nameBook(catalog) }
/** A file of each form that is read, as it should be. */
const good = {
  people: 'name,called,level,height_cm,touch,in_case\nHilde,Hil,new,168,ask,Ring Jo\n',
  cupboard: 'kind,count,length_cm\nblanket,40,200\n',
  captions: 'WEBVTT\n\n00:00.000 --> 00:06.000\nLie on your back\n',
  calendar:
    'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:20260312\r\nRRULE:FREQ=DAILY\r\nSUMMARY:Away\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
  plan: planText(thursdaySlowHour, on),
} as const
type Form = keyof typeof good

/** Reads a file as one form; what it accepts is checked by what it would become. */
const readers: Readonly<Record<Form, (text: string) => void>> = {
  people: (text) => {
    for (const person of readPeopleCsv(text).people)
      expect(personSchema.safeParse({ id: 'p', conditions: [], consents: [], ...person }).error).toBeUndefined()
  },
  cupboard: (text) => {
    for (const item of readCupboardCsv(text).items)
      expect(cupboardItemSchema.safeParse({ id: 'i', ...item }).error).toBeUndefined()
  },
  captions: (text) => {
    const read = readCaptionFile(new TextEncoder().encode(text))
    if (read.ok) for (const { startMs, endMs } of read.value.captions) expect(endMs).toBeGreaterThanOrEqual(startMs)
  },
  calendar: (text) => {
    busyDaysIn(text, '2026-01-01', '2026-12-31', 'Europe/Berlin')
  },
  plan: (text) => {
    const { blocks, head } = readPlan(text, { ...on, wanted: {} })
    const session = {
      ...thursdaySlowHour,
      ...head,
      blocks: blocks.map((block, at) => ({ ...block, id: `b${String(at)}` })),
    }
    expect(sessionSchema.safeParse(session).error).toBeUndefined()
  },
}
const forms = Object.keys(good) as Form[]

const hostile = [
  ...[
    '',
    '\0\0\0',
    'PK\u0003\u0004\u0014\0',
    '%PDF-1.7',
    '\uFEFF',
    '{"format":"zovrin.session","version":99}',
    '[[[[[[[['.repeat(500),
  ],
  ...[
    '=cmd|"/c calc"!A1,2',
    '@SUM(1)',
    '../../etc/passwd',
    'C:\\Windows\\win.ini',
    '__proto__,constructor\n1,2',
    '<script>alert(1)</script>',
  ],
  ...['name\n' + 'x'.repeat(100_000), 'a,'.repeat(20_000), '\n'.repeat(20_000), '"'.repeat(9_999)],
] as const

beforeAll(() => {
  // The reader of rows warns of heads that come twice.
  jest.spyOn(console, 'warn').mockImplementation(() => undefined)
})

test('whatever is brought in as whatever, it is refused or read whole: nothing throws, and nothing is taken that could not be kept', () => {
  for (const form of forms)
    for (const text of [...hostile, ...Object.values(good)]) expect(() => readers[form](text)).not.toThrow()
})

test('a file that was changed here and there is read as far as it goes', () => {
  const change = fc.record({
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    drop: fc.nat(40),
    put: fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom(...hostile.slice(0, 13))),
  })
  fc.assert(
    fc.property(fc.constantFrom(...forms), fc.array(change, { minLength: 1, maxLength: 4 }), (form, changes) => {
      const text = changes.reduce<string>((now, { at, drop, put }) => {
        const from = Math.floor(at * now.length)
        return now.slice(0, from) + put + now.slice(from + drop)
      }, good[form])
      readers[form](text)
    }),
    { numRuns: 100 },
  )
})

test('a file of sessions that is none, is of a newer version or is changed is refused with where it is wrong', () => {
  for (const text of [{}, [], null, 'x', { format: 'zovrin.session', version: 99 }, { format: 'other' }])
    expect(envelopeSchema.safeParse(text).success).toBe(false)
})
