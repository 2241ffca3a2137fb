import fc from 'fast-check'
import { rebased } from './index.ts'

interface Doc {
  name: string
  level?: string | undefined
  told: { id: string; side: string }[]
}
const base: Doc = { name: 'Edda', told: [{ id: 'knee', side: 'left' }] }

test('what was changed here is put over what was changed elsewhere, field by field and thing by thing', () => {
  const mine: Doc = { ...base, level: 'new', told: [...base.told, { id: 'neck', side: 'both' }] }
  const theirs: Doc = {
    name: 'Edda Q.',
    told: [
      { id: 'knee', side: 'right' },
      { id: 'hip', side: 'left' },
    ],
  }
  expect(rebased(base, mine, theirs)).toEqual({
    name: 'Edda Q.',
    level: 'new',
    told: [
      { id: 'knee', side: 'right' },
      { id: 'hip', side: 'left' },
      { id: 'neck', side: 'both' },
    ],
  })
})

test('where both changed the same the last stands; what is taken away here is away, and there only if it is untouched here', () => {
  expect(rebased(base, { ...base, name: 'E' }, { ...base, name: 'Quint' }).name).toBe('E')
  const none = { ...base, told: [] }
  expect(rebased(base, none, { ...base, name: 'Q' })).toEqual({ name: 'Q', told: [] })
  expect(rebased(base, { ...base, name: 'Q' }, none)).toEqual({ name: 'Q', told: [] })
  const right = { ...base, told: [{ id: 'knee', side: 'right' }] }
  expect(rebased(base, right, none).told).toEqual(right.told)
  const said: Doc = { ...base, level: 'new' }
  const { level: _, ...unsaid } = said
  expect(rebased<Doc>(said, unsaid, { ...said, name: 'Q' })).toEqual({
    ...unsaid,
    name: 'Q',
  })
})

const docs = fc.record({
  name: fc.constantFrom('a', 'b', 'c'),
  told: fc.uniqueArray(fc.record({ id: fc.constantFrom('k', 'n', 'h'), side: fc.constantFrom('l', 'r') }), {
    selector: ({ id }) => id,
  }),
})

test('over a document nobody else changed it is what was typed; with nothing typed, what it has become', () => {
  fc.assert(
    fc.property(docs, docs, (one, other) => {
      expect(rebased(one, other, one)).toEqual(other)
      expect(rebased(one, one, other)).toEqual(other)
      expect(rebased(one, other, other)).toEqual(other)
    }),
    { numRuns: 100 },
  )
})

test('every thing that was added on either side is there afterwards', () => {
  fc.assert(
    fc.property(docs, docs, docs, (was, mine, theirs) => {
      const ids = (doc: typeof was) => doc.told.map(({ id }) => id)
      const added = [...ids(mine), ...ids(theirs)].filter((id) => !ids(was).includes(id))
      expect(ids(rebased(was, mine, theirs))).toEqual(expect.arrayContaining(added))
    }),
    { numRuns: 100 },
  )
})

test('things without an id are told apart by what they are of, and where they are not, the last list stands', () => {
  const forms = (...of: string[]) => ({ forms: of.map((personId) => ({ personId, blockId: 'deer' })) })
  expect(rebased(forms('a'), forms('a', 'b'), forms('a', 'c'))).toEqual(forms('a', 'c', 'b'))
  const some = (...blockIds: string[]) => ({ some: blockIds.map((blockId) => ({ blockId })) })
  expect(rebased(some('x'), some('x', 'x'), some('y'))).toEqual(some('x', 'x'))
})
