import type { Person } from '#model/person'
import { personSchema } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import { personFile, personFileName } from './person-file.ts'

const person: Person = {
  ...{ id: 'k3Qw81', name: 'Ilka Morgenroth', consents: [] },
  conditions: [{ id: 'knee', severe: 'no', askedOn: '2026-11-01' }],
}
const form: Omit<PlannedClass['forms'][number], 'personId'> = {
  ...{ blockId: 'deer', poseId: 'deer', takes: { kind: 'variant', variantId: 'front-leg-long' }, by: 'teacher' },
  at: '2026-11-29T10:00:00.000Z',
}
const thursday: PlannedClass = {
  ...{ id: 'thursday', sessionId: 's', placeId: 'p', day: '2026-12-03', startsAt: '18:45', guests: 2 },
  people: [{ personId: 'other' }, { personId: person.id, away: true }],
  forms: [
    { ...form, personId: 'other' },
    { ...form, personId: person.id },
  ],
  ...{ substitutes: [], setAside: [] },
}

test('a person’s file holds all that is kept of them, and nobody else', () => {
  const others = { ...thursday, id: 'friday', people: [{ personId: 'other' }], forms: [] }
  const file = personFile(person, [thursday, others], () => 'Slow hour', '2026-11-29T12:00:00.000Z')
  expect(file.classes).toEqual([
    { day: '2026-12-03', startsAt: '18:45', session: 'Slow hour', isAway: true, forms: [form] },
  ])
  expect(JSON.stringify(file)).not.toContain('other')
  expect(personSchema.parse(file.person)).toEqual(person)
  expect(personFileName).not.toMatch(/ilka/i)
})
