import type { BreathBlock } from '#model/block'
import type { Section } from '#model/section'
import { mainSection, shortBreath, techniqueIdIn, withQuiet } from '#core/session'

const rounds: Section = { kind: 'rounds', id: 'r', techniqueId: 'even-breath' }
const belly: Section = { kind: 'natural', id: 'b', s: 60, techniqueId: 'belly-breath' }
const quiet = (id: string, s: number): Section => ({ kind: 'natural', id, s })
const held: Section = { kind: 'retention', id: 'h', held: 'full', half: 8, lead: { in: 8, out: 8 }, times: 1 }
const block = (...sections: Section[]): BreathBlock => ({ kind: 'breath', id: 'breath', sections })

test.each<[string, Section[], number]>([
  ['rounds, wherever they stand', [quiet('a', 600), rounds, belly], 1],
  ['natural breath of a technique, however long the rest is', [quiet('a', 600), belly], 1],
  ['a held breath before plain natural breath', [quiet('a', 600), held], 1],
  ['else the first', [quiet('a', 30), quiet('b', 600)], 0],
])('a block is about %s', (_, sections, at) => {
  expect(mainSection(sections)).toBe(at)
})

test('one thing with natural breath around it has a short form, and nothing else has', () => {
  expect(shortBreath(block(quiet('a', 20), rounds, quiet('z', 40)))).toEqual({ main: rounds, beforeS: 20, afterS: 40 })
  expect(shortBreath(block(belly))).toEqual({ main: belly, beforeS: 0, afterS: 0 })
  expect(shortBreath(block(rounds, rounds))).toBeUndefined()
  expect(shortBreath(block(held))).toBeUndefined()
  expect(
    shortBreath(block({ ...quiet('a', 20), kind: 'natural', attend: 'The belly' } as Section, rounds)),
  ).toBeUndefined()
})

test('natural breath is put before and after, changed, and taken away, and the rest stays', () => {
  const after = withQuiet(block(rounds), 'after', 60)
  expect(after.sections).toEqual([rounds, { kind: 'natural', id: 'after', s: 60 }])
  const both = withQuiet(after, 'before', 30)
  expect(shortBreath(both)).toMatchObject({ beforeS: 30, afterS: 60 })
  expect(shortBreath(withQuiet(both, 'before', 90))).toMatchObject({ beforeS: 90, afterS: 60 })
  expect(withQuiet(both, 'before', 0)).toEqual(after)
  expect(withQuiet(block(rounds), 'before', 0).sections).toEqual([rounds])
  // An id that is taken is not given again.
  expect(withQuiet(block({ ...rounds, id: 'after' }), 'after', 60).sections[1]?.id).toBe('after-1')
})

test('natural breath before may grow longer than what the block is about, which stays that', () => {
  const grown = withQuiet(block(belly), 'before', 600)
  expect(shortBreath(grown)).toMatchObject({ main: belly, beforeS: 600 })
})

test('a block is called by what is counted or taught in it, else by what it begins with', () => {
  expect(techniqueIdIn(block(belly, rounds))).toBe('even-breath')
  expect(techniqueIdIn(block(quiet('a', 30), belly))).toBe('belly-breath')
  expect(techniqueIdIn(block(held))).toBeUndefined()
})
