import type { Person } from '#model/person'
import type { FormOfPerson } from '#model/planned-class'
import type { Block } from '#model/block'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession } from '#testing/sessions'
import { laidByPeople } from '../people.ts'
import { laidIn } from '../laid.ts'
import { ledger } from '../ledger.ts'
import { askAgain, isAsked } from './ask-again.ts'
import { checkPeople } from './check-people.ts'
import { comersOf } from './comers.ts'
import { laidByForm } from './laid-by-form.ts'
import { whoTakesWhat } from './who-takes-what.ts'

const has = (id: string, more: Partial<Person['conditions'][number]> = {}): Person['conditions'][number] => ({
  ...{ id, severe: 'no', askedOn: '2026-11-20' },
  ...more,
})
const aPerson = (id: string, told: Person['conditions'] = [], more: Partial<Person> = {}): Person => ({
  ...{ id, name: id, level: 'experienced', conditions: told, consents: [] },
  ...more,
})
const day = '2026-12-03'
const blocks: Block[] = [aHold('wide-knee-fold', { hold: { holdS: 60 } }), aHold('sphinx', { hold: { holdS: 30 } })]

function classOf(people: readonly Person[], forms: FormOfPerson[] = [], planned: Block[] = blocks) {
  const session = aSession(planned)
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const comers = comersOf(
    { id: 'now', people: people.map(({ id }) => ({ personId: id })), guests: 0 },
    people,
    [],
    session.level,
  )
  const through = whoTakesWhat(
    timeline.blocks.map(({ block }) => block),
    comers,
    forms,
    { catalog: shippedCatalog, book: cautionBook },
  )
  return { session, timeline, through }
}
function lookAt(people: readonly Person[], chosenForms: FormOfPerson[], planned: Block[]) {
  const { session, timeline, through } = classOf(people, chosenForms, planned)
  const forms = laidByForm(through, shippedCatalog, session)
  return { through, day, timeline, forms, changes: shippedCatalog.changes }
}
const found = (people: readonly Person[], forms: FormOfPerson[] = [], planned: Block[] = blocks) =>
  checkPeople(lookAt(people, forms, planned)).map(({ code, grade, facts, place }) => [
    code,
    grade,
    facts,
    place.blockId,
  ])
const chosen = (personId: string, blockId: string, takes: FormOfPerson['takes']): FormOfPerson => ({
  ...{ personId, blockId, poseId: blockId, takes, by: 'teacher', at: '2026-11-29T10:00:00.000Z' },
})

describe('what is found of the people of a class', () => {
  test('with nobody of whom anything is known: nothing', () => {
    expect(found([aPerson('a'), aPerson('b')])).toEqual([])
  })

  test('what is to be changed or left out and has no form chosen, by block, with how many; chosen, it is found no more', () => {
    const people = [aPerson('a', [has('preg_t2')]), aPerson('b', [has('knee')]), aPerson('c', [has('knee')])]
    const before = found(people)
    expect(before).toContainEqual(['MUST_NOT', 'must', { people: 1 }, 'sphinx'])
    expect(before).toContainEqual(['NEEDS_LOOK', 'look', { people: 3 }, 'wide-knee-fold'])
    const forms = [
      chosen('a', 'sphinx', { kind: 'pose', poseId: 'side-rest' }),
      ...['a', 'b', 'c'].map((id) => chosen(id, 'wide-knee-fold', { kind: 'changed' })),
    ]
    const after = found(people, forms).map(([code, , , blockId]) => [code, blockId])
    expect(after).not.toContainEqual(['MUST_NOT', 'sphinx'])
    expect(after).not.toContainEqual(['NEEDS_LOOK', 'wide-knee-fold'])
    expect(after).toContainEqual(['NEEDS_LOOK', 'sphinx'])
  })

  test('gates that are open, each with how many', () => {
    const people = [aPerson('a', [has('htn_ctrl')]), aPerson('b', [has('heart')]), aPerson('c', [has('preg_t2')])]
    const gates = found(people).filter(([code]) => code === 'GATE_OPEN')
    expect(gates).toEqual([
      ['GATE_OPEN', 'look', { people: 1, gate: 'clear' }, undefined],
      ['GATE_OPEN', 'look', { people: 2, gate: 'ask' }, undefined],
    ])
  })

  test('somebody who can do nothing', () => {
    const told = conditions.filter(({ severeGate }) => severeGate !== 'stop')
    const cleared = { clearance: { by: 'their doctor', on: '2026-11-01' } }
    const everything = aPerson(
      'a',
      told.map(({ id }) => has(id, { severe: 'yes', ...cleared })),
    )
    expect(found([everything])).toContainEqual(['NOTHING_LEFT', 'must', { people: 1 }, 'sphinx'])
    // Who does not practise at all is one finding, and not one a block.
    expect(found([aPerson('a', [has('dvt_suspect')])])).toEqual([
      ['GATE_OPEN', 'look', { people: 1, gate: 'stop' }, undefined],
    ])
  })

  test('who comes half way out early, the first of them', () => {
    const people = [aPerson('a', [], { level: 'regular' }), aPerson('b', [], { level: 'new' })]
    const long = [aHold('sphinx', { hold: { holdS: 400 } })]
    const [ceiling] = found(people, [], long).filter(([code]) => code === 'CEILING_OF_PERSON')
    expect(ceiling).toMatchObject(['CEILING_OF_PERSON', 'tip', { people: 2 }, 'sphinx'])
  })

  test('more than four forms at once', () => {
    const people = ['a', 'b', 'c', 'd', 'e'].map((id) => aPerson(id))
    const poses = ['side-rest', 'side-nest', 'inclined-rest', 'chair-seat']
    const forms = poses.map((poseId, at) => chosen(people[at]?.id ?? '', 'sphinx', { kind: 'pose', poseId }))
    expect(found(people, forms)).toContainEqual(['MIXED_FORMS', 'look', { forms: 5, people: 4 }, 'sphinx'])
    expect(found(people, forms.slice(1)).map(([code]) => code)).not.toContain('MIXED_FORMS')
  })

  test('a breath that is held past somebody’s stage and counted all the same; with a minor there, any at all', () => {
    const held = [aBreath('even-breath', { pattern: { in: 8, full: 8, out: 16, empty: 0 } })]
    const asked = { askedOn: '2026-11-20' }
    const people = [aPerson('a', [], asked), aPerson('b', [], { ...asked, breathStage: 4 })]
    const pastStage = (...given: Parameters<typeof found>) =>
      found(...given).filter(([code]) => code === 'HOLD_PAST_STAGE')
    // Whoever breathes naturally is held to nothing.
    expect(pastStage(people, [], held)).toEqual([])
    const counts = { ...chosen('a', 'breath', { kind: 'asItStands' }), poseId: undefined }
    expect(pastStage(people, [counts], held)).toEqual([
      ['HOLD_PAST_STAGE', 'must', { people: 1, why: 'stage' }, 'breath'],
    ])
    const withMinor = [...people, aPerson('c', [has('minor')], asked)]
    expect(pastStage(withMinor, [], held)).toEqual([['HOLD_PAST_STAGE', 'must', { people: 1, why: 'minor' }, 'breath']])
    expect(pastStage(withMinor, [], [aBreath('even-breath')])).toEqual([])
  })

  test('over a hold a breath counted past their stage is found for all who hold', () => {
    const breathOver = { techniqueId: 'even-breath', pattern: { in: 8, full: 8, out: 8, empty: 0 } }
    const over = [aHold('inclined-rest', { hold: { holdS: 300 }, breathOver })]
    const people = [aPerson('a'), aPerson('b', [], { breathStage: 4 })]
    expect(found(people, [], over)).toContainEqual([
      ...['HOLD_PAST_STAGE', 'must'],
      { people: 1, why: 'stage' },
      'inclined-rest',
    ])
  })

  test('a change from a form of their own that takes longer than the class has; as planned nobody has one', () => {
    const quick = [
      aHold('sphinx', { hold: { holdS: 60 } }),
      aHold('deer', { hold: { holdS: 60 }, times: { changeS: 15 } }),
    ]
    const people = [aPerson('a'), aPerson('b')]
    const long = (forms: FormOfPerson[]) =>
      checkPeople(lookAt(people, forms, quick)).filter(({ code }) => code === 'CHANGE_OF_PERSON')
    expect(long([])).toEqual([])
    const onChair = [chosen('a', 'sphinx', { kind: 'pose', poseId: 'calves-on-a-chair' })]
    expect(long(onChair)).toMatchObject([
      { grade: 'tip', place: { blockId: 'deer' }, facts: { people: 1, mostS: expect.any(Number) as number, hasS: 15 } },
    ])
  })

  test('old answers are asked again, sooner where they change by the week; nothing lapses', () => {
    const asked = (id: string, askedOn: string) => askAgain({ conditions: [has(id, { askedOn })] }, day)
    expect(asked('knee', '2026-09-11')).toEqual([])
    expect(asked('knee', '2026-09-10')).toEqual([{ conditionId: 'knee', askedOn: '2026-09-10', weeks: 12 }])
    expect(asked('preg_t2', '2026-11-05')).toHaveLength(1)
    expect(found([aPerson('a', [has('knee', { askedOn: '2020-01-01' })])])).toContainEqual([
      ...['ASK_AGAIN', 'tip', { people: 1 }],
      undefined,
    ])
    expect(found([aPerson('a', [has('knee', { askedOn: '2020-01-01' })])])).toContainEqual([
      ...['NEEDS_LOOK', 'look', { people: 1 }],
      'sphinx',
    ])
  })
})

test('somebody was asked where it is noted and not too old: told or not', () => {
  const asked = (conditions: Person['conditions'], askedOn?: string) =>
    isAsked({ conditions, ...(askedOn === undefined ? {} : { askedOn }) }, day)
  expect([asked([]), asked([], '2026-11-01'), asked([], '2026-08-01')]).toEqual([false, true, false])
  expect(asked([has('knee')])).toBe(true)
  expect(asked([has('knee', { askedOn: '2026-08-01' })])).toBe(false)
  expect(asked([has('knee', { askedOn: '2026-08-01' })], '2026-11-01')).toBe(false)
})

describe('what lies at the mats', () => {
  const people = [aPerson('a'), aPerson('b'), aPerson('c')]
  const wall = [aHold('legs-up-the-wall', { hold: { holdS: 60 } }), aClosing({ finalRestS: 60 })]
  const rows = (forms: FormOfPerson[]) => {
    const { session, timeline, through } = classOf(people, forms, wall)
    const laid = laidByForm(through, shippedCatalog, session)
    const groups = laidByPeople(
      laidIn(timeline),
      people.map(({ id }) => id),
      laid,
    )
    return {
      laid,
      rows: ledger({ people: groups.map(({ who, laid: theirs }) => ({ count: who.length, laid: theirs })) }),
    }
  }

  test('is what each takes in their own form: the ledger is the sum of it', () => {
    const before = rows([])
    expect(before.laid).toEqual([])
    const onChairs = ['a', 'b'].map((id) => chosen(id, 'legs-up-the-wall', { kind: 'pose', poseId: 'chair-seat' }))
    const { laid, rows: after } = rows(onChairs)
    expect(laid).toMatchObject([{ blockId: 'legs-up-the-wall', who: ['a', 'b'], isAtWall: false }])
    const chairs = (some: typeof after) => some.find(({ kind }) => kind === 'chair')?.atOnce ?? 0
    expect([chairs(before.rows), chairs(after)]).toEqual([0, 2])
  })

  test('is what was kept for somebody, where it was', () => {
    const kept = { ...people[0], setUps: [{ poseId: 'chair-seat', items: [] }] } as Person
    const { session, through } = classOf(
      [kept],
      [chosen('a', 'legs-up-the-wall', { kind: 'pose', poseId: 'chair-seat' })],
      wall,
    )
    expect(laidByForm(through, shippedCatalog, session)).toMatchObject([{ items: [] }])
  })

  test('for a final rest too; what is planned for the one who comes already is not laid besides', () => {
    const items = [{ id: 'a', kind: 'blanket' as const, count: 2, under: 'knees' as const }]
    const kept = { ...people[0], setUps: [{ poseId: 'final-rest-lying', items }] } as Person
    const { session, through } = classOf([kept], [], wall)
    expect(laidByForm(through, shippedCatalog, session)).toMatchObject([{ blockId: 'closing', who: ['a'], items }])
    const alone = { ...shippedCatalog, keptForOne: new Map() }
    expect(laidByForm(through, alone, session)).toEqual([])
  })

  test('stays as planned for who changes the planned pose alone', () => {
    expect(rows([chosen('a', 'legs-up-the-wall', { kind: 'asItStands' })]).laid).toEqual([])
  })
})
