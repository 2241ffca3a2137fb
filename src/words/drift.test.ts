import { whatDrifts } from '#core/journal'
import type { ClassDrift } from '#model/class-drift'
import {
  behindSentence,
  growingSentence,
  partsSentence,
  proposalWords,
  quietSentence,
  sidesSentence,
  signed,
  timesPlanned,
} from './drift.ts'

const aClass = (n: number, more: Partial<ClassDrift> = {}): ClassDrift => ({
  ...{ id: `c${String(n)}`, sessionId: 's', name: 'Slow hour', startedAt: `2026-03-0${String(n)}T18:00:00.000Z` },
  ...{ ledS: 1000, things: [], of: [], late: [], quietS: 410 },
  ...more,
})
const part = (
  blockId: string,
  name: string,
  kind: ClassDrift['of'][number]['part'],
  plannedS: number,
  tookS: number,
) => ({
  ...{ blockId, name, part: kind, plannedS, tookS },
})
const chairs = [part('calves', 'Calves on a chair', 'change', 60, 190), part('deer', 'Deer', 'change', 265, 265)]
const side = (of: 'left' | 'right', tookS: number) => ({
  ...part('deer', 'Deer', 'hold', 210, tookS),
  ...{ poseId: 'deer', side: of },
})

test('the part that drifts furthest is named with what makes most of it', () => {
  expect(partsSentence(whatDrifts([aClass(1, { of: chairs })]))).toBe(
    'Changes take 1.40 of what is planned; Calves on a chair alone 2:10 more.',
  )
  const talk = [part('arrive', 'Arrive', 'talk', 180, 60)]
  expect(partsSentence(whatDrifts([aClass(1, { of: talk })]))).toBe(
    'Talk takes 0.33 of what is planned; Arrive alone 2:00 less.',
  )
  const unplanned = [part('arrive', 'Arrive', 'rest', 0, 90)]
  expect(partsSentence(whatDrifts([aClass(1, { of: unplanned })]))).toBe(
    'Rests take 1:30, and none is planned; Arrive alone 1:30 more.',
  )
  // A long part is as planned though it takes some seconds more.
  const held = [part('deer', 'Deer', 'hold', 1800, 1830)]
  expect(partsSentence(whatDrifts([aClass(1, { of: held })]))).toBe('Every part takes about what is planned.')
  expect(partsSentence(whatDrifts([aClass(1)]))).toBe('Every part takes about what is planned.')
})

test('sides are alike, or it is said which is shorter', () => {
  expect(sidesSentence(whatDrifts([aClass(1)]))).toBe('No pose with two sides was led.')
  expect(sidesSentence(whatDrifts([aClass(1, { of: [side('left', 210), side('right', 207)] })]))).toBe(
    'The sides of every pose are held alike, within 5 seconds.',
  )
  expect(sidesSentence(whatDrifts([aClass(1, { of: [side('left', 240), side('right', 210)] })]))).toBe(
    'Deer: the right side is held 0:30 shorter than the left.',
  )
})

test('a hold that always grows is named, where there are classes enough to tell', () => {
  const grown = [1, 2, 3].map((n) => aClass(n, { of: [side('left', 240), side('right', 240)] }))
  expect(growingSentence(whatDrifts(grown))).toBe('Deer is always longer, by 0:30 in the middle.')
  expect(growingSentence(whatDrifts(grown.slice(1)))).toMatch(/^Three classes tell/)
  expect(growingSentence(whatDrifts([1, 2, 3].map((n) => aClass(n))))).toMatch(/^No hold is always longer/)
})

test('the minute at which classes fall behind, and the share of quiet', () => {
  const late = [{ blockId: 'deer', name: 'Deer', plannedAtS: 850, lateS: 70 }]
  expect(behindSentence(whatDrifts([aClass(1, { late }), aClass(2)]))).toBe(
    '1 of 2 classes fell a minute behind: at Deer (minute 14).',
  )
  expect(behindSentence(whatDrifts([aClass(1, { late })]))).toBe('The class fell a minute behind: at Deer (minute 14).')
  expect(behindSentence(whatDrifts([aClass(1), aClass(2)]))).toBe('No class fell a minute behind.')
  expect(quietSentence(whatDrifts([aClass(1)]))).toBe('41 % of the time is quiet, by the words of the plan.')
  const { quietS: _, ...untold } = aClass(1)
  expect(quietSentence(whatDrifts([untold]))).toBe('These records do not tell what was said.')
})

test('figures have their sign and say how many times what is planned', () => {
  expect([signed(130), signed(-5), signed(0)]).toEqual(['+2:10', '−0:05', '0:00'])
  expect(timesPlanned({ plannedS: 0, tookS: 5 })).toBeUndefined()
})

test('a change of the plan is said with what it is now', () => {
  const [drift] = whatDrifts([aClass(1, { of: chairs })]).parts.flatMap(({ blocks }) => blocks)
  if (!drift) throw new Error('nothing drifts')
  const mend = { edit: { type: 'remove', id: 'calves' }, plannedS: 190, nowS: undefined } as const
  expect(proposalWords({ drift, mend })).toBe('Calves on a chair, the change into it: 3:10 instead of 1:00')
})
