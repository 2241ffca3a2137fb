import { newBlock } from '#web/shared/session/new-block.ts'
import { shippedCatalog } from '#library/shipped'
import { shelfEntries } from '#web/shared/shelf/entries.ts'
import { makeFinder } from '#web/shared/shelf/find.ts'
import { bestOnShelf, inGroups, shelfLines } from './shelf-groups.ts'

const lines = shelfLines(shelfEntries(shippedCatalog, { practice: 'yin', level: 'regular' }))
const find = makeFinder(lines)
const names = (wanted: string) => find(wanted).map(({ name }) => name)

test.each([
  ['deer', ['Deer']],
  ['bālāsana', ['Wide-knee fold', 'Folded kneel, knees together', 'Child over bolsters', 'Soles to the ceiling']],
  ['SAMA VRTTI', ['Even breath']],
  ['bhramari', ['Humming exhale']],
  ['zzz', []],
])('looking for %s finds just that', (wanted, expected) => {
  expect(names(wanted)).toEqual(expected)
})

test.each([
  ['balasana', 'Wide-knee fold'],
  ['cobbler', 'Bound angle, reclined'],
  ['viparita', 'Legs up the wall'],
  ['savasana', 'Closing'],
  ['side bend', 'Side bend, seated'],
  ['shavasana', 'Rest on the back'],
  ['pidgeon', 'Folded pigeon'],
  ['spinx', 'Sphinx'],
  ['buterfly', 'Bound angle, seated'],
  ['sfinx', 'Sphinx'],
  ['corpse', 'Rest on the back'],
  ['caterpillar', 'Long-leg fold'],
  ['suptabaddhakonasana', 'Bound angle, reclined'],
  ['savasana pose', 'Rest on the back'],
  ['forward fold', 'Long-leg fold'],
  ['low back', 'Sphinx'],
  ['outer hip', 'Deer'],
])('looking for %s finds %s among others, slips and marks forgiven', (wanted, name) => {
  expect(names(wanted)).toContain(name)
})

test.each([
  ['rest', 'Rest'],
  ['leg', 'Leg up with a strap'],
  ['chair', 'Seat on a chair'],
  ['deer', 'Deer'],
  ['supta baddha', 'Bound angle, reclined'],
])('Enter on %s takes %s', (wanted, name) => {
  expect(bestOnShelf(find(wanted), wanted)?.name).toBe(name)
})

test('what sounds like nothing on the shelf finds nothing', () => {
  expect(names('bananarama')).toEqual([])
  expect(names('banana')).toEqual(['Crescent, lying'])
})

test('a name stands before where a thing is felt', () => {
  expect(names('twist')[0]).toMatch(/twist/i)
  expect(names('hip').length).toBeGreaterThan(3)
})

test('an empty search shows all that can be put into a session, in groups that lose nothing', () => {
  expect(find(' ')).toHaveLength(lines.length)
  const groups = inGroups(find(''))
  expect(groups.flatMap((group) => group.lines)).toHaveLength(lines.length)
  expect(groups.map(({ name }) => name)).toEqual([
    'Standing',
    'Kneeling',
    'On all fours',
    'On the belly',
    'On the back',
    'On the side',
    'Seated',
    'On a chair',
    'At the wall',
    'Breath',
    'Movement',
    'Between and around',
  ])
})

test('what is taught in person can be put into a session, its strokes as strokes', () => {
  expect(names('kapalabhati')).toContain('Short exhales')
  // What is called alike and may be planned anywhere is found first.
  expect(names('bell')[0]).toBe('Belly breath')
  expect(names('bell')).toContain('Bellows breath')
  expect(newBlock({ kind: 'breath', id: 'bellows-breath' })).toMatchObject({
    sections: [{ kind: 'strokes', techniqueId: 'bellows-breath', both: true }],
  })
  expect(newBlock({ kind: 'breath', id: 'pause-full' })).toMatchObject({
    sections: [{ kind: 'rounds', techniqueId: 'pause-full' }],
  })
})

test('the shelf tells the usual minutes for the session’s practice and level', () => {
  const deer = (level: 'new' | 'experienced') =>
    shelfEntries(shippedCatalog, { practice: 'yin', level }).find(({ name }) => name === 'Deer')?.usual
  expect([deer('new'), deer('experienced')]).toEqual(['1–2 min', '3–5 min'])
})
