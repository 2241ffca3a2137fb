import type { OwnThing } from '#model/own'
import type { Allocation } from '#core/class'
import type { Fit } from '#core/fit'
import { poses } from '#library/poses'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { answerFit } from './fit-work.ts'

const sphinx = poses.find(({ id }) => id === 'sphinx')
if (!sphinx) throw new Error('no sphinx')
const own: OwnThing[] = [{ kind: 'pose', version: 1, document: { ...sphinx, id: 'my-sphinx' } } as OwnThing]
const session = aSession(
  [aHold('sphinx', { hold: { holdS: 300 } }), aHold('deer', { hold: { holdS: 240 } }), aClosing({ finalRestS: 360 })],
  { lengthS: 1200 },
)

test('every kind of question has its answer', () => {
  expect(answerFit({ kind: 'holds', own: [], session })).toMatchObject({ ok: true, value: { overMs: 0 } })
  expect(answerFit({ kind: 'fewer', own: [], session, keepTargets: [] })).toMatchObject({ ok: true })
  expect(answerFit({ kind: 'both', own: [], session, keepTargets: [], leastShare: 0.8 })).toMatchObject({ ok: true })
  expect(answerFit({ kind: 'order', own: [], session })).toMatchObject({ ok: true, value: { isBest: true } })
})

test('for a class of many, changes take longer, and the holds give way for it', () => {
  const held = (people?: number): number => {
    const { value } = answerFit({ kind: 'holds', own: [], session, people }) as { value: Fit }
    return value.session.blocks.reduce(
      (sum, block) => sum + (block.kind === 'hold' && block.hold && 'holdS' in block.hold ? block.hold.holdS : 0),
      0,
    )
  }
  expect(held(4)).toBe(held())
  expect(held(30)).toBeLessThan(held())
})

test('what is too little is dealt out, without what no cupboard can list', () => {
  const who = ['guest-1', 'guest-2', 'guest-3']
  const stock = { rectBolster: 1, roundBolster: 1, blanket: 9, eyePillow: 3 }
  const answer = answerFit({ kind: 'deal', own: [], session, who, stock })
  const { given, people } = (answer as { value: Allocation }).value
  expect(people).toBeGreaterThan(0)
  expect(given.filter(({ personId }) => personId === 'guest-1').map(({ blockId }) => blockId)).toEqual([
    ...['sphinx', 'deer', 'closing'],
  ])
  expect(given.flatMap(({ replaced }) => replaced.map(({ by }) => by))).not.toContain('coat')
  const gone = aSession([aHold('gone')])
  expect(answerFit({ kind: 'deal', own: [], session: gone, who, stock })).toMatchObject({ code: 'UNKNOWN_POSE' })
})

test('the teacher’s own poses are known to it; without them they are refused, not guessed', () => {
  const withOwn = { ...session, blocks: [aHold('my-sphinx'), aClosing()] }
  expect(answerFit({ kind: 'holds', own, session: withOwn })).toMatchObject({ ok: true })
  expect(answerFit({ kind: 'holds', own: [], session: withOwn })).toMatchObject({ ok: false, code: 'UNKNOWN_POSE' })
})

test('what a worker gives back can be sent: nothing in it is lost on the way', () => {
  const answer = answerFit({ kind: 'both', own: [], session, keepTargets: ['outerHip'], leastShare: 0.5 })
  expect(structuredClone(answer)).toEqual(answer)
})
