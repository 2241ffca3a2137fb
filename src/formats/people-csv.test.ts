import { notThereYet, readPeopleCsv } from './people-csv.ts'

test('people are read with what is known of them, whatever the order of the columns and however it is parted', () => {
  const text =
    '\uFEFFHeight_cm;Name;Level;Touch;Called;In_case\n1,71 m;Ragna Ödegård;new;Ask;Ragna;her son\n;Ivo;;;;\n\n'
  expect(readPeopleCsv(text)).toEqual({
    people: [
      { name: 'Ragna Ödegård', calledAs: 'Ragna', level: 'new', statureMm: 1710, touch: 'ask', inCase: 'her son' },
      { name: 'Ivo' },
    ],
    slips: [],
    ignored: [],
  })
})

test('what is not understood is told by its line and left, the rest of the line is read; other columns are named', () => {
  const text = `name,level,height_cm,touch,knee\n,new,170,yes,\nA,often,900,maybe,left\n${'x'.repeat(200)},,,,`
  const { people, slips, ignored } = readPeopleCsv(text)
  expect(people).toEqual([{ name: 'A' }])
  expect(slips.map(({ line, why }) => [line, why])).toEqual([
    [2, 'name'],
    [3, 'height'],
    [3, 'level'],
    [3, 'touch'],
    [4, 'long'],
  ])
  expect(ignored).toEqual(['knee'])
})

test('a list without names says what it has in their place', () => {
  expect(readPeopleCsv('who,level\nA,new')).toEqual({
    ...{ people: [], ignored: [] },
    slips: [{ line: 1, text: 'who, level', why: 'columns' }],
  })
})

test('a formula sign that was put before a name goes', () => {
  expect(readPeopleCsv("name\n'=A").people).toEqual([{ name: '=A' }])
})

test('who is there is not added again, however the name is marked, and nobody twice', () => {
  const people = [{ name: 'Ragna Odegard' }, { name: 'Ivo' }, { name: 'ivo' }]
  expect(notThereYet(people, [{ name: 'Ragna Ödegård' }])).toEqual([{ name: 'Ivo' }])
})
