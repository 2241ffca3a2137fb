import fc from 'fast-check'
import { blockSchema } from '#model/block'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { foldMarks } from '#core/units'
import { shippedCatalog as catalog } from '#library/shipped'
import { templates } from '#library/templates'
import { demoSessions } from '#server/demo/sessions'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { exactlyMark } from './exactly.ts'
import { nameBook } from './names.ts'
import { readPlan } from './read-plan.ts'
import type { Chosen } from './read-plan.ts'
import { blockLines } from './write-lines.ts'
import { planText } from './write-plan.ts'

const book = nameBook(catalog)
const on = { catalog, book }
const read = (text: string, chosen?: ReadonlyMap<string, Chosen>) =>
  readPlan(text, { catalog, book, wanted: {}, ...(chosen ? { chosen } : {}) })
/** Each block of a plan as it would be written, and what is doubtful of its line. */
const told = (text: string): (readonly string[])[] => {
  const { blocks, lines } = read(text)
  return blocks.map((block, at) => {
    const line = lines.find((one) => one.block === at && one.role === 'block')
    return [blockLines(block, catalog).join(' / '), ...(line?.doubts ?? [])]
  })
}

test('a plan as teachers write it, one line a block, is understood', () => {
  const text = `talk 3 welcome
deer 3.5 each side
4:6 x 20
legs up wall 10 min, blanket
śavāsana 8`
  expect(told(text)).toEqual([
    ['Talk 3:00 welcome'],
    ['Deer, 3:30 each side'],
    ['Long exhale 4 : 6 x 20'],
    ['Legs up the wall, 10:00'],
    ['Closing 8:00'],
  ])
  expect(read(text).lines.map(({ role }) => role)).toEqual(['block', 'block', 'block', 'block', 'block'])
})

const lines: readonly (readonly [typed: string, ...told: string[]])[] = [
  // Times
  ['deer 90s', 'Deer, 1:30 each side'],
  ['Deer – 3½ min e/s', 'Deer, 3:30 each side'],
  ["sphinx 4'", 'Sphinx, 4:00'],
  ['sphinx 2 min 30', 'Sphinx, 2:30'],
  ['sphinx three minutes', 'Sphinx, 3:00'],
  ['sphinx 1:15', 'Sphinx, 1:15'],
  ['calves on a chair 1h', 'Calves on a chair, 60:00'],
  ['sphinx 3-5 min', 'Sphinx, 3:00 / note: 3-5 min', 'TIME_RANGE'],
  ['sphinx 90', 'Sphinx, 1:30', 'TIME_AS_SECONDS'],
  ['sphinx 3 hours', 'Sphinx / note: 3 hours', 'TIME_OUT_OF_RANGE'],
  ['sphinx 10 breaths', 'Sphinx, 1:00 / note: 10 breaths', 'BREATHS_AS_TIME'],
  ['talk', 'Talk 2:00 Talk', 'TIME_NONE'],
  // Sides
  ['deer left 3 right 4', 'Deer, left 3:00, right 4:00'],
  ['deer R 4:00 / L 3:00', 'Deer, left 3:00, right 4:00'],
  ['deer 3 left, 4 right', 'Deer, left 3:00, right 4:00'],
  ['deer 3 min per side, right first', 'Deer, 3:00 each side, right first'],
  ['deer 3 x 2', 'Deer, 3:00 each side'],
  ['deer 8 min in all', 'Deer, 4:00 each side'],
  ['sphinx 3 each side', 'Sphinx, 3:00', 'SIDES_OF_ONE'],
  ['deer 3 left only', 'Deer, 3:00 each side / note: left only', 'ONE_SIDE'],
  ['bridge on a bolster 3 min x 3', 'Supported bridge, 3:00 / note: x 3', 'ROUNDS_OF_HOLD'],
  // Names, with and without diacritics, in any of them, with slips
  ['viparīta karaṇī 10', 'Legs up the wall, 10:00', 'NAME_ALIKE'],
  ['shavasana 10', 'Closing 10:00'],
  ['Supta baddha konasana 12', 'Bound angle, reclined, 12:00'],
  ['reclined bound angle 12', 'Bound angle, reclined, 12:00'],
  ['child’s pose 3', 'Wide-knee fold, 3:00'],
  ['caterpiller 4', 'Long-leg fold, 4:00', 'NAME_LIKELY'],
  ['happy babys 2', 'Soles to the ceiling, 2:00'],
  ['cat cow x 8', 'Hollow and round, on all fours, x 8'],
  ['twist 3 each side', 'Knees across, 3:00 each side', 'NAME_LIKELY'],
  ['body scan 5 min', 'Talk 5:00 body scan', 'NAME_UNKNOWN'],
  // Forms, times around, notes
  ['deer, front leg long, 3 each side', 'Deer, Front leg long, 3:00 each side'],
  ['sphinx 4, rebound 1', 'Sphinx, 4:00, rest after 1:00'],
  ['sphinx 4 min, then rest 90s', 'Sphinx, 4:00, rest after 1:30'],
  ['deer 3 each side - mind the left knee', 'Deer, 3:00 each side / note: mind the left knee'],
  // Breath
  ['even breath 4:4, 3 sets of 9', 'Even breath 4 : 4 3 x 9'],
  ['in 4 out 6 x 12', 'Long exhale 4 : 6 x 12'],
  ['nadi shodhana 12 rounds', 'Nostrils in turn x 12'],
  ['bhrāmarī 10 breaths', 'Humming exhale x 10'],
  ['belly breath 5', 'Belly breath 5:00'],
  ['long exhale 4:10 x 12', 'Long exhale 4 : 10 x 12'],
  ['4:10 x 12', 'Long exhale 4 : 10 x 12', 'RATIO_OR_TIME'],
  ['1:2 x 12', 'Long exhale 4 : 8 x 12', 'RATIO_SCALED'],
  ['breath work 10 min', 'Watching the breath 10:00', 'BREATH_UNNAMED'],
  ['legs up the wall 10, long exhale 4:6', 'Legs up the wall, 10:00, long exhale 4 : 6'],
  // What needs no name
  ['rest 2 on the back', 'Rest 2:00, on the back'],
  ['stillness 1 min', 'Rest 1:00'],
  ['śavāsana 8, roll 30s, sit up 1 min', 'Closing 8:00, roll 0:30, sitting up 1:00'],
  ['welcome and stop signs 4 min', 'Talk 4:00 welcome and stop signs'],
]
test.each(lines)('“%s” is understood, and doubtful where it is', (typed, ...meant) => {
  const [[words = '', ...doubts] = []] = told(typed)
  expect([words.replaceAll('   ', ' ').replaceAll('/   ', '/ '), ...doubts]).toEqual(
    meant.map((one) => one.replace(' / ', ' /   ').replaceAll('   ', ' ')),
  )
})

test('a set-up that takes what is said is taken; what none takes is fetched beside it', () => {
  const of = (typed: string) => {
    const [block] = read(typed).blocks
    return block?.kind === 'hold'
      ? [block.setUpId, block.setUpItems?.map(({ kind, count }) => `${String(count)} ${kind}`).join(', ')]
      : []
  }
  // Its usual set-up has a blanket.
  expect(of('legs up the wall 10, blanket')).toEqual([undefined, undefined])
  const [usual, items] = of('sphinx 3 min, eye pillow')
  expect([usual, items]).toEqual([expect.stringMatching(/^sphinx-/), expect.stringMatching(/1 eyePillow$/)])
  expect(told('sphinx 3 min, eye pillow')[0]).toContain('PROPS_BESIDE')
})

test('bullets, boxes, numbers and clocks are not read as times; a line with a clock alone lasts until the next', () => {
  const tidy = [['Talk 5:00 arrive'], ['Deer, 3:00 each side'], ['Sphinx, 4:00']]
  expect(told('- arrive 5\n- [ ] deer 3 each side\n• sphinx 4')).toEqual(tidy)
  expect(told('1. arrive 5\n2) deer 3 each side\n(3) sphinx 4')).toEqual(tidy)
  expect(told('18:00 arrive 5\n18:05 deer 3 each side\n18:13–18:17 sphinx 4')).toEqual(tidy)
  expect(told('18:00 arrive\n18:05 sphinx\n18:10 deer\n18:18 śavāsana 8')).toEqual([
    ['Talk 5:00 arrive', 'TIME_FROM_CLOCK'],
    ['Sphinx, 5:00', 'TIME_FROM_CLOCK'],
    ['Deer, 4:00 each side', 'TIME_FROM_CLOCK'],
    ['Closing 8:00'],
  ])
  // Without a row of them, what begins a line is how long it takes.
  expect(told('3:30 sphinx')).toEqual([['Sphinx, 3:30']])
})

test('sides on lines of their own come together, and keep the order in which they stand', () => {
  expect(told('deer R 3\ndeer L 3')).toEqual([['Deer, 3:00 each side, right first']])
  expect(told('deer left 3\nother side 4')).toEqual([['Deer, left 3:00, right 4:00']])
  expect(told('sphinx 3\ndeer other side')[1]).toContain('OTHER_SIDE_ALONE')
})

test('what is set in under a line is its note, what is quoted is said in it, and a moment with words is a cue', () => {
  const { blocks } = read(
    'talk 3 welcome\n  > The stop signs\ndeer 3 each side\n   mind the knee\n  half time: soften the left hip\nsphinx 4',
  )
  expect(blocks[0]).toMatchObject({ text: 'The stop signs' })
  expect(blocks[1]).toMatchObject({
    note: 'mind the knee',
    cues: [{ at: { share: 0.5 }, text: 'soften the {this} hip' }],
  })
  expect(blocks).toHaveLength(3)
})

test('what stands over a plan is of the whole of it', () => {
  const { head, lines: all } = read(
    'Thursday slow hour – yin, 60 min\nTheme: hips\nProps: 2 bolsters each\n\ndeer 3 each side',
  )
  expect(head).toEqual({
    name: 'Thursday slow hour',
    practice: 'yin',
    lengthS: 3600,
    theme: 'hips',
    purpose: 'Props: 2 bolsters each',
  })
  expect(all.map(({ role }) => role)).toEqual(['about', 'about', 'about', 'nothing', 'block'])
})

test('a closing stays last: what is said after it joins it, and before the end it is a rest on the back', () => {
  const { blocks } = read('deer 3 each side\nśavāsana 8\nroll to the side 30s\nsit up 1 min\nthanks, tea')
  expect(blocks[1]).toEqual(
    expect.objectContaining({ kind: 'closing', finalRestS: 480, rollS: 30, sittingUpS: 60, text: 'thanks, tea' }),
  )
  expect(told('śavāsana 8\ndeer 3 each side')[0]).toEqual(['Rest on the back, 8:00'])
  expect(told('closing 8\ndeer 3 each side')[0]).toEqual(['Rest on the back, 8:00', 'CLOSING_EARLY'])
})

test('a choice stands for every line that says the same', () => {
  const chosen = new Map<string, Chosen>([
    ['twist 3', { kind: 'hold', id: 'seated-twist' }],
    ['body scan 5', { kind: 'rest' }],
    ['bring tea', { kind: 'nothing' }],
  ])
  const { blocks, lines: all } = read('twist 3\nbody scan 5\nbring tea\ntwist 3', chosen)
  expect(blocks.map((block) => (block.kind === 'hold' ? block.poseId : block.kind))).toEqual([
    'seated-twist',
    'rest',
    'seated-twist',
  ])
  expect(all[2]).toMatchObject({ role: 'nothing', doubts: [] })
})

test('each thing of the shelf is found by each of its names, with and without diacritics', () => {
  const all = [...catalog.poses.values(), ...catalog.movements.values(), ...catalog.techniques.values()]
  const lost = all.flatMap(({ id, names }) =>
    [names.english, ...names.others, names.sanskrit ?? names.english]
      .flatMap((name) => [name, foldMarks(name), name.toUpperCase()])
      .filter((name) => {
        const [line] = read(`${name} 3`).lines
        return !line?.choices.some((thing) => thing.id === id)
      }),
  )
  expect(lost).toEqual([])
})

test('a slip of the fingers in a long name still offers what was meant', () => {
  const long = [...catalog.poses.values()].filter(({ names }) => names.english.length > 9)
  fc.assert(
    fc.property(fc.constantFrom(...long), fc.nat(), ({ id, names }, nat) => {
      const name = names.english
      const letters = [...name.matchAll(/(?<=[a-z])[a-z](?=[a-z])/g)].map(({ index }) => index)
      const at = letters[nat % letters.length] ?? 1
      const {
        lines: [line],
      } = read(`${name.slice(0, at)}${name.slice(at + 1)} 3 min`)
      expect(line?.choices.map((thing) => thing.id)).toContain(id)
    }),
    { numRuns: 60 },
  )
})

const words = fc.constantFrom(
  ...[
    'deer',
    'Sphinx',
    'talk',
    'rest',
    'śavāsana',
    'closing',
    '3',
    '4:6',
    '3:30',
    '90s',
    'x 20',
    'each side',
    'left 3',
    'right',
    'L',
    '2 blankets',
    'bolster',
  ],
  ...[
    '18:05',
    '-',
    '•',
    '>',
    'note:',
    'theme: hips',
    'half time: soft',
    '½',
    '–',
    '{this}',
    '__proto__',
    '=1+1',
    '<b>',
    '  ',
    '\t',
    '4-7-8',
    '1h15',
    '3 sets of',
    'other side',
  ],
)
const messy = fc.array(
  fc.oneof(
    fc.array(words, { maxLength: 7 }).map((all) => all.join(' ')),
    fc.string({ maxLength: 30 }),
  ),
  { maxLength: 8 },
)

test('whatever is pasted, every line is told of, every block can be kept, and no word is dropped', () => {
  fc.assert(
    fc.property(messy, fc.nat(), (all, nat) => {
      const at = all.length === 0 ? 0 : nat % all.length
      const text = all.map((line, place) => (place === at && line.trim() !== '' ? `${line} zyxwv` : line)).join('\n')
      const { lines: seen, blocks, head } = read(text)
      expect(seen.map(({ number }) => number)).toEqual(text.split(/\r\n?|\n/).map((_, place) => place + 1))
      for (const block of blocks) expect(blockSchema.safeParse(block).error).toBeUndefined()
      if (text.includes('zyxwv')) expect(JSON.stringify([blocks, head])).toContain('zyxwv')
      const closing = blocks.findIndex(({ kind }) => kind === 'closing')
      expect(closing < 0 || closing === blocks.length - 1).toBe(true)
    }),
    { numRuns: 100 },
  )
})

/** A session without what a copy has anew: ids that nothing else names, what it is a version of, what was set aside. */
function copied(session: Pick<Session, 'blocks'> & Partial<Session>): unknown {
  const { id: _, schema: __, versionOf: ___, setAside: ____, blocks, ...head } = session
  return { ...head, blocks: blocks.map(withoutIds) }
}
function withoutIds(block: Block): unknown {
  if (block.kind === 'breath')
    return { ...block, id: '', sections: block.sections.map((section) => ({ ...section, id: '' })) }
  if (block.kind === 'hold' && block.cues)
    return { ...block, id: '', cues: block.cues.map((cue) => ({ ...cue, id: '' })) }
  return { ...block, id: '' }
}
const again = (session: Session, text = planText(session, on)): unknown => {
  const { head, blocks, doubts } = read(text)
  expect(doubts).toEqual([])
  return copied({ ...head, blocks: [...blocks] })
}

test('a session as text pastes back equal', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      expect(again(session)).toEqual(copied(session))
    }),
    { numRuns: 40 },
  )
})

test('so do the demo’s sessions and all templates, also through a letter that changes ends of lines and spaces at them', () => {
  for (const session of [...demoSessions, ...templates]) {
    expect(again(session)).toEqual(copied(session))
    const posted = planText(session, on).replaceAll('\n', ' \r\n')
    expect(again(session, posted)).toEqual(copied(session))
  }
})

const plainBlocks = fc.oneof(
  fc.record({
    kind: fc.constant('talk' as const),
    id: fc.constant('t'),
    title: fc.constantFrom('Arrive', 'Deer 4 min', 'x 20'),
    s: fc.integer({ min: 5, max: 3000 }),
  }),
  fc.record(
    {
      ...{ kind: fc.constant('hold' as const), id: fc.constant('h'), poseId: fc.constantFrom(...catalog.poses.keys()) },
      hold: fc.record({ holdS: fc.integer({ min: 5, max: 3600 }) }),
      times: fc.record({ changeS: fc.nat(90), afterRestS: fc.nat(90) }),
      note: fc.constantFrom('mind the knee', 'deer 3'),
    },
    { requiredKeys: ['kind', 'id', 'poseId', 'hold'] },
  ),
  fc.record(
    {
      ...{ kind: fc.constant('rest' as const), id: fc.constant('r'), s: fc.integer({ min: 5, max: 600 }) },
      basePosition: fc.constantFrom('supine' as const, 'seated' as const),
    },
    { requiredKeys: ['kind', 'id', 's'] },
  ),
  fc.record({
    kind: fc.constant('movement' as const),
    id: fc.constant('m'),
    movementId: fc.constantFrom(...catalog.movements.keys()),
    rounds: fc.integer({ min: 1, max: 60 }),
  }),
)

test('what a plain plan says, its lines alone say: nothing follows them that only Zovrin reads', () => {
  fc.assert(
    fc.property(fc.array(plainBlocks, { maxLength: 6 }), (blocks) => {
      const named = blocks.map((block, at) => ({ ...block, id: `b${String(at)}` }))
      const session = aSession([...named, aClosing({ finalRestS: 400 })])
      const { schoolId: _, ...head } = session
      const text = planText(session, on)
      expect(text.split(exactlyMark)[1]).toContain('"session":{"schoolId":"mixed"},"blocks":[]}')
      expect(again(head as Session, planText(session, on, { exactly: false }))).toEqual(copied(head))
    }),
    { numRuns: 60 },
  )
})

test('a line that is changed by hand says what it says; what only Zovrin reads stays with its block', () => {
  const phases = [{ id: 'rest', name: 'Folded', length: { rest: true as const } }]
  const session = aSession([
    aTalk(),
    aHold('deer', { hold: { holdS: 210 }, priority: 'must', phases }),
    aHold('sphinx', { priority: 'may' }),
  ])
  const text = planText(session, on).replace('Deer, 3:30 each side', 'Deer, 4 each side').replace('Sphinx\n', '')
  expect(read(text).blocks.map(({ id: _, ...block }) => block)).toMatchObject([
    { kind: 'talk' },
    { poseId: 'deer', hold: { holdS: 240 }, priority: 'must', phases },
  ])
  // Cut off, it is a plan like any other; spoilt, the lines stand and it is said.
  const spoilt = read(planText(session, on).replace('"priority"', '"prio"'))
  expect(spoilt.doubts).toEqual(['EXACT_UNREADABLE'])
  expect(spoilt.blocks).toHaveLength(3)
})

test('what it stands on that is not here is told, and the lines stand', () => {
  const own = aHold('deer', { priority: 'must' })
  const text = planText(aSession([own]), on).replace('"poseId":"deer"', '"poseId":"gone"')
  const { blocks, doubts } = read(text)
  expect([blocks.length, doubts]).toEqual([1, ['EXACT_GONE']])
})
