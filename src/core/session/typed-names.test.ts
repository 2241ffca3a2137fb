import { aHold, aSession, aTalk } from '#testing/sessions'
import { blockWithoutNames, detailsWithoutNames, namesOf, tellsOf, withoutNames } from './typed-names.ts'

const names = namesOf([{ name: 'Katrijn Voss', calledAs: 'Kat' }, { name: 'Ödön van Elst' }, { name: 'Bo' }])

test('people are called by first and last names and by what they wish; short and small words are none', () => {
  expect(names).toEqual(['Katrijn', 'Voss', 'Kat', 'Ödön', 'Elst'])
})

test('a name is found as a whole word as it is written, and gives way to somebody', () => {
  expect(withoutNames('Watch Kat, and Ödön’s hips', names)).toBe('Watch somebody, and somebody’s hips')
  for (const text of ['Kathedrale', 'a kat', 'Vossberg', 'Bo', '']) expect(withoutNames(text, names)).toBe(text)
  expect(withoutNames('Kat', [])).toBe('Kat')
})

test('it is found wherever a teacher types into a block, and nowhere else', () => {
  const block = aHold('deer', {
    ...{ id: 'Kat', note: 'Kat dizzy', changeText: 'Help Voss over' },
    cues: [{ id: 'one', at: { fromStartS: 5 }, text: 'Kat, soften' }],
  })
  expect(blockWithoutNames(block, names)).toEqual({
    ...block,
    ...{ note: 'somebody dizzy', changeText: 'Help somebody over' },
    cues: [{ id: 'one', at: { fromStartS: 5 }, text: 'somebody, soften' }],
  })
  const talk = aTalk()
  expect(blockWithoutNames(talk, names)).toBe(talk)
})

test('it is found in what is typed of a session itself, the notes for next time too', () => {
  const session = aSession([], {
    purpose: 'For Kat',
    nextTime: [
      { id: 'a', text: 'Ask Voss' },
      { id: 'b', text: 'Chairs' },
    ],
  })
  expect(detailsWithoutNames(session, names)).toEqual({
    purpose: 'For somebody',
    nextTime: [
      { id: 'a', text: 'Ask somebody' },
      { id: 'b', text: 'Chairs' },
    ],
  })
  expect(tellsOf(session, names)).toBe(true)
  const bare = aSession([], { nextTime: [{ id: 'b', text: 'Chairs' }] })
  expect(detailsWithoutNames(bare, names)).toEqual({})
  expect(tellsOf(bare, names)).toBe(false)
})
