import fc from 'fast-check'
import type { Person } from '#model/person'
import { orThrow } from '#core/result'
import { listedSetUp, resolveSession, withOwn } from '#core/session'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { notToday } from '#library/cautions/not-today'
import { families } from '#model/family'
import type { Family } from '#model/family'
import { notTodaySchema } from '#model/caution'
import type { Pose } from '#model/pose'
import { poses } from '#library/poses'
import { shippedCatalog } from '#library/shipped'
import { techniques } from '#library/techniques'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import {
  alternativesTo,
  bodyFormOf,
  breathNeeds,
  cautionProps,
  flagsOf,
  holdCapS,
  judge,
  practisedIn,
  rollSide,
  screen,
} from './index.ts'
import type { Flag, Practised } from './index.ts'
import { ownPoseFrom } from '#testing/own-poses'

const flag = (id: string, more: Partial<Flag> = {}): Flag => ({ id, severe: false, cleared: true, ...more })
const aPerson = (id: string, conditionIds: Person['conditions'] = [], more: Partial<Person> = {}): Person => ({
  id,
  name: 'Somebody',
  level: 'regular',
  conditions: conditionIds,
  consents: [],
  ...more,
})
const has = (id: string, more: Partial<Person['conditions'][number]> = {}): Person['conditions'][number] => ({
  id,
  severe: 'no',
  askedOn: '2026-10-01',
  clearance: { by: 'their doctor', on: '2026-10-01' },
  ...more,
})
const books = { catalog: shippedCatalog, book: cautionBook }

test('"not sure" counts as the severe form, and an unstable neck always does', () => {
  const person = aPerson('a', [has('knee', { severe: 'unsure' }), has('ankle'), has('neck_unstable')])
  expect(flagsOf(person, cautionBook).map(({ severe }) => severe)).toEqual([true, false, true])
  expect(judge({ families: ['heel_sit'] }, flagsOf(person, cautionBook), cautionBook).grade).toBe('avoid')
})

test('nothing listed is no grade, and never more than that', () => {
  expect(judge({ families: ['seat'] }, [], cautionBook)).toMatchObject({
    grade: undefined,
    reasons: [],
    behindGate: false,
  })
})

test('the strictest of all rows wins and every reason is shown, worst first', () => {
  const verdict = judge(
    { families: ['child'] },
    [flag('knee', { severe: true }), flag('reflux'), flag('elder')],
    cautionBook,
  )
  expect(verdict.grade).toBe('avoid')
  expect(verdict.reasons.map(({ rule, grade }) => [rule.id, grade])).toEqual([
    ['child.avoid.1', 'avoid'],
    ['child.modify.2', 'modify'],
    ['child.modify.3', 'modify'],
    ['every.care.1', 'care'],
  ])
})

test('until clearance only quiet rests stand open, in their gate’s form, and their own rows still hold', () => {
  const heart = [flag('heart', { cleared: false })]
  const at = (practised: Practised) => judge(practised, heart, cautionBook)
  expect(at({ families: ['child'] })).toMatchObject({ grade: 'avoid', behindGate: true })
  expect(at({ families: ['sup_rest'] })).toMatchObject({ grade: 'modify', behindGate: false, gateForm: 'inclined' })
  expect(at({ families: ['seat'] })).toMatchObject({ grade: 'modify', gateForm: 'on a chair' })
  expect(at({ families: ['side_rest'] })).toMatchObject({ grade: 'care', behindGate: false })
  expect(at({ families: ['seat'], breaths: ['br_natural'] }).behindGate).toBe(false)
  expect(at({ families: ['seat'], breaths: ['br_equal'] }).behindGate).toBe(true)
  expect(judge({ families: ['child'] }, [flag('heart')], cautionBook)).toMatchObject({
    behindGate: false,
    grade: 'modify',
  })
})

test('a stop stands whatever was cleared, and offers nothing', () => {
  const flags = [flag('dvt_suspect')]
  const verdict = judge({ families: ['side_rest'] }, flags, cautionBook)
  expect(verdict).toMatchObject({ grade: 'avoid', behindGate: true })
  expect(alternativesTo(verdict, { families: ['side_rest'] }, flags, cautionBook)).toEqual({
    offered: [],
    askProfessional: true,
  })
})

test('a noted consent softens avoid to modify, and a row that needs one is avoid without it', () => {
  const pregnant = [flag('preg_t3')]
  const legsUp: Practised = { families: ['legs_up_flat'] }
  expect(judge(legsUp, pregnant, cautionBook).grade).toBe('avoid')
  const allowed = judge(legsUp, pregnant, cautionBook, new Set(['legs_up_flat']))
  expect(allowed.grade).toBe('modify')
  expect(allowed.reasons.filter(({ consent }) => consent === 'noted').map(({ rule }) => rule.id)).toEqual([
    'legs_up_flat.avoid.1',
  ])
  const weighted = judge(
    { families: ['legs_up_flat'], props: ['prop_weight'] },
    pregnant,
    cautionBook,
    new Set(['legs_up_flat']),
  )
  // What is said of the weight is said of the weight: it may be left out.
  expect(weighted.grade).toBe('modify')
  expect(weighted.props[0]).toMatchObject({ grade: 'avoid', rule: { id: 'prop_weight.avoid.1' } })
  const operated = judge({ families: ['seat'] }, [flag('surg_other')], cautionBook)
  expect(operated).toMatchObject({ grade: 'avoid' })
  expect(operated.reasons[0]).toMatchObject({ consent: 'missing', rule: { id: 'every.modify.1' } })
})

test('a consent for one practice softens nothing that is said of another', () => {
  const pressure = [flag('htn_unctrl')]
  const seat: Practised = { families: ['seat'], breaths: ['br_long_exhale', 'br_hold_in'] }
  const judged = (practised: Practised, flags: readonly Flag[], ...consents: string[]) =>
    judge(practised, flags, cautionBook, new Set(consents)).grade
  expect(judged(seat, pressure)).toBe('avoid')
  expect(judged(seat, pressure, 'br_long_exhale')).toBe('avoid')
  expect(judged(seat, pressure, 'br_hold_in')).toBe('modify')
  const hanging: Practised = { families: ['head_low', 'standing'] }
  expect(judged(hanging, [flag('heart')], 'standing')).toBe('avoid')
  expect(judged(hanging, [flag('heart')], 'head_low')).toBe('modify')
})

test('props carry cautions of their own', () => {
  expect(cautionProps(['eyePillow', 'blanket', 'sandbag', 'strap', 'eyePillow'])).toEqual([
    'prop_eye',
    'prop_weight',
    'prop_strap',
  ])
  const judged = judge({ families: ['sup_rest'], props: ['prop_eye'] }, [flag('eye_pressure')], cautionBook)
  expect(judged.props.map(({ rule, grade }) => [rule.id, grade])).toEqual([['prop_eye.avoid.1', 'avoid']])
  expect(judged.grade).toBe('modify')
  expect(judged.reasons.some(({ rule }) => rule.of.includes('prop_eye'))).toBe(false)
})

test('what is named instead is checked too: the first that holds for every condition is offered', () => {
  const flags = [flag('knee', { severe: true }), flag('shoulder')]
  const practised: Practised = { families: ['child'] }
  const { offered } = alternativesTo(judge(practised, flags, cautionBook), practised, flags, cautionBook)
  expect(offered.map(({ family }) => family)).toEqual(['side_rest', 'seat'])
  expect(offered[0]?.verdict.grade).toBe('modify')
})

test('where nothing named is left, rest on the side or a seat is; where those fall too, a professional is asked', () => {
  const flags = [flag('surg_other')]
  const practised: Practised = { families: ['lunge'] }
  expect(alternativesTo(judge(practised, flags, cautionBook), practised, flags, cautionBook)).toEqual({
    offered: [],
    askProfessional: true,
  })
})

const someFlags = fc.uniqueArray(
  fc.record({ id: fc.constantFrom(...conditions.map(({ id }) => id)), severe: fc.boolean(), cleared: fc.boolean() }),
  { selector: ({ id }) => id, maxLength: 6 },
)
const order = ['avoid', 'modify', 'care', undefined]

test('another condition never softens a verdict, no alternative offered is to be avoided, and gates stay shut', () => {
  fc.assert(
    fc.property(someFlags, someFlags, fc.constantFrom(...families), (some, more, family) => {
      const practised: Practised = { families: [family] }
      const less = judge(practised, some, cautionBook)
      const all = judge(
        practised,
        [...some, ...more.filter(({ id }) => !some.some((flagged) => flagged.id === id))],
        cautionBook,
      )
      if (order.indexOf(all.grade) > order.indexOf(less.grade)) return false
      const { offered, askProfessional } = alternativesTo(less, practised, some, cautionBook)
      const good = offered.every(
        (one) => one.verdict.grade !== 'avoid' && !one.verdict.behindGate && one.family !== family,
      )
      return (
        good &&
        !(askProfessional && offered.length > 0) &&
        (less.grade !== 'avoid' || askProfessional || offered.length > 0)
      )
    }),
  )
})

const ceiling = (level: 'new' | 'regular' | 'experienced') => ({ new: 120, regular: 300, experienced: 600 })[level]

test.each<[string, Practised, Flag[], boolean, number]>([
  ['no flag: the ceiling of the level', { families: ['side_sit'] }, [], false, 300],
  ['the first time: half of it', { families: ['side_sit'] }, [], true, 150],
  ['care: the beginner figure', { families: ['side_sit'] }, [flag('hypotension')], false, 120],
  ['modify: half the beginner figure', { families: ['side_sit'] }, [flag('knee')], false, 60],
  ['modify with a shorter time of its own: that', { families: ['lunge'] }, [flag('elder')], false, 30],
  ['avoid: not at all', { families: ['side_sit'] }, [flag('knee', { severe: true })], false, 0],
  ['under twelve: a minute at most', { families: ['side_rest'] }, [flag('minor', { severe: true })], false, 60],
])('first hold, %s', (_, practised, flags, firstTime, expectedS) => {
  expect(holdCapS(ceiling, 'regular', judge(practised, flags, cautionBook), flags, firstTime)).toBe(expectedS)
})

test.each<[Flag[], 'left' | 'right' | 'either', string[]]>([
  [[], 'right', []],
  [[flag('preg_t3')], 'left', ['preg_t3']],
  [[flag('shoulder', { side: 'right' })], 'left', ['shoulder']],
  [[flag('vertigo', { side: 'left' })], 'right', ['vertigo']],
  [[flag('reflux'), flag('hip_replacement', { side: 'left' })], 'either', ['reflux', 'hip_replacement']],
  [[flag('shoulder', { side: 'both' })], 'right', []],
])('the roll follows a person’s reasons: %j', (flags, side, by) => {
  expect(rollSide(flags, 'right')).toEqual({ side, by })
})

test('a technique’s needs: nose and readiness where no rule speaks, food by its strength, diabetes first', () => {
  const technique = (id: string) => {
    const found = techniques.find((one) => one.id === id)
    if (!found) throw new Error(`no technique ${id}`)
    return found
  }
  const nostrils = technique('nostrils-in-turn')
  expect(breathNeeds(nostrils, { nose: 'one side' }, [], false)).toEqual({ grade: 'avoid', unmet: ['nose'] })
  expect(breathNeeds(nostrils, { nose: 'one side' }, [], true)).toEqual({ grade: undefined, unmet: ['nose'] })
  expect(breathNeeds(nostrils, { easy: new Set(['even-breath']), nose: 'clear' }, [], false).grade).toBeUndefined()
  expect(breathNeeds(technique('long-exhale'), { easy: new Set() }, [], false)).toEqual({
    grade: 'avoid',
    unmet: ['readiness'],
  })
  expect(breathNeeds(nostrils, { hoursSinceMeal: 1 }, [], false)).toEqual({ grade: 'care', unmet: ['food'] })
  expect(breathNeeds(technique('pause-full'), { hoursSinceMeal: 3 }, [], false).grade).toBe('avoid')
  expect(breathNeeds(nostrils, { hoursSinceMeal: 1 }, [flag('diabetes')], false)).toEqual({
    grade: undefined,
    unmet: [],
  })
  expect(breathNeeds(technique('pause-full'), { hoursSinceMeal: 9 }, [flag('diabetes')], false).grade).toBe('avoid')
})

test('a session is screened for each person: what to avoid, what instead, how long at first, how to roll', () => {
  const session = aSession([
    aTalk(),
    aHold('deer', { hold: { holdS: 210 } }),
    aHold('heel-sit', { hold: { holdS: 60 } }),
    aClosing({ finalRestS: 480 }),
  ])
  const people = [
    aPerson('fine'),
    aPerson('knee', [has('knee', { severe: 'yes' })]),
    aPerson('frail', [has('elder')], { level: 'new' }),
  ]
  const { entries, people: notes } = orThrow(screen(session, people, books))
  expect(entries.filter(({ personId }) => personId === 'fine')).toEqual([])
  const deer = entries.find(({ personId, blockId }) => personId === 'knee' && blockId === 'deer')
  expect(deer).toMatchObject({ verdict: { grade: 'avoid' }, capS: 0, heldS: 210, blockIndex: 1 })
  expect(deer?.alternatives.offered.map(({ family }) => family)).toEqual(['hip_supine', 'seat'])
  expect(entries.find(({ personId, blockId }) => personId === 'frail' && blockId === 'closing')).toMatchObject({
    verdict: { grade: 'care' },
    heldS: 480,
  })
  expect(notes.map(({ assume }) => assume.length)).toEqual([0, 0, 3])
  expect(notes.every(({ roll }) => roll.side === 'right')).toBe(true)
})

test('a new person is told when a hold is past their own ceiling, though nothing else is listed', () => {
  const session = aSession([aHold('deer', { hold: { holdS: 240 } })])
  const { entries } = orThrow(screen(session, [aPerson('regular'), aPerson('first', [], { level: 'new' })], books))
  expect(entries.map(({ personId, capS, heldS }) => [personId, capS, heldS])).toEqual([['first', 120, 240]])
})

test('breath work carries its position’s rules, and counts with a retention those of the retention', () => {
  const session = aSession([aBreath('even-breath', { id: 'even', pattern: { in: 8, full: 4, out: 8, empty: 0 } })])
  const { entries } = orThrow(screen(session, [aPerson('a', [has('htn_ctrl')])], books))
  expect(entries[0]?.verdict.reasons.map(({ rule }) => rule.of[0])).toEqual(['@strong', '*'])
  expect(entries[0]?.verdict.grade).toBe('avoid')
})

describe('what ends or gates a day', () => {
  const gate = (person: Person) => judge({ families: ['side_rest'] }, flagsOf(person, cautionBook), cautionBook).gated

  test('"not sure" is asked about, and stops where an emergency sign is named', () => {
    expect(gate(aPerson('a', [has('knee', { severe: 'unsure', clearance: undefined })]))).toMatchObject({ gate: 'ask' })
    expect(gate(aPerson('a', [has('preg_t2', { severe: 'unsure' })]))).toMatchObject({ gate: 'stop' })
  })

  test('a blood pressure that is not known keeps the rules of a high one, and is asked about', () => {
    const unknown = aPerson('a', [has('htn_unctrl', { severe: 'unsure', clearance: undefined })])
    expect(flagsOf(unknown, cautionBook)).toMatchObject([{ severe: false, unsure: true }])
    expect(gate(unknown)).toEqual({ gate: 'ask', by: ['htn_unctrl'] })
    const hanging = judge({ families: ['head_low'] }, flagsOf(unknown, cautionBook), cautionBook)
    expect(hanging).toMatchObject({ grade: 'avoid', behindGate: false })
  })

  test('a mark of the day stops all practice whatever was cleared, and is no condition', () => {
    const verdict = judge({ families: ['side_rest'] }, [flag('knee')], cautionBook, new Set(), ['fever'])
    expect(verdict).toMatchObject({ grade: 'avoid', behindGate: true, gated: { gate: 'stop', by: ['fever'] } })
    const session = aSession([aHold('side-rest')])
    const marked = orThrow(screen(session, [aPerson('a')], books, new Map([['a', ['low_sugar']]])))
    expect(marked.entries).toMatchObject([{ verdict: { gated: { gate: 'stop' } }, alternatives: { offered: [] } }])
    expect(notToday.map((mark) => notTodaySchema.parse(mark))).toHaveLength(6)
  })
})

describe('the form of a shape', () => {
  const carried = { carried: true, hinged: false }
  const hinged = { carried: false, hinged: true }

  test('a meal shortly before changes a carried form and leaves any other out', () => {
    const ate = (form?: typeof carried) =>
      judge({ families: ['fold_seated'], ...(form ? { form } : {}) }, [flag('ate_recently')], cautionBook).grade
    expect([ate(), ate(carried), ate(hinged)]).toEqual(['avoid', 'modify', 'avoid'])
  })

  test('low bone density changes a hinged fold, its severe form leaves it out', () => {
    const bone = (severe: boolean, form: typeof hinged) =>
      judge({ families: ['fold_seated'], form }, [flag('osteoporosis', { severe })], cautionBook).grade
    expect([bone(false, carried), bone(false, hinged), bone(true, hinged)]).toEqual(['avoid', 'modify', 'avoid'])
  })

  test('a row that speaks of another condition too stays as it is', () => {
    const both = [flag('ate_recently'), flag('disc')]
    expect(judge({ families: ['fold_seated'], form: carried }, both, cautionBook).grade).toBe('avoid')
  })

  test('it is carried with little to feel and the head not below the heart', () => {
    const of = (families: Pose['families'], to: number) => bodyFormOf({ families, sensation: { from: 0, to } }).carried
    expect([of(['child'], 2), of(['child'], 3), of(['head_low'], 2), of(['pelvis_raised'], 1)]).toEqual([
      true,
      false,
      false,
      false,
    ])
  })
})

test('a time that is only said is no cap; a cap is a field', () => {
  const cap = (family: Family, id: string, severe = false) => {
    const flags = [flag(id, { severe })]
    return holdCapS(() => 600, 'regular', judge({ families: [family] }, flags, cautionBook), flags)
  }
  // "swap by 1 min" means the cheek, "under 12: one minute" another row's children.
  expect([cap('prone', 'neck'), cap('side_rest', 'elder', true), cap('side_rest', 'minor')]).toEqual([300, 300, 300])
  expect([cap('side_rest', 'minor', true), cap('legs_up_flat', 'sciatica')]).toEqual([60, 300])
  expect([cap('recl_kneel', 'ankle'), cap('lunge', 'elder'), cap('child', 'sciatica')]).toEqual([60, 30, 120])
})

describe('what to do in place of a pose', () => {
  const screened = (poseId: string, conditions: Person['conditions']) =>
    orThrow(screen(aSession([aHold(poseId)]), [aPerson('a', conditions)], books)).entries[0]

  test('is its own milder form where that holds, then one of the same intent', () => {
    const hanging = screened('hanging-fold', [has('eye_pressure')])
    expect(hanging?.verdict.grade).toBe('avoid')
    expect(hanging?.instead[0]).toMatchObject({ poseId: 'hanging-fold', variantId: 'on-a-chair', isSameIntent: true })
    expect(hanging?.instead.every(({ verdict }) => verdict.grade !== 'avoid')).toBe(true)
  })

  test('is anything of the families that are offered only where nothing of the same intent is left', () => {
    const lunge = screened('low-lunge', [has('knee', { severe: 'yes' }), has('hip_groin', { severe: 'yes' })])
    const kinds = new Set(lunge?.instead.map(({ isSameIntent }) => isSameIntent))
    expect(kinds.size).toBeLessThanOrEqual(1)
    expect(lunge?.instead.every(({ verdict }) => verdict.grade !== 'avoid')).toBe(true)
  })

  test('is nothing where practice ends for the day', () => {
    expect(screened('hanging-fold', [has('dvt_suspect')])?.instead).toEqual([])
  })
})

test('the nearest of what is named instead is told first', () => {
  const verdict = judge({ families: ['leg_raised'] }, [flag('hamstring', { severe: true })], cautionBook)
  const { offered } = alternativesTo(verdict, { families: ['leg_raised'] }, [flag('hamstring')], cautionBook)
  expect(offered[0]?.family).toBe('hip_supine')
})

test('the props that count are those of the set-up in use', () => {
  const session = aSession([aHold('reclined-bound-angle', { setUpId: 'reclined-bound-angle-full' })])
  const [entry] = orThrow(screen(session, [aPerson('a', [has('eye_pressure')])], books)).entries
  expect(entry?.verdict.props.map(({ rule }) => rule.id)).toContain('prop_eye.avoid.1')
  const without = aSession([aHold('reclined-bound-angle', { setUpId: 'reclined-bound-angle-few' })])
  const [plain] = orThrow(screen(without, [aPerson('a', [has('eye_pressure')])], books)).entries
  expect(plain?.verdict.props ?? []).toEqual([])
})

test('a variant is screened by its own families, and the school’s answer by what it makes of the pose', () => {
  const grades = (session: ReturnType<typeof aSession>) =>
    orThrow(screen(session, [aPerson('a', [has('htn_ctrl')])], books)).entries.map(({ verdict }) => verdict.grade)
  expect(grades(aSession([aHold('legs-up-the-wall')]))).toEqual(['care'])
  expect(grades(aSession([aHold('legs-up-the-wall', { variantId: 'on-blankets' })]))).toEqual(['modify'])
  expect(grades(aSession([aHold('legs-up-the-wall')], { answers: { wallDistance: 'overBolster' } }))).toEqual([
    'modify',
  ])
})

test('every pose of the shelf can be screened for every condition', () => {
  const session = aSession(poses.map(({ id }) => aHold(id)))
  const people = conditions.map(({ id }) => aPerson(id, [has(id)]))
  const { entries } = orThrow(screen(session, people, books))
  expect(
    entries.every(
      ({ verdict, alternatives }) =>
        verdict.grade !== 'avoid' || alternatives.offered.length > 0 || alternatives.askProfessional,
    ),
  ).toBe(true)
})

test('props that a teacher typed for a pose of their own are asked about, though no set-up lays them', () => {
  const catalog = withOwn(shippedCatalog, [
    { kind: 'pose', version: 1, document: ownPoseFrom('deer', { id: 'mine', copiedFrom: 'deer' }) },
    { kind: 'setUp', version: 1, document: listedSetUp([{ kind: 'sandbag', count: 1 }], 'mine') },
  ])
  const [block] = orThrow(resolveSession(aSession([aHold('mine')]), catalog))
  expect(block && practisedIn(block)?.props).toEqual(['prop_weight'])
  const without = [{ id: 'a', kind: 'blanket' as const, count: 1, under: 'pelvis' as const }]
  const [bare] = orThrow(resolveSession(aSession([aHold('mine', { setUpItems: without })]), catalog))
  expect(bare && practisedIn(bare)?.props).toEqual([])
})
