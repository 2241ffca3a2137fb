import type { RoundsSection, Section } from '#model/section'
import { sectionSchema } from '#model/section'
import { resolveSection } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { doneAs, doneAsChoices } from './done-as.ts'
import { techniqueSection } from '#web/shared/session/technique-section.ts'
import { plainKinds, plainSection } from './new-section.ts'
import { roundWords } from './round-words.ts'
import { roundsAs } from './rounds-as.ts'
import { scaleParts } from './scale-parts.ts'

const techniques = [...shippedCatalog.techniques.values()]
const resolved = (section: Section) => orThrow(resolveSection(section, shippedCatalog.techniques))
const even = shippedCatalog.techniques.get('even-breath')
if (!even) throw new Error('no even breath')

test('every technique, natural breath and a held one can be put in as they are', () => {
  for (const section of [...techniques.map(techniqueSection), ...plainKinds.map(plainSection)]) {
    expect(sectionSchema.parse(section)).toEqual(section)
    expect(resolved(section).kind).toBeDefined()
  }
})

test('every technique can be done in each way, and is then done in it', () => {
  const kinds = { natural: 'natural', lesson: 'lesson', counted: 'rounds', uncounted: 'uncounted' }
  for (const technique of techniques)
    for (const { value } of doneAsChoices) {
      const section = doneAs({ ...techniqueSection(technique), seat: 'chair', say: 'Sit' }, value, technique, 100)
      expect(sectionSchema.parse(section)).toEqual(section)
      expect([technique.id, value, resolved(section).kind]).toEqual([technique.id, value, kinds[value]])
      expect(section).toMatchObject({ seat: 'chair', say: 'Sit' })
    }
})

test('places for the hands put away what they do not go with, and give way to nostrils and steps', () => {
  const rounds: RoundsSection = { kind: 'rounds', id: 'r', techniqueId: 'even-breath', steps: { in: 2, pauseHalf: 2 } }
  const stations = [{ place: 'front', rounds: 5 }]
  expect(roundsAs(rounds, { stations })).toEqual({
    stations,
    amount: undefined,
    nostrils: undefined,
    steps: undefined,
    slope: undefined,
  })
  expect(roundsAs({ ...rounds, stations }, { nostrils: 'alternate' })).toEqual({
    nostrils: 'alternate',
    stations: undefined,
    shown: undefined,
  })
})

test('a round is told by its counts, its length and how many breaths a minute; all else by its time', () => {
  expect(roundWords(resolved(techniqueSection(even)))).toBe('one round, 8 counts of 1 s, 8 s · 7.5 breaths a minute')
  expect(roundWords(resolved({ kind: 'rounds', id: 'n', techniqueId: 'nostrils-in-turn' }))).toBe(
    'one round, 16 counts of 1 s · 7.5 breaths a minute',
  )
  expect(roundWords(resolved({ kind: 'natural', id: 'q', s: 90 }))).toBe('1:30')
  const sloped = resolved({
    kind: 'rounds',
    id: 's',
    techniqueId: 'even-breath',
    amount: { sets: 3, roundsPerSet: 2 },
    slope: { part: 'out', byHalf: 2, everySets: 1, to: 10 },
  })
  expect(roundWords(sloped).replace(/[\u2000-\u202f]/g, ' ')).toContain('set by set 4 : 4, 4 : 5, 4 : 4')
})

test('a section stands on the scale by its sets, rests, held breaths and strokes, as long as it is', () => {
  const parts = (section: Section) => scaleParts(resolved(section)).map(({ is, lengthMs }) => [is, lengthMs / 1000])
  expect(
    parts({
      kind: 'rounds',
      id: 'r',
      techniqueId: 'even-breath',
      amount: { sets: 2, roundsPerSet: 3 },
      restS: 30,
      leadInS: 6,
      countedRounds: 9,
    }),
  ).toEqual([
    ['set', 30],
    ['quiet', 30],
    ['set', 30],
  ])
  const held: Section = {
    kind: 'retention',
    id: 'h',
    held: 'full',
    half: 16,
    lead: { in: 8, out: 8 },
    times: 1,
    leadInS: 6,
    naturalAfterS: 30,
  }
  expect(parts(held)).toEqual([
    ['set', 14],
    ['held', 8],
    ['quiet', 30],
  ])
})
