import type { Block, HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { applyEdit } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { add, duplicate, insert, moveBy, moveTo, remove } from './arranging.ts'
import { choose, chooseAll, chooseAlso, chooseFurther, chooseTo, chosenAfterTurn } from './choosing.ts'
import { chosenIds } from './plan-state.ts'
import type { Outcome, PlanState } from './plan-state.ts'
import { drawTime, replace, stepTime } from './timing.ts'

const hour = aSession([aTalk('talk'), aHold('sphinx'), aHold('deer'), aClosing()])
function planOf(session: Session, chosen?: string, ...also: string[]): PlanState {
  let made = 0
  return {
    session,
    timeline: orThrow(compileTimeline(session, shippedCatalog)),
    selection: { chosen, also: new Set(also) },
    newId: () => `new-${String((made += 1))}`,
  }
}
/** The plan after a command, as it would be run. */
function after(state: PlanState, { step, selection }: Outcome): PlanState {
  const session = step
    ? orThrow(applyEdit(state.session, { type: 'several', edits: step.edits })).session
    : state.session
  return { ...planOf(session), selection: selection ?? state.selection, newId: state.newId }
}
const order = ({ session }: PlanState) => session.blocks.map(({ id }) => id)
const blockOf = ({ session }: PlanState, id: string) => session.blocks.find((block) => block.id === id)

describe('choosing', () => {
  const plan = planOf(hour, 'sphinx')

  test('one block, or none', () => {
    expect(chosenIds(after(plan, choose(plan, { id: 'deer' })))).toEqual(['deer'])
    expect(chosenIds(after(plan, choose(plan, { id: undefined })))).toEqual([])
  })

  test('one more and one less, all up to one, one further, all of them', () => {
    const two = after(plan, chooseAlso(plan, { id: 'talk' }))
    expect(chosenIds(two)).toEqual(['talk', 'sphinx'])
    expect(chosenIds(after(two, chooseAlso(two, { id: 'talk' })))).toEqual(['sphinx'])
    expect(chosenIds(after(plan, chooseTo(plan, { id: 'closing' })))).toEqual(['sphinx', 'deer', 'closing'])
    expect(chosenIds(after(plan, chooseFurther(plan, { by: -1 })))).toEqual(['talk', 'sphinx'])
    expect(chooseFurther(planOf(hour, 'talk'), { by: -1 })).toEqual({})
    expect(chooseAll(plan)).toMatchObject({ says: '4 blocks chosen' })
    expect(chooseAlso(two, { id: 'talk' }).says).toBe('One block chosen')
  })

  test('after a step was taken back what came back with it is chosen, else what still is there', () => {
    const gone = after(plan, remove(plan, { ids: ['sphinx'] }))
    expect(chosenAfterTurn(gone, plan)).toEqual({ chosen: 'sphinx', also: new Set(['sphinx']) })
    expect(chosenAfterTurn(plan, gone).chosen).toBeUndefined()
    expect(chosenAfterTurn(planOf(hour, 'deer'), gone).chosen).toBe('deer')
  })
})

describe('adding', () => {
  const frog: Block = { kind: 'hold', id: 'frog', poseId: 'frog' }

  test('after the chosen block, or where it was dropped, never after the closing', () => {
    const plan = planOf(hour, 'sphinx')
    const added = add(plan, { block: frog, name: 'Frog' })
    expect(order(after(plan, added))).toEqual(['talk', 'sphinx', 'frog', 'deer', 'closing'])
    expect([added.says, added.step?.words]).toEqual(['Frog added, block 3 of 5', 'add Frog'])
    expect(chosenIds(after(plan, added))).toEqual(['frog'])
    expect(order(after(plan, add(plan, { block: frog, name: 'Frog', at: 9 }))).at(-2)).toBe('frog')
  })

  test('a second closing is not added, and it is said why', () => {
    const plan = planOf(hour, 'sphinx')
    expect(add(plan, { block: { kind: 'closing', id: 'again' }, name: 'Closing' })).toEqual({
      says: 'There is a closing already: a session has one, at its end.',
    })
  })
})

describe('taking out', () => {
  test('what stood after it is chosen, at the end what stood before', () => {
    const plan = planOf(hour, 'sphinx')
    const outcome = remove(plan, { ids: ['sphinx'] })
    expect(order(after(plan, outcome))).toEqual(['talk', 'deer', 'closing'])
    expect([outcome.selection?.chosen, outcome.says]).toEqual(['deer', 'Sphinx removed'])
    expect(remove(plan, { ids: ['closing'] }).selection?.chosen).toBe('deer')
    expect(remove(plan, { ids: ['deer', 'closing'] })).toMatchObject({
      selection: { chosen: 'sphinx' },
      says: '2 blocks removed',
    })
    expect(remove(plan, { ids: [] })).toEqual({})
  })
})

describe('copies', () => {
  test('stand after the last of them under ids of their own, and are chosen', () => {
    const plan = planOf(hour, 'talk')
    const outcome = duplicate(plan, { ids: ['talk', 'deer', 'closing'] })
    expect(order(after(plan, outcome))).toEqual(['talk', 'sphinx', 'deer', 'new-1', 'new-2', 'closing'])
    expect(outcome.says).toBe('2 blocks duplicated, blocks 4 to 5 of 6')
    expect(duplicate(planOf(hour), { ids: ['sphinx'] }).says).toBe('Sphinx duplicated, block 3 of 5')
    expect(duplicate(plan, { ids: ['closing'] })).toEqual({})
  })

  test('that are pasted bring a closing only where there is none', () => {
    const pasted = { blocks: [aHold('frog'), aClosing()], at: 1, words: 'paste 2 blocks', done: '2 blocks pasted' }
    const plan = planOf(hour)
    expect(order(after(plan, insert(plan, pasted)))).toEqual(['talk', 'new-1', 'sphinx', 'deer', 'closing'])
    const open = planOf(aSession([aTalk('talk'), aHold('sphinx')]))
    expect(order(after(open, insert(open, pasted)))).toEqual(['talk', 'new-1', 'sphinx', 'new-2'])
    expect(insert(plan, { ...pasted, blocks: [aClosing()] }).says).toMatch(/^There is a closing already/)
    expect(insert(open, { ...pasted, blocks: [aClosing()] }).says).toBe('2 blocks pasted, block 3 of 3')
  })

  test('without a place stand after what is chosen, and all of them are chosen', () => {
    const piece = { blocks: [aHold('frog'), aTalk('words')], words: 'add Warm-up', done: 'Warm-up added' }
    const outcome = insert(planOf(hour, 'sphinx'), piece)
    expect(order(after(planOf(hour), outcome))).toEqual(['talk', 'sphinx', 'new-1', 'new-2', 'deer', 'closing'])
    expect(outcome).toMatchObject({
      selection: { chosen: 'new-1', also: new Set(['new-1', 'new-2']) },
      says: 'Warm-up added, blocks 3 to 4 of 6',
    })
    expect(order(after(planOf(hour), insert(planOf(hour), piece)))).toEqual([
      'talk',
      'sphinx',
      'deer',
      'new-1',
      'new-2',
      'closing',
    ])
  })
})

describe('moving', () => {
  test('to a place, or by one, together and never past the closing', () => {
    const plan = planOf(hour)
    expect(order(after(plan, moveTo(plan, { ids: ['talk'], at: 4 })))).toEqual(['sphinx', 'deer', 'talk', 'closing'])
    expect(order(after(plan, moveBy(plan, { ids: ['talk', 'sphinx'], by: 1 })))).toEqual([
      'deer',
      'talk',
      'sphinx',
      'closing',
    ])
    expect(moveTo(plan, { ids: ['deer'], at: 0 }).says).toBe('Deer moved, block 1 of 4')
    expect(moveBy(plan, { ids: ['talk'], by: -1 })).toEqual({})
  })
})

describe('times', () => {
  const holdOf = (plan: PlanState, outcome: Outcome, id: string) =>
    (blockOf(after(plan, outcome), id) as HoldBlock | undefined)?.hold

  test('go to the next that can be said, and say it', () => {
    const plan = planOf(aSession([aHold('deer', { hold: { holdS: 170 } })]))
    const longer = stepTime(plan, { id: 'deer', longer: true })
    expect([holdOf(plan, longer, 'deer'), longer.says]).toEqual([{ holdS: 180 }, 'Deer longer: 3:00'])
    expect(stepTime(plan, { id: 'deer', longer: false, side: 'left' })).toMatchObject({
      says: 'Deer shorter: 2:45, on the left only: the sides are unlinked',
    })
  })

  test.each([
    ['a talk', { ...aTalk('long'), s: 3900 } as Block, { s: 3930 }],
    ['a rest', { kind: 'rest', id: 'long', s: 7200 } as Block, { s: 7200 }],
    [
      'breath to a time',
      aBreath('even-breath', { id: 'long', amount: { fillS: 3660, roundsPerSet: 9 } }),
      { sections: [{ amount: { fillS: 3690 } }] },
    ],
  ])('%s of over an hour goes on longer, and is never cut to the hour', (_, block, expected) => {
    const plan = planOf(aSession([block]))
    expect(blockOf(after(plan, stepTime(plan, { id: 'long', longer: true })), 'long')).toMatchObject(expected)
  })

  test('a hold keeps what its phases need, and says so', () => {
    const phases: HoldBlock['phases'] = [
      { id: 'a', name: 'Upright', length: { s: 60 } },
      { id: 'b', name: 'Folded', length: { rest: true } },
    ]
    const plan = planOf(aSession([aHold('deer', { hold: { holdS: 90 }, phases })]))
    const shorter = stepTime(plan, { id: 'deer', longer: false })
    expect(holdOf(plan, shorter, 'deer')).toEqual({ holdS: 90 })
    expect(shorter.says).toBe('Its phases need 1:30: the hold keeps at least that.')
    const set = replace(plan, { block: aHold('deer', { hold: { holdS: 30 }, phases }), words: 'set it' })
    expect(holdOf(plan, set, 'deer')).toEqual({ holdS: 90 })
  })

  test('drawn by its lower edge both sides change together', () => {
    const plan = planOf(aSession([aHold('deer', { hold: { leftS: 120, rightS: 100 } })]))
    const drawn = drawTime(plan, { id: 'deer', seconds: 150 })
    expect(holdOf(plan, drawn, 'deer')).toMatchObject({ leftS: 150, rightS: 130 })
    expect(drawn.says).toBe('Deer 2:30')
    expect(drawTime(plan, { id: 'nobody', seconds: 150 })).toEqual({})
  })
})
