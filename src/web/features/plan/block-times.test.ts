import type { Block } from '#model/block'
import type { FormerBreathBlock } from '#model/former-block'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import type { Resolved } from '#core/session'
import { stepDown, stepUp } from '#core/units'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { drawnSeconds, steppedBlock, timedBlock, withRoomForPhases } from './block-times.ts'

function resolved(block: Block): Resolved {
  const [only] = orThrow(resolveSession(aSession([block]), shippedCatalog))
  if (!only) throw new Error('nothing was resolved')
  return only
}
const breath = (amount: FormerBreathBlock['amount']): Block => aBreath('even-breath', { amount })
const inSection = (fields: object) => ({ sections: [fields] })
const movement: Block = { kind: 'movement', id: 'wave', movementId: 'hollow-and-round', rounds: 6 }
const rest: Block = { kind: 'rest', id: 'rest', s: 120 }
const linked = aHold('deer', { hold: { holdS: 210 } })
const apart = aHold('deer', { hold: { leftS: 240, rightS: 180, why: 'a stiff hip' } })

describe('one step longer or shorter', () => {
  test.each<[string, Block, object]>([
    ['a talk', aTalk('talk', 120), { s: 135 }],
    ['a rest', rest, { s: 135 }],
    ['a closing, by its final rest', aClosing({ finalRestS: 300 }), { finalRestS: 330 }],
    ['a movement, by a round', movement, { rounds: 7 }],
    ['natural breath', breath({ naturalS: 120 }), inSection({ kind: 'natural', s: 135 })],
    [
      'breath that fills a time',
      breath({ fillS: 240, roundsPerSet: 6 }),
      inSection({ amount: { fillS: 270, roundsPerSet: 6 } }),
    ],
    [
      'counted breath, by a round',
      breath({ sets: 2, roundsPerSet: 9 }),
      inSection({ amount: { sets: 2, roundsPerSet: 10 } }),
    ],
    ['a hold, both sides together', linked, { hold: { holdS: 240 } }],
    [
      'sides that were unlinked, each by its own step',
      apart,
      { hold: { leftS: 270, rightS: 210, why: 'a stiff hip' } },
    ],
  ])('%s', (_, block, longer) => {
    expect(steppedBlock(resolved(block), stepUp, undefined)).toMatchObject(longer)
  })

  test('a side alone unlinks the two', () => {
    expect(steppedBlock(resolved(linked), stepDown, 'right')).toMatchObject({ hold: { leftS: 210, rightS: 180 } })
  })

  test('a hold without a time of its own steps from its usual one', () => {
    expect(steppedBlock(resolved(aHold('sphinx')), stepUp, undefined)).toMatchObject({
      hold: { holdS: expect.any(Number) as number },
    })
  })

  test('rounds never go below one', () => {
    expect(steppedBlock(resolved({ ...movement, rounds: 1 }), stepDown, undefined)).toMatchObject({ rounds: 1 })
    expect(steppedBlock(resolved(breath({ sets: 1, roundsPerSet: 1 })), stepDown, undefined)).toMatchObject(
      inSection({ amount: { roundsPerSet: 1 } }),
    )
  })
})

describe('a lower edge that is drawn', () => {
  test.each<[string, Block, number | undefined]>([
    ['a talk', aTalk('talk', 120), 120],
    ['a hold stands for its longer side', apart, 240],
    ['a closing for its final rest', aClosing({ finalRestS: 300 }), 300],
    ['natural breath', breath({ naturalS: 90 }), 90],
    ['breath that fills a time', breath({ fillS: 240, roundsPerSet: 6 }), 240],
    ['counted sets have no edge', breath({ sets: 2, roundsPerSet: 9 }), undefined],
    ['nor has a movement', movement, undefined],
  ])('%s', (_, block, seconds) => {
    expect(drawnSeconds(resolved(block))).toBe(seconds)
  })

  test('what is drawn is set; sides that were unlinked keep what lies between them', () => {
    expect(timedBlock(resolved(rest), 60)).toMatchObject({ s: 60 })
    expect(timedBlock(resolved(aClosing()), 420)).toMatchObject({ finalRestS: 420 })
    expect(timedBlock(resolved(linked), 120)).toMatchObject({ hold: { holdS: 120 } })
    expect(timedBlock(resolved(apart), 180)).toMatchObject({ hold: { leftS: 180, rightS: 120 } })
    expect(timedBlock(resolved(breath({ fillS: 240, roundsPerSet: 6 })), 300)).toMatchObject(
      inSection({ amount: { fillS: 300, roundsPerSet: 6 } }),
    )
    expect(timedBlock(resolved(movement), 300)).toBeUndefined()
  })
})

describe('room for phases', () => {
  const phases = [
    { id: 'up', name: 'Upright', length: { s: 90 } },
    { id: 'rest', name: 'Folded', length: { rest: true as const } },
  ]
  test('a hold is never shorter than its fixed phases and half a minute', () => {
    expect(withRoomForPhases({ ...linked, phases, hold: { holdS: 60 } })).toMatchObject({ hold: { holdS: 120 } })
    expect(withRoomForPhases({ ...linked, phases, hold: { leftS: 60, rightS: 150 } })).toMatchObject({
      hold: { leftS: 120, rightS: 150 },
    })
  })
  test('where there is room the block is the same', () => {
    const roomy = { ...linked, phases, hold: { holdS: 120 } }
    expect(withRoomForPhases(roomy)).toBe(roomy)
    expect(withRoomForPhases(linked)).toBe(linked)
  })
})
