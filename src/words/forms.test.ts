import fc from 'fast-check'
import { severities } from '#model/person'
import type { Person } from '#model/person'
import { plannedClassSchema } from '#model/planned-class'
import type { FormOfPerson } from '#model/planned-class'
import type { Block } from '#model/block'
import { comersOf, whoTakesWhat } from '#core/class'
import type { Choice } from '#core/class'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { poses } from '#library/poses'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aHold, aSession } from '#testing/sessions'
import { classFindingWords } from './class-findings.ts'
import {
  blockLength,
  chosenWords,
  countedForms,
  formInCell,
  formName,
  handedForms,
  lookToWords,
  offerToAll,
  reasonLines,
  shorterWords,
  takingLine,
} from './forms.ts'
import { askAgainWords, gateWords, rollWords, toldShort, touchWords } from './people.ts'

const has = (id: string, more: Partial<Person['conditions'][number]> = {}): Person['conditions'][number] => ({
  ...{ id, severe: 'no', askedOn: '2026-11-01' },
  ...more,
})
function takingsOf(blocks: Block[], ...told: Person['conditions'][]) {
  return takingsWith(blocks, told, [])
}
function takingsWith(blocks: Block[], told: Person['conditions'][], forms: readonly FormOfPerson[]) {
  const people = told.map((conditions, at): Person => ({
    ...{ id: `p${String(at)}`, name: `Name ${String(at)}`, level: 'regular', conditions, consents: [] },
  }))
  const planned = { id: 'now', people: people.map(({ id }) => ({ personId: id })), guests: 0 }
  const session = aSession(blocks)
  const resolved = orThrow(resolveSession(session, shippedCatalog))
  const through = whoTakesWhat(resolved, comersOf(planned, people, [], session.level), forms, {
    catalog: shippedCatalog,
    book: cautionBook,
  })
  return { through, takings: through.map(({ takings }) => takings[0]), resolved }
}
const deer = [aHold('deer', { hold: { holdS: 210 } })]

test('a form is told in full, in a cell, in a line, and with its time', () => {
  const [taking] = takingsOf(deer, [has('knee')]).takings
  if (!taking?.does) throw new Error('nothing taken')
  expect(formName(taking.does)).toBe('Front leg long')
  expect(formInCell(taking)).toBe('front leg long')
  expect(takingLine(taking)).toBe('Front leg long, 2:00 a side')
  expect(shorterWords(taking)).toBe('2:00 a side, then half way out and the same rest as all.')
  expect(chosenWords(taking)).toBe('Suggested; nobody has chosen yet.')
  expect(reasonLines(taking.planned.verdict)[0]).toMatchObject({
    grade: 'modify',
    lead: 'Change for: knee',
    instead: 'Front leg straight, sit high, or figure four',
  })
})

test('what changes the planned pose is told in the words of its caution, the first of them in a cell', () => {
  const [taking] = takingsOf([aHold('wide-knee-fold', { hold: { holdS: 60 } })], [has('knee')]).takings
  if (!taking?.does) throw new Error('nothing taken')
  expect(formName(taking.does)).toBe('Changed: pad behind knees and under ankles, long spine, 2 min')
  expect(formInCell(taking)).toBe('pad behind knees and un…')
})

test('what somebody cannot do today is told apart from what fits nobody', () => {
  const [taking] = takingsOf(deer, [has('dvt_suspect')]).takings
  expect(taking && [formInCell(taking), takingLine(taking)]).toEqual(['not today', 'not today'])
})

test('what is said to all is an offer: no number, no name, each form once; nothing where all do the same', () => {
  const said = (...told: Person['conditions'][]) =>
    offerToAll(takingsOf(deer, ...told).takings.flatMap((one) => one ?? []))
  expect(said([], [])).toBe('')
  expect(said([], [has('knee')], [has('knee')])).toBe('Whoever likes: front leg long.')
  const several = said([has('knee')], [has('hip_replacement', { severe: 'yes' })])
  expect(several).toMatch(/^Whoever likes: front leg long, or [a-z ]+\.$/)
  expect(several).not.toMatch(/\d|Name/)
})

test('what the teacher looks to: how many of each form, "some" for one, and who comes half way out when', () => {
  const { through } = takingsOf(deer, [has('knee')], [has('knee')], [])
  const counted = countedForms(through)
  expect(counted).toEqual([{ blockId: 'deer', form: 'front leg long', people: 2, heldS: 120 }])
  expect(counted.map((form) => lookToWords(form, false))).toEqual(['front leg long, half way out at 2:00 · 2'])
  expect(lookToWords({ blockId: 'deer', form: '', people: 1, heldS: 60 }, true)).toBe('half way out at 1:00 · some')
  // What is new to them is told where it can be shown, and not in the quiet.
  const anew = { blockId: 'deer', form: '', people: 3, isNew: true } as const
  expect([lookToWords(anew, true), lookToWords(anew, false)]).toEqual(['new to it: show it first · 3', ''])
})

test('breath is offered otherwise by what is breathed and sat on', () => {
  const [taking] = takingsOf([aBreath('even-breath')], [has('preg_t2')]).takings
  const natural = taking?.choices.find(({ takes }) => takes.kind === 'natural')
  const onChair = taking?.choices.find(({ takes }) => takes.kind === 'pose' && takes.breath === 'natural')
  expect(natural && formName(natural)).toBe('Natural breath')
  expect(onChair && formName(onChair)).toMatch(/, breathing naturally$/)
})

test('a block tells how long it is', () => {
  const { resolved } = takingsOf([...deer, aBreath('even-breath')], [])
  expect(resolved.map(blockLength)).toEqual(['3:30 a side', ''])
})

test('what somebody told, what stands before it, and what follows', () => {
  expect(
    toldShort([has('knee', { side: 'left' }), has('neck', { severe: 'unsure' }), has('wrist', { newAche: true })]),
  ).toBe('knee, left; neck (not sure); wrist (new)')
  expect(gateWords({ gate: 'none', by: [] })).toBe('')
  expect(gateWords({ gate: 'stop', by: ['fever'] })).toBe(
    'No practice today (Fever, or a new infection): medical care first.',
  )
  expect(gateWords({ gate: 'clear', by: ['heart'] })).toContain('Until clearance is noted (heart)')
  expect(rollWords({ side: 'left', by: [] })).toBe('')
  expect(rollWords({ side: 'left', by: ['reflux'] })).toContain('to the left (reflux)')
  expect(askAgainWords([])).toBe('')
  const old = ['knee', 'neck'].map((conditionId, at) => ({ conditionId, askedOn: '2026-08-01', weeks: 14 + at }))
  expect(askAgainWords(old)).toBe('Ask again: knee and neck, told 15 weeks ago.')
})

test('touch is told in numbers', () => {
  expect(touchWords([])).toBe('')
  expect(touchWords([{ touch: 'yes' }, {}, { touch: 'no' }, { touch: 'yes' }])).toBe('Touch: 2 yes, 1 no, 1 not asked.')
})

test('a finding of people says how many, and sends to where it stands who', () => {
  const words = (code: 'MUST_NOT' | 'NEEDS_LOOK' | 'CEILING_OF_PERSON' | 'GATE_OPEN', facts: object) =>
    classFindingWords({ code, facts, grade: 'look', place: {}, ofClass: true, mend: undefined } as Parameters<
      typeof classFindingWords
    >[0])
  expect(words('MUST_NOT', { people: 1 }).title).toBe('To be left out for 1 person, and nothing else is chosen')
  expect(words('NEEDS_LOOK', { people: 3 }).mend).toBe('See who takes what')
  expect(words('CEILING_OF_PERSON', { people: 2, leastS: 60 }).title).toBe(
    '2 people come half way out early, the first after 1:00',
  )
  expect(words('GATE_OPEN', { people: 2, gate: 'ask' }).title).toContain('2 people: check first')
})

test('what is between the teacher and one person is offered to nobody, and no clause stops in a bracket', () => {
  const asks = cautionBook.rules.filter(({ grade }) => grade === 'modify')
  const offers = asks.map((rule) => {
    const verdict = { reasons: [{ rule, by: [], grade: 'modify' as const }] }
    return offerToAll([{ does: { takes: { kind: 'changed' }, verdict } as unknown as Choice }])
  })
  expect(offers.some((offer) => offer.includes('chin level'))).toBe(true)
  expect(offers.filter((offer) => /surgeon|ask which|better eye|\(|beginner/.test(offer))).toEqual([])
})

const someTold = fc.array(
  fc
    .record({ id: fc.constantFrom(...conditions.map(({ id }) => id)), severe: fc.constantFrom(...severities) })
    .map(({ id, severe }) => has(id, { severe })),
  { maxLength: 2 },
)
const someBlocks = fc
  .uniqueArray(fc.constantFrom(...poses.map(({ id }) => id)), { minLength: 1, maxLength: 4 })
  .map((ids): Block[] => [
    ...ids.map((id) => aHold(id, { id, hold: { holdS: 240 } })),
    aBreath('even-breath', { id: 'breath', pattern: { in: 8, full: 8, out: 16, empty: 0 } }),
  ])

test('property: what each takes is handed on as it is seen here, in the same words and for as long, to whoever is told of nobody', () => {
  fc.assert(
    fc.property(someBlocks, fc.array(someTold, { minLength: 1, maxLength: 3 }), (blocks, told) => {
      const here = takingsOf(blocks, ...told).through
      const forms = handedForms(here, '2026-12-03T08:00:00Z')
      expect(plannedClassSchema.shape.forms.parse(JSON.parse(JSON.stringify(forms)))).toEqual(forms)
      const there = takingsWith(
        blocks,
        told.map(() => []),
        forms,
      ).through
      const cells = (through: typeof here) =>
        through.map(({ takings }) =>
          // Where nothing is left for somebody, the colleague has them rest.
          takings.map((one) => (one.does === undefined ? 'rest' : formInCell({ ...one, planned: one.planned }))),
        )
      expect(cells(there)).toEqual(cells(here))
      expect(JSON.stringify(forms)).not.toMatch(/"why"|"conditions"/)
    }),
    { numRuns: 60 },
  )
})
