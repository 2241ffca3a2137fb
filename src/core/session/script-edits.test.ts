import fc from 'fast-check'
import type { Script } from '#model/script'
import {
  beginning,
  movePart,
  quietAfterOf,
  scriptParts,
  typedLines,
  withoutSentences,
  withSentence,
} from '#core/session'

const scan: Script = {
  sentences: [
    { text: 'Arrive' },
    { text: 'The feet', part: 'Feet' },
    { text: 'each toe' },
    { text: 'The belly', part: 'Belly' },
    { text: 'Come back', part: 'Back again' },
  ],
  quietAfter: 4,
}
const words = ({ sentences }: Script) => sentences.map(({ text }) => text)
const parts = (script: Script) => scriptParts(script).map(({ name, from, to }) => [name, from, to])

describe('the parts of a script', () => {
  it('are what begins with a name, and a beginning without one', () => {
    expect(parts(scan)).toEqual([
      ['', 0, 1],
      ['Feet', 1, 3],
      ['Belly', 3, 4],
      ['Back again', 4, 5],
    ])
  })

  it('move with their sentences, and the long quiet stays after the one it lay after', () => {
    const moved = movePart(scan, 1, 2)
    expect(words(moved)).toEqual(['Arrive', 'The belly', 'The feet', 'each toe', 'Come back'])
    expect(moved.quietAfter).toBe(2)
    expect(movePart(scan, 1, 4)).toBe(scan)
  })

  it('a beginning that does not stay first gets a name', () => {
    expect(parts(movePart(scan, 1, 0))).toEqual([
      ['Feet', 0, 2],
      [beginning, 2, 3],
      ['Belly', 3, 4],
      ['Back again', 4, 5],
    ])
  })
})

describe('sentences', () => {
  it('that go leave the name of their part to the next one in it, and the long quiet where it was', () => {
    const left = withoutSentences(scan, new Set([1]))
    expect(left && parts(left)).toEqual([
      ['', 0, 1],
      ['Feet', 1, 2],
      ['Belly', 2, 3],
      ['Back again', 3, 4],
    ])
    expect(left?.quietAfter).toBe(3)
    expect(withoutSentences(scan, new Set([3]))?.quietAfter).toBe(3)
    expect(withoutSentences(scan, new Set([0, 1, 2, 3, 4]))).toBeUndefined()
  })

  it('typed on several lines are as many sentences', () => {
    const typed = withSentence(scan, 0, { text: 'Arrive\n\n Lie down ' })
    expect(words(typed)).toEqual(['Arrive', 'Lie down', 'The feet', 'each toe', 'The belly', 'Come back'])
    expect(typed.quietAfter).toBe(5)
    expect(withSentence(scan, 0, { text: '  ' })).toEqual(scan)
  })

  it('typed as one long line are cut where a sentence ends, else between words, and nothing is lost', () => {
    const one = `${'word '.repeat(30)}end. `
    const long = one.repeat(4).trim()
    const lines = typedLines(`${long}\n\n ${'longword'.repeat(60)}`)
    expect(lines.every((line) => line.length <= 300)).toBe(true)
    expect(lines.slice(0, 4).every((line) => line.endsWith('end.'))).toBe(true)
    expect(lines.join('').replaceAll(' ', '')).toBe(`${long}${'longword'.repeat(60)}`.replaceAll(' ', ''))
    expect(typedLines('word '.repeat(100)).every((line) => /^(word ?)+$/.test(line))).toBe(true)
  })

  it('are all there, in whatever order their parts stand', () => {
    const sentences = fc.array(
      fc.record(
        { text: fc.constantFrom('a', 'b', 'c'), part: fc.constantFrom('One', 'Two') },
        { requiredKeys: ['text'] },
      ),
      { minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(sentences, fc.nat(11), fc.nat(11), fc.nat(11), (all, from, to, quiet) => {
        const script = { sentences: all, quietAfter: 1 + (quiet % all.length) }
        const moved = movePart(script, from, to)
        expect(words(moved).toSorted()).toEqual(words(script).toSorted())
        expect(scriptParts(moved)).toHaveLength(scriptParts(script).length)
        const before = script.sentences[script.quietAfter - 1]?.text
        expect(moved.sentences[quietAfterOf(moved) - 1]?.text).toBe(before)
      }),
    )
  })
})
