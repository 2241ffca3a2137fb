import type { Person } from '#model/person'
import { personSchema } from '#model/person'
import type { LongDay } from '#model/long-day'
import type { PlannedClass } from '#model/planned-class'
import type { Series } from '#model/series'
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

const madeAt = '2026-11-29T12:00:00.000Z'
const thursdays: Series = {
  ...{ schema: 1, id: 't', name: 'Thursdays', baseId: 's', weekdays: ['TH'], firstDay: '2026-12-03', weeks: 8 },
  ...{ people: ['other', person.id], guests: 0, growth: [], classes: [] },
}
const series = [thursdays, { ...thursdays, id: 'f', name: 'Fridays', people: ['other'] }]
const day: LongDay = {
  ...{ schema: 1, id: 'd', name: 'Three hours', day: '2026-12-12', startsAt: '10:00' },
  ...{ people: [person.id], guests: 0, parts: [] },
}
const longDays = [day, { ...day, id: 'e', name: 'A day of rest', people: [] }]

test('a person’s file holds all that is kept of them, and nobody else', () => {
  const others = { ...thursday, id: 'friday', people: [{ personId: 'other' }], forms: [] }
  const file = personFile(person, { classes: [thursday, others], series, longDays }, () => 'Slow hour', madeAt)
  expect(file.classes).toEqual([
    { day: '2026-12-03', startsAt: '18:45', session: 'Slow hour', isAway: true, forms: [form] },
  ])
  expect(file.series).toEqual([{ name: 'Thursdays', firstDay: '2026-12-03', weeks: 8 }])
  expect(file.longDays).toEqual([{ name: 'Three hours', day: '2026-12-12' }])
  expect(JSON.stringify(file)).not.toContain('other')
  expect(personSchema.parse(file.person)).toEqual(person)
  expect(personFileName).not.toMatch(/ilka/i)
})
