import type { Block } from '#model/block'
import { wordingSchemas } from '#model/wording'
import type { SomeWording } from '#model/wording'
import { checkSession } from '#core/checks'
import { orThrow } from '#core/result'
import { rollWords, stillnessWords, stopWords } from '#core/session'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { compileTimeline } from './index.ts'

const compiled = (blocks: Block[], wording?: SomeWording) =>
  orThrow(compileTimeline(aSession(blocks, wording ? { wording } : {}), shippedCatalog))
const saidIn = (blocks: Block[], wording?: SomeWording): string[] =>
  compiled(blocks, wording).cues.map(({ text = '' }) => text)

/** What ends each cue that asks for stillness, in order. */
const tails = (blocks: Block[], wording?: SomeWording): string[] =>
  compiled(blocks, wording)
    .cues.filter(({ id }) => ['settled', 'rest', 'finalRest'].includes(id))
    .map(({ text = '' }) => text.slice(text.lastIndexOf('; ') + 2))

const rest: Block = { kind: 'rest', id: 'rest', s: 60 }
const hour: Block[] = [
  aHold('deer', { id: 'a' }),
  aHold('sphinx', { id: 'b' }),
  aHold('sphinx', { id: 'c' }),
  aHold('figure-four-lying', { id: 'd' }),
  rest,
  aClosing(),
]

test('how to be still is told in full the first time in each position, after that in short, and never left out', () => {
  const { full, short } = stillnessWords.move
  //  deer: both sides; sphinx twice, on the belly; figure four, both sides, on the back; a rest and the closing there.
  expect(tails(hour)).toEqual([full, short, full, short, full, short, short, short])
})

test.each(wordingSchemas.stillness.options)(
  'stillness in the wording “%s” always leaves people free to move',
  (chosen) => {
    const { full, short } = stillnessWords[chosen]
    expect(new Set(tails(hour, { stillness: chosen }))).toEqual(new Set([full, short]))
    expect(full).toMatch(/move|change/)
    expect(full).toMatch(/tingl/)
    expect(short).toMatch(/move|change/)
  },
)

test.each(wordingSchemas.roll.options)(
  'the roll in the wording “%s” is said alike on the way out and at the end',
  (chosen) => {
    for (const roll of ['left', 'right', 'either'] as const) {
      const words = rollWords[chosen][roll]
      const blocks = [aHold('figure-four-lying', { id: 'a', answers: { roll } }), aClosing({ answers: { roll } })]
      const said = saidIn([aHold('calves-on-a-chair', { answers: { roll } }), ...blocks], { roll: chosen }).join(' / ')
      expect(said).toContain(words)
      expect(said).toContain(words.charAt(0).toUpperCase() + words.slice(1))
      // Either side is always as good: both are named, or none.
      expect(words).toMatch(/prefer|you like|just as good/)
    }
  },
)

test.each(wordingSchemas.stop.options)(
  'the stop signs in the wording “%s” are what a talk about cautions begins with',
  (chosen) => {
    const session = aSession([aHold('deer'), aClosing()], { wording: { stop: chosen } })
    const timeline = orThrow(compileTimeline(session, shippedCatalog))
    const unsaid = checkSession({ session, timeline, catalog: shippedCatalog, book: cautionBook }).find(
      ({ code }) => code === 'CAUTIONS_UNSAID',
    )
    expect(JSON.stringify(unsaid?.mend)).toContain(stopWords[chosen])
    const talk: Block = { kind: 'talk', id: 'talk', title: 'Arrive', text: stopWords[chosen], s: 60 }
    const told = aSession([talk, aHold('deer'), aClosing()])
    const after = checkSession({
      session: told,
      timeline: orThrow(compileTimeline(told, shippedCatalog)),
      catalog: shippedCatalog,
      book: cautionBook,
    })
    expect(after.map(({ code }) => String(code))).not.toContain('CAUTIONS_UNSAID')
  },
)

test('each of the three has three wordings, and no two are the same', () => {
  for (const [all, count] of [
    [Object.values(stillnessWords).map(({ full }) => full), wordingSchemas.stillness.options.length],
    [Object.values(rollWords).map(({ either }) => either), wordingSchemas.roll.options.length],
    [Object.values(stopWords), wordingSchemas.stop.options.length],
  ] as const) {
    expect(count).toBe(3)
    expect(new Set(all).size).toBe(3)
  }
})

test('a block’s own words are said while arranging in place of the usual ones, on each side as it is', () => {
  const session = aSession([aHold('deer', { setUpWords: ['The {this} shin to the front', 'Sit tall'] })])
  const { cues } = orThrow(compileTimeline(session, shippedCatalog))
  const said = cues.filter(({ id }) => id === 'setUp').map(({ side, text }) => [side, text])
  expect(said).toEqual(
    expect.arrayContaining([
      ['left', 'The left shin to the front. Sit tall'],
      ['right', 'The right shin to the front. Sit tall'],
    ]),
  )
})
