import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { CautionGrade } from '#model/caution'
import { cautionConditionSchema, cautionRuleSchema, differenceSchema, stageSchema } from '#model/caution'
import { familyCeilingS } from '#core/session'
import { families } from '#model/family'
import type { Family } from '#model/family'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { differences } from '#library/cautions/differences'
import { cautionPropNames, familyNames } from '#words/families'
import { ceilings, inherits } from '#library/cautions/register'
import { sayCaution, sayConditions, sayShort } from '#words/conditions'
import { shortNames } from '#words/condition-names'
import { stages } from '#library/cautions/stages'
import { wants } from '#library/cautions/wants'
import type { PropKind } from '#model/prop'
import { disclaimer } from '#words/advice'
import { techniques } from '#library/techniques'
import { gateOf, judge, listedCautions } from './index.ts'
import type { Flag, Practised, Verdict } from './index.ts'

/** The reference's own tables, read anew: what the library holds is held against them row by row. */
const reference = readFileSync(join(process.cwd(), 'src/testing/cautions-reference.md'), 'utf8')

function table(from: string, to: string): string[][] {
  const part = reference.slice(reference.indexOf(from), reference.indexOf(to))
  const lines = part.split('\n').filter((line) => line.startsWith('|') && !line.startsWith('|---'))
  return lines.slice(1).map((line) =>
    line
      .slice(1, -1)
      .split('|')
      .map((cell) => cell.trim()),
  )
}
const conditionRows = table('## 1. Conditions', '## 2. Pose families')
const registerRows = table('### 2.1 Register', '### 2.2 Rules')
const ruleRows = [...table('### 2.2 Rules', '## 3. Breath'), ...table('### 3.2 Rules', '### 3.3')]

const groups = new Map(
  [...reference.matchAll(/`(@\w+)`=([\w,]+)/g)].map(
    ([, name = '', members = '']) => [name, members.split(',')] as const,
  ),
)
const opened = (list: string): string[] =>
  list
    .split(', ')
    .flatMap(
      (entry) => groups.get(entry.replace('!', ''))?.map((id) => id + (entry.endsWith('!') ? '!' : '')) ?? [entry],
    )

const flag = (id: string, severe = false): Flag => ({ id, severe, cleared: true })

/** What a subject of a row looks like when somebody practises it. */
function practise(subject: string): Practised {
  if (subject.startsWith('br_')) return { families: [], breaths: [subject] }
  if (subject.startsWith('prop_')) return { families: [], props: [subject as 'prop_eye'] }
  return { families: [subject === '*' ? 'side_sit' : (subject as Family)] }
}
/** What is said of the practice, or of the prop where that is what is practised. */
const saidOf = ({ reasons, props }: Verdict) => (props.length > 0 ? props : reasons)
const worst: readonly CautionGrade[] = ['avoid', 'modify', 'care']

test('the reference was read: 53 conditions, 36 families, 147 rules', () => {
  expect([conditionRows.length, registerRows.length, ruleRows.length]).toEqual([
    conditions.length,
    families.length,
    cautionBook.rules.length,
  ])
  expect(cautionBook.rules.length).toBe(147)
  expect(conditions.length).toBeGreaterThan(50)
})

test('conditions, rules, stages and differences are valid, and their ids are used once', () => {
  expect(conditions.map((condition) => cautionConditionSchema.parse(condition))).toEqual(conditions)
  expect(cautionBook.rules.map((rule) => cautionRuleSchema.parse(rule))).toEqual(cautionBook.rules)
  expect(stages.map((stage) => stageSchema.parse(stage))).toHaveLength(6)
  expect(differences.map((difference) => differenceSchema.parse(difference))).toHaveLength(14)
  expect(new Set(cautionBook.rules.map(({ id }) => id)).size).toBe(cautionBook.rules.length)
})

test.each(conditionRows.map((row) => [row[0] ?? '', row] as const))(
  'condition %s has its gates, plain and severe',
  (id, row) => {
    const [plain = '', severe = plain] = (row[4] ?? '').split(';').map((part) => part.replace('`!`', '').trim())
    const condition = cautionBook.conditions.get(id)
    expect(condition?.name).toBe((row[1] ?? '').replace(/(\d)-(\d)/, '$1–$2'))
    expect(gateOf([{ id, severe: false, cleared: false }], cautionBook).gate).toBe(plain)
    expect(gateOf([{ id, severe: true, cleared: false }], cautionBook).gate).toBe(severe)
    expect(gateOf([{ id, severe: false, cleared: true }], cautionBook).gate).toBe(plain === 'stop' ? 'stop' : 'none')
    expect(condition?.severe === undefined).toBe(!(row[3] ?? '').includes('`!`'))
  },
)

test.each(registerRows.map((row) => [row[0] ?? '', row] as const))(
  'family %s has its ceilings and what it inherits',
  (id, row) => {
    const family = id as Family
    const minutes = (row[3] ?? '').split('/').map(Number)
    expect(
      (['new', 'regular', 'experienced'] as const).map((level) => familyCeilingS(ceilings, family, level) / 60),
    ).toEqual(minutes)
    expect(inherits[family] ?? '-').toBe(row[2])
  },
)

test.each(ruleRows.map((row, index) => [`${String(index + 1)}: ${row[0] ?? ''} ${row[1] ?? ''}`, row] as const))(
  'row %s holds for each of its conditions, and in its severe form only where it says so',
  (_, [subjects = '', grade = '', list = '', , , evidence = '']) => {
    const needsConsent = evidence.includes('+')
    for (const subject of subjects.split(', ').flatMap((one) => groups.get(one) ?? [one])) {
      for (const entry of opened(list)) {
        const id = entry.replace('!', '')
        const found = (severe: boolean) =>
          saidOf(judge(practise(subject), [flag(id, severe)], cautionBook)).filter(
            ({ rule }) =>
              rule.grade === grade && rule.evidence === evidence.charAt(0) && rule.differs === evidence.includes('d'),
          )
        const mine = (severe: boolean) =>
          found(severe).some(({ rule }) => rule.conditions.some((c) => c === entry || groups.has(c.replace('!', ''))))
        expect([subject, entry, mine(true)]).toEqual([subject, entry, true])
        if (entry.endsWith('!')) {
          // Held apart from a plain row of the same family and grade that names the condition too.
          expect(found(false).some(({ rule }) => rule.conditions.includes(entry))).toBe(false)
        } else {
          expect(mine(false)).toBe(true)
        }
        const [first] = saidOf(judge(practise(subject), [flag(id, true)], cautionBook))
        const least = needsConsent ? 'avoid' : (grade as CautionGrade)
        expect(worst.indexOf(first?.grade ?? 'care')).toBeLessThanOrEqual(worst.indexOf(least))
      }
    }
  },
)

test('the same merging, done another way, comes to the same grade for every family, condition and form', () => {
  const known = conditionRows.map(([id = '']) => id)
  const ancestors = (family: string): string[] => {
    const parent = registerRows.find(([id]) => id === family)?.[2]
    return parent === undefined || parent === '-' ? [family] : [family, ...ancestors(parent)]
  }
  const differing: string[] = []
  for (const family of families) {
    const of = new Set([...ancestors(family), '*'])
    for (const id of known) {
      for (const severe of [false, true]) {
        const grades = ruleRows
          .filter(
            ([subjects = '', , list = '']) =>
              subjects.split(', ').some((one) => of.has(one)) &&
              opened(list).some((entry) => entry === id || (severe && entry === `${id}!`)),
          )
          .map(([, grade = '', , , , evidence = '']) => (evidence.includes('+') ? 'avoid' : grade))
        // Clearance lifts every gate but "stop", which ends all practice for today.
        const gate = conditionRows.find(([known]) => known === id)?.[4] ?? ''
        const stops = gate === 'stop' || (severe && gate.includes('`!` stop'))
        const expected = stops ? 'avoid' : worst.find((grade) => grades.includes(grade))
        const got = judge({ families: [family] }, [flag(id, severe)], cautionBook).grade
        if (got !== expected)
          differing.push(`${family} ${id}${severe ? '!' : ''}: ${String(got)}, not ${String(expected)}`)
      }
    }
  }
  expect(differing).toEqual([])
})

test('every id that a text names is known, and is said in words', () => {
  const texts = [
    ...cautionBook.rules.flatMap(({ why, instead }) => [why, instead]),
    ...conditions.flatMap(({ asks, notes = '', severe = '' }) => [asks, notes, severe]),
    ...differences.flatMap((difference) => Object.values(difference)),
  ]
  expect(texts.map(sayCaution).filter((text) => /[{}]|[a-z]_[a-z]/.test(text))).toEqual([])
  expect(
    cautionBook.rules
      .flatMap((rule) => sayConditions(rule.conditions))
      .filter((text) => /[{}@!]|[a-z]_[a-z]/.test(text)),
  ).toEqual([])
  expect(cautionBook.rules.flatMap((rule) => sayShort(rule.conditions)).filter((text) => /[{}@!_]/.test(text))).toEqual(
    [],
  )
  expect(Object.keys(shortNames)).toEqual(conditions.map(({ id }) => id))
  expect(Object.keys(familyNames)).toEqual([...families])
  expect(Object.keys(cautionPropNames)).toHaveLength(4)
})

test('every condition and technique that a rule names is defined', () => {
  const used = cautionBook.rules.flatMap(({ conditions: of }) =>
    of.flatMap((entry) => groups.get(entry.replace('!', '')) ?? [entry.replace('!', '')]),
  )
  expect([...new Set(used)].filter((id) => !cautionBook.conditions.has(id))).toEqual([])
  const breaths = cautionBook.rules
    .flatMap(({ of }) => of.flatMap((subject) => groups.get(subject) ?? [subject]))
    .filter((subject) => subject.startsWith('br_'))
  expect([...new Set(breaths)].filter((id) => !techniques.some(({ cautionId }) => cautionId === id))).toEqual([])
})

/** Rows of the reference whose words look like a claim and are none. */
const exempt = new Set(['every.modify.1'])

test('no text of the cautions makes a claim', () => {
  const claims = /\b(safe|safely|heals|treats|cures|detox)\b/i
  const spoken = cautionBook.rules.filter(({ id }) => !exempt.has(id)).flatMap(({ why, instead }) => [why, instead])
  expect(
    [...spoken, disclaimer, ...differences.flatMap((one) => Object.values(one))].filter((text) => claims.test(text)),
  ).toEqual([])
})

test('a family lists what is its own and what it inherits, worst first, and what holds for every shape apart', () => {
  const { own, always } = listedCautions({ families: ['pelvis_raised'] }, cautionBook)
  expect(own.filter((rule) => rule.of.includes('pelvis_raised'))).toHaveLength(6)
  expect(own.filter((rule) => rule.of.includes('sup_rest'))).toHaveLength(4)
  expect(own.map(({ grade }) => worst.indexOf(grade))).toEqual([...own].map(({ grade }) => worst.indexOf(grade)).sort())
  expect(always).toHaveLength(11)
})

describe('what the changed form of a row is made with', () => {
  const named: readonly (readonly [RegExp, PropKind])[] = [
    [/bolster/, 'rectBolster'],
    [/\bchair\b/, 'chair'],
    [/\bblocks?\b/, 'foamBlock'],
    [/\bstrap\b/, 'strap'],
    [/blanket|\bpads?\b|padded/, 'blanket'],
    [/pillow/, 'longPillow'],
    [/\bwall\b(?!, knees)/, 'wall'],
  ]
  /** Rows that only say what to keep from, or send to another pose. */
  const gives = ({ grade, instead }: { grade: string; instead: string }) =>
    grade !== 'avoid' && !/further from wall|facing wall|trunk inclined/.test(instead)

  test('is asked for by kind wherever its words name a prop', () => {
    const silent = cautionBook.rules
      .filter((rule) => gives(rule) && !rule.of.some((subject) => subject.startsWith('prop_')))
      .flatMap(({ id, instead, wants }) =>
        named.flatMap(([says, kind]) => (says.test(instead) && !wants.includes(kind) ? [`${id} ${kind}`] : [])),
      )
    expect(silent).toEqual([])
  })

  test('is asked for by rows that are, and by none that sends elsewhere', () => {
    const ids = new Set(cautionBook.rules.map(({ id }) => id))
    expect(Object.keys(wants).filter((id) => !ids.has(id))).toEqual([])
    expect(cautionBook.rules.filter(({ grade, wants: asked }) => grade === 'avoid' && asked.length > 0)).toEqual([])
  })
})
