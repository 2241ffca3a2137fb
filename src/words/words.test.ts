import fc from 'fast-check'
import { orThrow } from '#core/result'
import type { Refused, Result } from '#core/result'
import { basePositionsInOrder, basePositionNames } from './positions.ts'
import {
  bodyParts,
  countedOrOne,
  foldNameOf,
  foldNames,
  itemWords,
  partNames,
  takesWords,
  turnChoices,
} from './props.ts'
import { gradeLines } from './cautions.ts'
import { recordAtEndWords, recordWords, saveWords } from './saving.ts'
import { numberWords } from './numbers.ts'
import { durationWords } from './durations.ts'
import { addingNumbers, lengthNumber, lengthText, wallDistanceText } from './lengths.ts'
import { momentWords, soundWords } from './cues.ts'
import { afterRestName, afterRestNames } from './practices.ts'
import { countWords } from './grades.ts'
import { keysOf, parseDuration, parseNumber } from '#core/units'
import { holdLimits } from '#model/limits'
import { poses } from '#library/poses'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { cautionBook } from '#library/cautions/book'
import { listedCautions } from '#core/cautions'
import { conditions } from '#library/cautions/conditions'
import { sayConditions, sayShort } from './conditions.ts'

function refusalOf<T>(result: Result<T>): Refused {
  if (result.ok) throw new Error('it was taken')
  return result
}

describe('lengths', () => {
  test('lengths on one another add up to what is shown of them all', () => {
    expect(addingNumbers([13.74, 8.66], 'cm')).toEqual(['13.5', '9'])
    expect(addingNumbers([13.8, 8.8, 0.1], 'cm')).toEqual(['14', '8.5', '0'])
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { maxLength: 8 }), (cms) => {
        for (const unit of ['cm', 'in'] as const) {
          const shown = addingNumbers(cms, unit).reduce((sum, one) => sum + Number(one), 0)
          expect(shown).toBeCloseTo(
            Number(
              lengthNumber(
                cms.reduce((sum, cm) => sum + cm, 0),
                unit,
              ),
            ),
            6,
          )
        }
      }),
    )
  })

  test('are told to half a centimetre, or a quarter of an inch, with their unit', () => {
    expect(lengthText(13.74, 'cm')).toBe('13.5 cm')
    expect(lengthText(13.76, 'cm')).toBe('14 cm')
    expect(lengthText(13.74, 'in')).toBe('5.5 in')
    expect(lengthNumber(0, 'cm')).toBe('0')
  })

  test('to a wall are never told shorter than they are', () => {
    expect(wallDistanceText(10.01, 'cm')).toBe('11 cm')
    expect(wallDistanceText(10, 'cm')).toBe('10 cm')
    expect(wallDistanceText(10.2, 'in')).toBe('4.5 in')
  })
})

describe('what is typed and refused', () => {
  const limits = { least: 0.25, most: 10, grain: 0.01 }
  test.each([
    ['', 'Type a number.'],
    ['four', '"four" is not a number: type 4, 3.5 or 3,5.'],
    ['12', '12 is outside 0.25 to 10.'],
  ])('the number “%s” is answered with the mend', (typed, words) => {
    expect(numberWords(refusalOf(parseNumber(typed, limits)))).toBe(words)
  })

  test.each([
    ['', 'Type a time, as 3:30.'],
    ['3:75', '3:75 has more than 59 in its seconds: type 3:30 or 3.5.'],
    ['2h', '2h is outside 0:05 to 60:00.'],
  ])('the time “%s” is answered with the mend', (typed, words) => {
    expect(durationWords(refusalOf(parseDuration(typed, holdLimits, 'Hold')))).toBe(words)
  })
})

describe('props', () => {
  test('one is named, several are counted', () => {
    expect(countedOrOne('blanket', 1)).toBe('blanket')
    expect(countedOrOne('blanket', 3)).toBe('3 blankets')
    expect(
      takesWords([
        { kind: 'blanket', count: 2 },
        { kind: 'rectBolster', count: 1 },
        { kind: 'blanket', count: 1 },
      ]),
    ).toBe('3 blankets · bolster')
  })

  test('an item says its fold, its turn and on which sides it lies', () => {
    const item = { id: 'i', kind: 'blanket', under: 'knees', count: 2, piles: 2 } as const
    expect(itemWords({ ...item, folds: [...namedFolds.standard] }, propKinds.blanket)).toBe(
      '2 blankets, standard fold, one each side',
    )
    expect(itemWords({ ...item, kind: 'foamBlock', turn: 'side', piles: 1 }, propKinds.foamBlock)).toBe(
      '2 blocks, on their sides',
    )
    expect(itemWords({ ...item, kind: 'foamBlock', turn: 'flat', piles: 1 }, propKinds.foamBlock)).toBe('2 blocks')
  })

  test('every named fold is known again by its operations, and every part has a name', () => {
    for (const name of keysOf(namedFolds)) expect(foldNames[foldNameOf(namedFolds[name]) ?? name]).toBe(foldNames[name])
    expect(foldNameOf([{ op: 'thirdW' }, { op: 'thirdW' }])).toBeUndefined()
    expect(bodyParts.map((part) => partNames[part]).every((name) => name.length > 2)).toBe(true)
    expect(turnChoices(propKinds.foamBlock).map(({ words }) => words)).toContain('flat, long way')
    expect(turnChoices(propKinds.wall)).toEqual([])
  })
})

test('moments, sounds and rests are said as a teacher says them', () => {
  expect(momentWords({ fromStartS: 0 })).toBe('at the start')
  expect(momentWords({ beforeEndS: 20 })).toBe('0:20 before the end')
  expect([momentWords({ share: 0.5 }), momentWords({ share: 0.25 })]).toEqual(['half time', 'after 25 %'])
  expect(soundWords({ kind: 'lowBell', strokes: 3 })).toBe('low bell, 3 strokes')
  expect(soundWords(undefined)).toBe('')
  expect([afterRestName('yin'), afterRestName('mixed'), afterRestNames('restorative')]).toEqual([
    'rebound',
    'rest after',
    'rests after',
  ])
  expect(basePositionsInOrder.map((base) => basePositionNames[base])).toContain('on the back')
})

test('what needs a look is counted without the tips', () => {
  expect(countWords({ must: 1, look: 2, tip: 5 })).toBe('1 to mend, 2 to look at')
  expect(countWords({ must: 0, look: 0, tip: 5 })).toBe('')
})

describe('cautions in a word', () => {
  test('each condition stands once, at its strictest, for every pose of the shelf', () => {
    for (const { families } of poses) {
      const lines = gradeLines(listedCautions({ families, props: [] }, cautionBook).own)
      const all = lines.flatMap(({ who }) => who)
      expect(new Set(all).size).toBe(all.length)
      // With the plain condition its severe form is named too.
      for (const one of all)
        if (!one.endsWith(' (severe)')) expect(all.indexOf(`${one} (severe)`)).toBeLessThanOrEqual(all.indexOf(one))
    }
  })

  test('every rule is still told in full, grade by grade, worst first', () => {
    const deer = poses.find(({ id }) => id === 'deer')
    if (!deer) throw new Error('no deer')
    const { own } = listedCautions({ families: deer.families, props: [] }, cautionBook)
    const lines = gradeLines(own)
    expect(lines.flatMap(({ lines: rules }) => rules.map(({ id }) => id)).toSorted()).toEqual(
      own.map(({ id }) => id).toSorted(),
    )
    const order = ['avoid', 'modify', 'care']
    const grades = lines.map(({ grade }) => order.indexOf(grade))
    expect(grades).toEqual(grades.toSorted((a, b) => a - b))
  })

  test('no id and no mark of the reference is ever said', () => {
    const said = conditions.flatMap(({ id }) => [...sayShort([id, `${id}!`]), ...sayConditions([id, `${id}!`])])
    expect(said.filter((words) => /[{}@!_]|\((?:[A-C]|\d)/.test(words))).toEqual([])
    expect(sayShort(['knee!'])).toEqual(['knee (severe)'])
  })
})

test('a refusal carries what its words need', () => {
  const read = parseNumber('99', { least: 1, most: 20 }, 'Sets')
  expect(read).toMatchObject({ ok: false, field: 'Sets', extra: { typed: '99', least: 1, most: 20 } })
  expect(() => orThrow(read)).toThrow(RangeError)
})

test('where the last change is, is said with what stands in the way', () => {
  const here = { isKeptHere: true, isDiskFull: false }
  expect(saveWords('saved', here)).toBe('saved')
  expect(saveWords('retrying', here)).toBe('not saved: retrying')
  expect(saveWords('retrying', { ...here, isDiskFull: true })).toBe('not saved: the disk is full')
  expect(saveWords('waiting', { ...here, isDiskFull: true })).toBe('saving')
  expect(saveWords('retrying', { isKeptHere: false, isDiskFull: true })).toBe(
    'not saved: the disk is full, keep this window open',
  )
  expect(saveWords('saved', { isKeptHere: false, isDiskFull: false })).toBe('saved')
})

test('of a class’s record only what the server does not have is said, with why', () => {
  expect([recordWords('saved', ''), recordWords('saving', '')]).toEqual(['', ''])
  expect(recordWords('retrying', '')).toBe('not saved: retrying')
  expect(recordWords('disk full', '')).toBe('not saved: the disk is full')
  expect(recordWords('refused', 'The class is over.')).toBe('kept in this browser only: The class is over.')
  expect(recordAtEndWords('saving', '')).toBe('')
  expect(recordAtEndWords('disk full', '')).toContain('The record is kept in this browser')
  expect(recordAtEndWords('refused', 'Why.')).toBe(
    'The record is kept in this browser and was not taken by the server: Why.',
  )
})
