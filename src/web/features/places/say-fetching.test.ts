import { aTalk } from '#testing/sessions'
import { sayFetching } from './say-fetching.ts'

const of = { lines: ['1 bolster, 2 blankets', 'once the body is in place: 1 eye pillow'], s: 138, newId: () => 'new' }
const sentence = 'Fetch 1 bolster, 2 blankets; once the body is in place: 1 eye pillow.'

test('the first talk says what is fetched after what it says already, and lasts long enough', () => {
  expect(sayFetching({ ...aTalk('arrive', 60), text: 'Welcome.' }, of)).toEqual({
    type: 'replace',
    block: { ...aTalk('arrive', 140), text: `Welcome. ${sentence}` },
  })
  expect(sayFetching(aTalk('arrive', 600), of)).toMatchObject({ block: { s: 600, text: sentence } })
})

test('a script has it as its last sentence', () => {
  const script = { sentences: [{ text: 'Welcome.' }] }
  expect(sayFetching({ ...aTalk(), script }, of)).toMatchObject({
    block: { script: { sentences: [{ text: 'Welcome.' }, { text: sentence }] } },
  })
})

test('without a talk one comes to the front', () => {
  expect(sayFetching(undefined, of)).toEqual({
    type: 'insert',
    at: 0,
    block: { kind: 'talk', id: 'new', title: 'Fetching', text: sentence, s: 140 },
  })
})
