import fc from 'fast-check'
import type { BasePosition } from '#model/common'
import { basePositions } from '#model/common'
import type { Person } from '#model/person'
import type { FormOfPerson } from '#model/planned-class'
import type { Block } from '#model/block'
import { flagsOf, judge } from '#core/cautions'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { givenForms } from '#library/cautions/given-forms'
import { poses } from '#library/poses'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { comersOf } from './comers.ts'
import type { PastClass } from './comers.ts'
import { nearness } from './choices.ts'
import type { Nearness } from './choices.ts'
import { costOf, easiestWay } from './route.ts'
import { isAsPlanned } from './as-planned.ts'
import { whoTakesWhat } from './who-takes-what.ts'

const books = { catalog: shippedCatalog, book: cautionBook }
const has = (id: string, more: Partial<Person['conditions'][number]> = {}): Person['conditions'][number] => ({
  ...{ id, severe: 'no', askedOn: '2026-11-01' },
  ...more,
})
const aPerson = (conditionsTold: Person['conditions'] = [], more: Partial<Person> = {}): Person => ({
  ...{ id: 'p', name: 'Somebody', level: 'regular', conditions: conditionsTold, consents: [] },
  ...more,
})
const planned = {
  ...{ id: 'now', sessionId: 's', placeId: 'x', day: '2026-12-03', people: [{ personId: 'p' }], guests: 0 },
  ...{ forms: [], substitutes: [], setAside: [] },
}
const through = (blocks: Block[], person: Person, forms: FormOfPerson[] = [], past: PastClass[] = []) => {
  const session = aSession(blocks)
  const [one] = whoTakesWhat(
    orThrow(resolveSession(session, shippedCatalog)),
    comersOf(planned, [person], past, session.level),
    forms,
    books,
  )
  if (!one) throw new Error('nobody came')
  return one
}
const cleared = { clearance: { by: 'their doctor', on: '2026-11-01' } }
/** Two led classes they came to, where nothing of this was practised. */
const twoBefore: PastClass[] = ['a', 'b'].map((id) => ({
  ...{ id, people: [{ personId: 'p' }], ledClassId: id, posesLed: ['sphinx'] },
}))

describe('who comes', () => {
  const people = [aPerson(), aPerson([], { id: 'q', name: 'Another', level: 'new' })]

  test('those who are not away by name, then the nameless, the first of them with what was told of some', () => {
    const comers = comersOf(
      {
        ...planned,
        people: [{ personId: 'q' }, { personId: 'p', away: true }, { personId: 'gone' }],
        guests: 3,
        needs: [{ id: 'n', condition: { id: 'knee', severe: 'unsure' }, people: 2 }],
      },
      people,
      [],
      'experienced',
    )
    expect(comers.map(({ id, person }) => [id, person.level, person.conditions.map((one) => one.id)])).toEqual([
      ['q', 'new', []],
      ['guest-1', 'experienced', ['knee']],
      ['guest-2', 'experienced', ['knee']],
      ['guest-3', 'experienced', []],
    ])
  })

  test('of whom the first two recorded classes and what they practised in them are known', () => {
    const twice = twoBefore.map((one) => ({ ...one, people: [...one.people, { personId: 'q', away: true as const }] }))
    const came = (past: PastClass[]) =>
      comersOf({ ...planned, people: [{ personId: 'p' }, { personId: 'q' }] }, people, past, 'regular').map(
        ({ inFirstClasses, practised }) => [inFirstClasses, [...(practised ?? [])]],
      )
    expect(came([])).toEqual([
      [true, []],
      [true, []],
    ])
    expect(came(twice)).toEqual([
      [false, ['sphinx']],
      [true, []],
    ])
    expect(came([...twice.slice(1), { ...planned, ledClassId: 'now' }])[0]).toEqual([true, ['sphinx']])
  })
})

describe('what somebody takes', () => {
  test('with nothing told and no longer than their first ceiling: as planned, with nothing to choose', () => {
    const { takings, way } = through([aTalk(), aHold('deer', { hold: { holdS: 60 } })], aPerson())
    expect(takings).toHaveLength(1)
    expect(takings.every(isAsPlanned)).toBe(true)
    expect(takings[0]).toMatchObject({ choices: [], does: { takes: { kind: 'asItStands' } } })
    expect(way).toEqual({ gettingsUp: 0, placeChanges: 0, away: 0 })
  })

  test('with a knee in deer: the form its row asks for, with the beginner figure whole, even on both sides', () => {
    const [deer] = through([aHold('deer', { hold: { holdS: 210 } })], aPerson([has('knee')])).takings
    expect(deer?.suggested?.takes).toEqual({ kind: 'variant', variantId: 'front-leg-long' })
    expect(deer?.shorter).toEqual([
      { side: 'left', heldS: 120, restsS: 90 },
      { side: 'right', heldS: 120, restsS: 90 },
    ])
    const standing = deer?.choices.find(({ takes }) => takes.kind === 'asItStands')
    expect(standing?.capS).toBe(60)
  })

  test('as it stands half counts in their first two classes, and no longer', () => {
    const [deer] = through([aHold('deer', { hold: { holdS: 210 } })], aPerson([has('knee')]), [], twoBefore).takings
    expect(deer?.choices.find(({ takes }) => takes.kind === 'asItStands')?.capS).toBe(120)
  })

  test('where no form of the shelf is what the row asks for: changed as the row says', () => {
    const [fold] = through([aHold('wide-knee-fold', { hold: { holdS: 90 } })], aPerson([has('knee')])).takings
    expect(fold?.suggested).toMatchObject({ takes: { kind: 'changed' }, near: 'asTheRowSays' })
  })

  test('where it is left out: what the row names, and never the pose itself', () => {
    const [sphinx] = through([aHold('sphinx')], aPerson([has('preg_t2', cleared)])).takings
    expect(sphinx?.suggested).toMatchObject({ takes: { kind: 'pose', poseId: 'side-rest' }, near: 'named' })
    expect(sphinx?.choices.map(({ takes }) => takes.kind)).not.toContain('asItStands')
  })

  test('late in pregnancy nobody is laid flat on the back in place of another pose, with clearance or without', () => {
    for (const knee of [[], [has('knee', { severe: 'yes' })]])
      for (const planned of ['calves-on-a-chair', 'legs-up-the-wall', 'figure-four-lying', 'sphinx']) {
        const { does } = through([aHold(planned)], aPerson([has('preg_t3'), ...knee])).takings[0] ?? {}
        const { figure, id = '' } = does?.pose ?? {}
        const isFlat =
          figure?.kind === 'lying' && (figure.trunkFromDeg ?? 0) < 30 && does?.variant?.id !== 'on-the-side'
        expect([planned, id, isFlat && does?.takes.kind === 'pose']).toEqual([planned, id, false])
      }
  })

  test('an avoided pose stands among the choices only with the consent for it noted', () => {
    const person = aPerson([has('preg_t2', cleared)], {
      consents: [
        { for: 'prone_bb', by: 'her midwife', on: '2026-11-01' },
        { for: 'prone', by: 'her midwife', on: '2026-11-01' },
      ],
    })
    const [sphinx] = through([aHold('sphinx')], person).takings
    expect(sphinx?.choices.map(({ takes }) => takes.kind)).toContain('asItStands')
    expect(sphinx?.suggested?.takes.kind).toBe('changed')
  })

  test('until clearance: only quiet rests, an inclined one as it is and a seat on a chair', () => {
    const { takings } = through([aHold('deer'), aHold('inclined-rest')], aPerson([has('heart')]))
    const poseIds = takings[0]?.choices.map(({ takes }) => (takes.kind === 'pose' ? takes.poseId : takes.kind))
    expect(poseIds).toEqual(expect.arrayContaining(['inclined-rest', 'side-rest', 'chair-seat']))
    expect(poseIds).not.toContain('asItStands')
    expect(takings[0]?.suggested?.near).not.toBe('inPart')
  })

  test('not today: nothing at all', () => {
    const session = aSession([aHold('deer'), aClosing()])
    const marked = { ...planned, people: [{ personId: 'p', notToday: ['fever'] }] }
    const [one] = whoTakesWhat(
      orThrow(resolveSession(session, shippedCatalog)),
      comersOf(marked, [aPerson()], [], 'regular'),
      [],
      books,
    )
    expect(one?.gated).toEqual({ gate: 'stop', by: ['fever'] })
    expect(one?.takings.map(({ does, choices }) => [does, choices])).toEqual([
      [undefined, []],
      [undefined, []],
    ])
  })

  test('a new ache: quiet forms alone, whatever the rows of the nearest condition leave', () => {
    const { takings } = through(
      [aHold('long-leg-fold'), aHold('belly-rest')],
      aPerson([has('wrist', { newAche: true })]),
    )
    expect(takings[0]?.planned.verdict).toMatchObject({ grade: 'avoid', tooFelt: true })
    expect(takings[0]?.choices.every(({ pose }) => (pose?.sensation.to ?? 0) <= 2)).toBe(true)
    expect(takings[1]?.planned.verdict.tooFelt).toBe(false)
  })

  test('in breath work: natural breath where the counts are left out, another seat where the seat is', () => {
    const counted = aBreath('even-breath', { amount: { sets: 2, roundsPerSet: 10 } })
    const panic = through([counted], aPerson([has('preg_t2', cleared)])).takings[0]
    expect(panic?.choices.map(({ takes }) => takes.kind)).toContain('natural')
    const knee = through([counted], aPerson([has('knee', { severe: 'yes', ...cleared })])).takings[0]
    const onChair = knee?.choices.find(({ takes }) => takes.kind === 'pose' && takes.poseId === 'chair-seat')
    expect(onChair?.near).toBe('given')
  })

  test('in breath work past their stage: natural breath, until a higher stage is noted', () => {
    const held = [aBreath('even-breath', { pattern: { in: 8, full: 8, out: 16, empty: 0 } })]
    const atStage = (breathStage?: Person['breathStage']) =>
      through(held, aPerson([], breathStage === undefined ? {} : { breathStage }), [], twoBefore).takings[0]
    expect(atStage()?.does?.takes).toEqual({ kind: 'natural' })
    expect(atStage(3)?.does?.takes).toEqual({ kind: 'natural' })
    const fourth = atStage(4)
    expect(fourth?.does?.takes).toEqual({ kind: 'asItStands' })
    expect(fourth && isAsPlanned(fourth)).toBe(true)
    // Taken as it stands all the same, it is not simply done as planned.
    const chosen: FormOfPerson = {
      ...{ personId: 'p', blockId: 'breath', takes: { kind: 'asItStands' }, by: 'teacher' },
      at: '2026-11-29T10:00:00.000Z',
    }
    const along = through(held, aPerson(), [chosen], twoBefore).takings[0]
    expect(along?.does?.pastStage).toBe(true)
    expect(along && isAsPlanned(along)).toBe(false)
  })

  test('what they like to take comes before anything else, unless it is to be left out', () => {
    const likes = [{ poseId: 'deer', takes: { kind: 'pose' as const, poseId: 'figure-four-lying' } }]
    const holds = [aHold('deer', { hold: { holdS: 60 } })]
    expect(through(holds, aPerson([], { likes })).takings[0]?.suggested).toMatchObject({ near: 'liked' })
    const avoiding = through(holds, aPerson([has('hip_replacement', { severe: 'yes', ...cleared })], { likes }))
    expect(avoiding.takings[0]?.suggested?.near).not.toBe('liked')
  })

  test('new to a pose: half of their own ceiling, for those who are new', () => {
    const [deer] = through([aHold('deer', { hold: { holdS: 120 } })], aPerson([], { level: 'new' })).takings
    expect(deer).toMatchObject({ isNew: true, shorter: [{ heldS: 60 }, { heldS: 60 }] })
    const known = twoBefore.map((one) => ({ ...one, posesLed: ['deer'] }))
    const again = through([aHold('deer', { hold: { holdS: 120 } })], aPerson([], { level: 'new' }), [], known)
    expect(again.takings[0]).toMatchObject({ isNew: false, shorter: [] })
  })
})

describe('what was chosen', () => {
  const chosen = (takes: FormOfPerson['takes'], more: Partial<FormOfPerson> = {}): FormOfPerson => ({
    ...{ personId: 'p', blockId: 'deer', poseId: 'deer', takes, by: 'teacher', at: '2026-11-29T10:00:00.000Z' },
    ...more,
  })
  const rest = chosen({ kind: 'pose', poseId: 'side-rest' }, { why: 'tired today' })

  test('stands before what is suggested, with who and why', () => {
    const [deer] = through([aHold('deer')], aPerson([has('knee')]), [rest]).takings
    expect(deer?.does?.takes).toEqual({ kind: 'pose', poseId: 'side-rest' })
    expect(deer?.chosen).toMatchObject({ by: 'teacher', why: 'tired today' })
    expect(deer?.suggested?.takes).toEqual({ kind: 'variant', variantId: 'front-leg-long' })
    expect(deer?.choices).toContain(deer?.suggested)
  })

  test('lapses with its block, with another pose in it, and when it is to be left out', () => {
    const isChosen = (blocks: Block[], person: Person, form: FormOfPerson) =>
      through(blocks, person, [form]).takings.some(({ chosen: one }) => one !== undefined)
    const knee = aPerson([has('knee')])
    expect(isChosen([aHold('sphinx')], knee, rest)).toBe(false)
    expect(isChosen([aHold('sphinx', { id: 'deer' })], knee, rest)).toBe(false)
    expect(isChosen([aHold('deer')], knee, chosen({ kind: 'variant', variantId: 'gone' }))).toBe(false)
    const asItStands = chosen({ kind: 'asItStands' })
    expect(isChosen([aHold('deer')], knee, asItStands)).toBe(true)
    expect(isChosen([aHold('deer')], aPerson([has('knee', { severe: 'yes', ...cleared })]), asItStands)).toBe(false)
  })
})

describe('the way through a class', () => {
  const step = fc.record({
    near: fc.constantFrom<Nearness>(...nearness),
    base: fc.record({
      enter: fc.constantFrom<BasePosition>(...basePositions),
      leave: fc.constantFrom<BasePosition>(...basePositions),
    }),
  })
  const least = (ways: ReturnType<typeof costOf>[]) =>
    ways
      .map(({ gettingsUp, placeChanges, away }) => [gettingsUp, placeChanges, away])
      .sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0) || (a[2] ?? 0) - (b[2] ?? 0))[0]

  test('is as easy as the easiest of all there are', () => {
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 3 }), { maxLength: 5 }), (blocks) => {
        const all = blocks.reduce<(typeof blocks)[number][]>(
          (ways, choices) =>
            choices.length === 0 ? ways : ways.flatMap((way) => choices.map((choice) => [...way, choice])),
          [[]],
        )
        expect(least([costOf(easiestWay(blocks))])).toEqual(least(all.map((way) => costOf(way))))
      }),
    )
  })

  test('keeps somebody on the mat rather than up to a chair and down again', () => {
    const { takings, way } = through(
      [aHold('side-rest'), aHold('sphinx'), aHold('side-nest'), aHold('knees-across-twist')],
      aPerson([has('preg_t3', cleared), has('si_pain', { severe: 'yes', ...cleared })]),
    )
    expect(way).toMatchObject({ gettingsUp: 0, placeChanges: 0 })
    expect(takings.every(({ does }) => does && does.base.enter !== 'onChair')).toBe(true)
  })
})

test('one nest is offered where they would lie in several, and never with more gettings-up', () => {
  const blocks = [aHold('sphinx'), aHold('seated-twist'), aHold('straddle-fold'), aHold('leg-across-lying')]
  const person = aPerson([has('preg_t3', cleared)])
  const takes = (blockId: string, poseId: string): FormOfPerson => ({
    ...{ personId: 'p', blockId, poseId: blockId, takes: { kind: 'pose', poseId }, by: 'teacher' },
    at: '2026-11-29T10:00:00.000Z',
  })
  expect(through(blocks, person, [takes('sphinx', 'side-rest'), takes('leg-across-lying', 'side-rest')]).nests).toEqual(
    [],
  )
  const { nests, way } = through(blocks, person, [
    takes('sphinx', 'side-rest'),
    takes('seated-twist', 'chair-seat'),
    takes('leg-across-lying', 'side-rest'),
  ])
  expect(nests.length).toBeGreaterThan(0)
  for (const nest of nests) {
    expect(nest.blockIds.length).toBeGreaterThanOrEqual(2)
    expect(nest.gettingsUp).toBeLessThanOrEqual(way.gettingsUp)
  }
})

describe('over whatever is told and planned', () => {
  const told = fc.uniqueArray(
    fc.record({
      id: fc.constantFrom(...conditions.map(({ id }) => id)),
      severe: fc.constantFrom('no' as const, 'yes' as const, 'unsure' as const),
      isCleared: fc.boolean(),
    }),
    { maxLength: 5, selector: ({ id }) => id },
  )
  const conditionsOf = (entries: { id: string; severe: 'no' | 'yes' | 'unsure'; isCleared: boolean }[]) =>
    entries.map(({ id, severe, isCleared }) => has(id, { severe, ...(isCleared ? cleared : {}) }))
  const holds = fc.uniqueArray(fc.constantFrom(...poses.map(({ id }) => id)), { minLength: 1, maxLength: 6 })
  const blocksOf = (ids: string[]) => [
    ...ids.map((id) => aHold(id)),
    aBreath('even-breath', { amount: { sets: 2, roundsPerSet: 10 } }),
    aClosing(),
  ]

  test('nothing that is offered or done is to be left out, and each side of it is held alike', () => {
    fc.assert(
      fc.property(told, holds, (entries, ids) => {
        const person = aPerson(conditionsOf(entries))
        const flags = flagsOf(person, cautionBook)
        for (const { choices, does, shorter } of through(blocksOf(ids), person).takings) {
          for (const { pose, verdict } of [...choices, ...(does ? [does] : [])]) {
            expect(verdict.grade).not.toBe('avoid')
            // By the families alone, whatever the form softens: nothing stricter is hidden behind it.
            if (pose) expect(judge({ families: pose.families }, flags, cautionBook).behindGate).toBe(false)
          }
          expect(new Set(shorter.map(({ heldS }) => heldS)).size).toBeLessThanOrEqual(1)
        }
      }),
      { numRuns: 60 },
    )
  })

  test('one more condition never gives longer holds nor takes a caution away', () => {
    fc.assert(
      fc.property(told, holds, (entries, ids) => {
        const [more, fewer] = [entries, entries.slice(1)].map((some) =>
          through(blocksOf(ids), aPerson(conditionsOf(some))),
        )
        const grades = ['avoid', 'modify', 'care', undefined]
        more?.takings.forEach(({ planned: now }, at) => {
          const before = fewer?.takings[at]?.planned
          expect(grades.indexOf(now.verdict.grade)).toBeLessThanOrEqual(grades.indexOf(before?.verdict.grade))
          expect(now.capS ?? 0).toBeLessThanOrEqual(before?.capS ?? 0)
        })
      }),
      { numRuns: 60 },
    )
  })
})

test('every form that a row is said to ask for is on the shelf, and every row is one that asks for a change', () => {
  const rules = new Map(cautionBook.rules.map((rule) => [rule.id, rule]))
  for (const [ruleId, said] of Object.entries(givenForms)) {
    expect([ruleId, rules.get(ruleId)?.grade]).toEqual([ruleId, 'modify'])
    for (const ref of said) {
      const [poseId, variantId] = ref.split('/')
      const pose = poses.find(({ id }) => id === poseId)
      expect([ref, pose !== undefined]).toEqual([ref, true])
      if (variantId !== undefined)
        expect([ref, pose?.variants.some(({ id, grade }) => id === variantId && grade !== 'stronger')]).toEqual([
          ref,
          true,
        ])
    }
  }
})
