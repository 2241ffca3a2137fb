import type { OwnThing } from '#model/own'
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

test('the teacher’s own poses are known to it; without them they are refused, not guessed', () => {
  const withOwn = { ...session, blocks: [aHold('my-sphinx'), aClosing()] }
  expect(answerFit({ kind: 'holds', own, session: withOwn })).toMatchObject({ ok: true })
  expect(answerFit({ kind: 'holds', own: [], session: withOwn })).toMatchObject({ ok: false, code: 'UNKNOWN_POSE' })
})

test('what a worker gives back can be sent: nothing in it is lost on the way', () => {
  const answer = answerFit({ kind: 'both', own: [], session, keepTargets: ['outerHip'], leastShare: 0.5 })
  expect(structuredClone(answer)).toEqual(answer)
})
