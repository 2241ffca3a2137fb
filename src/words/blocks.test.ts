import type { Block } from '#model/block'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { blockDetail, blockName, sideWords, wingLabel } from './blocks.ts'
import { momentWords, soundWords } from './cues.ts'
import { newBlock } from '#web/shared/session/new-block.ts'

const resolved = (block: Block) => {
  const [span] = orThrow(compileTimeline(aSession([block]), shippedCatalog)).blocks
  if (!span) throw new Error('the session has one block')
  return span.block
}

test.each<[Block, string, string]>([
  [aTalk(), 'Arrive', ''],
  [aHold('sphinx'), 'Sphinx', '2 blankets'],
  [aHold('reclined-bound-angle'), 'Bound angle, reclined', '7 blankets, 3 blocks, bolster, strap, eye pillow'],
  [
    aHold('calves-on-a-chair', { breathOver: { techniqueId: 'long-exhale' } }),
    'Calves on a chair',
    'chair, 2 blankets, eye pillow · long exhale 4\u202f:\u202f6 over it',
  ],
  [aBreath('even-breath'), 'Even breath', '4\u202f:\u202f4, 30 rounds'],
  [aBreath('long-exhale'), 'Long exhale', '4\u202f:\u202f6, 18 rounds'],
  [aBreath('watching-the-breath'), 'Watching the breath', 'natural breath'],
  [aBreath('even-breath', { amount: { fillS: 300, roundsPerSet: 10 } }), 'Even breath', '4\u202f:\u202f4, fills 5:00'],
  [{ kind: 'movement', id: 'm', movementId: 'arms-overhead-lying' }, 'Arms overhead, lying', '6 rounds'],
  [{ kind: 'rest', id: 'r', s: 60, basePosition: 'seated' }, 'Rest', 'seated'],
  [aClosing({ finalRestS: 300 }), 'Closing', 'final rest 5:00, coming up 2:00'],
])('a block is named and told in a line', (block, name, detail) => {
  expect([blockName(resolved(block)), blockDetail(resolved(block))]).toEqual([name, detail])
})

test('a side is told in the body’s terms, with what is used', () => {
  expect(sideWords(resolved(aHold('deer')), 'left')).toBe('left knee in front, right knee behind · blanket, 2 blocks')
  expect(sideWords(resolved(aHold('crescent-lying')), 'right')).toBe('bend to the right, left side long')
  expect(sideWords(resolved({ kind: 'movement', id: 'm', movementId: 'leg-raise-lying' }), 'left')).toBe(
    'left leg moves, right knee bent',
  )
})

test('a screen reader hears name, side, time and place', () => {
  const session = aSession(Array.from({ length: 14 }, (_, index) => aTalk(`talk-${String(index)}`)))
  expect(wingLabel({ name: 'Deer', bank: 'left', seconds: 210, blockIndex: 6 }, session)).toBe(
    'Deer, left, 3:30, block 7 of 14',
  )
  expect(wingLabel({ name: 'Sphinx', bank: 'pair', seconds: 180, blockIndex: 0 }, session)).toBe(
    'Sphinx, 3:00, block 1 of 14',
  )
})

test('the moment of a cue and its sound are said as a teacher says them', () => {
  expect(
    [{ fromStartS: 0 }, { fromStartS: 30 }, { share: 0.5 }, { share: 0.25 }, { beforeEndS: 20 }].map(momentWords),
  ).toEqual(['at the start', 'at 0:30', 'half time', 'after 25 %', '0:20 before the end'])
  expect([
    soundWords(undefined),
    soundWords({ kind: 'wood', strokes: 1 }),
    soundWords({ kind: 'lowBell', strokes: 3 }),
  ]).toEqual(['', 'wood, one stroke', 'low bell, 3 strokes'])
})

test('a new block of each kind compiles as it is', () => {
  const things = [
    { kind: 'hold', id: 'deer' },
    { kind: 'breath', id: 'even-breath' },
    { kind: 'movement', id: 'leg-raise-lying' },
    { kind: 'talk', id: 'talk' },
    { kind: 'rest', id: 'rest' },
    { kind: 'closing', id: 'closing' },
  ] as const
  expect(compileTimeline(aSession(things.map(newBlock)), shippedCatalog).ok).toBe(true)
})
