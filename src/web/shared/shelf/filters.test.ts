import { shippedCatalog } from '#library/shipped'
import { aHold, aTalk } from '#testing/sessions'
import { shelfEntries } from './entries.ts'
import { makeFinder } from './find.ts'
import { countAnswers, facets, filterShelf } from './filters.ts'

const entries = shelfEntries(shippedCatalog, { practice: 'yin', level: 'regular' })
const facet = (key: string) => facets.find((one) => one.key === key) as (typeof facets)[number]
const ids = (chosen: Record<string, string[]>) => filterShelf(entries, chosen).map(({ id }) => id)

test('nothing chosen lets everything through', () => {
  expect(filterShelf(entries, {})).toEqual(entries)
  expect(filterShelf(entries, { base: [] })).toEqual(entries)
})

test('answers to one question add up, answers to several narrow', () => {
  const seated = ids({ kind: ['pose'], base: ['seated'] })
  const wall = ids({ kind: ['pose'], base: ['atWall'] })
  expect(ids({ kind: ['pose'], base: ['seated', 'atWall'] })).toHaveLength(seated.length + wall.length)
  expect(ids({ base: ['seated'], direction: ['twist'], sides: ['each'] })).toEqual([
    'twist-over-a-bolster',
    'seated-twist',
  ])
})

test('no kneeling and no wall leave out what needs them', () => {
  const left = filterShelf(entries, { without: ['kneeling', 'wall'] })
  expect(left.some(({ kneels, needsWall }) => kneels || needsWall)).toBe(false)
  expect(left.map(({ id }) => id)).not.toContain('legs-up-the-wall')
  expect(left.map(({ id }) => id)).not.toContain('sleeping-swan')
})

test('props at hand show only what needs no others', () => {
  expect(ids({ kind: ['pose'], props: ['none'] })).toContain('crescent-lying')
  expect(ids({ kind: ['pose'], props: ['blanket'] })).toContain('sphinx')
  expect(ids({ kind: ['pose'], props: ['blanket'] })).not.toContain('deer')
  expect(ids({ kind: ['pose'], props: ['blanket', 'foamBlock'] })).toContain('deer')
})

test('a class of new people is shown what is usual for them, an experienced one all of it', () => {
  expect(ids({ level: ['new'] })).not.toContain('reclined-hero')
  expect(ids({ level: ['experienced'] })).toHaveLength(entries.length)
})

test('every count is what choosing that answer then shows', () => {
  const chosen = { kind: ['pose'], target: ['outerHip'], props: ['blanket'] }
  for (const one of facets) {
    const counts = countAnswers(entries, chosen, one)
    for (const { value } of one.options) {
      const own: readonly string[] = (chosen as Record<string, string[]>)[one.key] ?? []
      const next = one.joins === 'all' ? [...new Set([...own, value])] : [value]
      expect([one.key, value, counts.get(value)]).toEqual([
        one.key,
        value,
        filterShelf(entries, { ...chosen, [one.key]: next }).length,
      ])
    }
  }
  expect(countAnswers(entries, {}, facet('kind')).get('pose')).toBe(shippedCatalog.poses.size)
})

test('a piece is found by its name and by what it holds, and fits where all of it does', () => {
  const blocks = [aTalk('words'), aHold('sleeping-swan'), aHold('legs-up-the-wall')]
  const piece = { id: 'mine', name: 'Hips, then the wall', blocks }
  const withPiece = shelfEntries(shippedCatalog, { practice: 'yin', level: 'regular' }, [piece])
  expect(withPiece).toHaveLength(entries.length + 1)
  const [entry] = filterShelf(withPiece, { kind: ['piece'], own: ['own'] })
  expect(entry).toMatchObject({ id: 'mine', usual: '3 blocks', base: 'allFours', fromLevel: 'regular' })
  expect(entry?.thing).toEqual({ kind: 'piece', id: 'mine', blocks })
  expect(filterShelf(withPiece, { kind: ['piece'], without: ['kneeling'] })).toEqual([])
  expect(filterShelf(withPiece, { kind: ['piece'], without: ['wall'] })).toEqual([])
  expect(makeFinder(withPiece)('hips wall')[0]?.id).toBe('mine')
  expect(makeFinder(withPiece)('folded pigeon').map(({ id }) => id)).toContain('mine')
})
