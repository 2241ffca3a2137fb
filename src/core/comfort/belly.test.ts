import fc from 'fast-check'
import { assess, mendOf } from '#core/comfort'
import { bellyOf, between, cross, dot, elevation, lengthOf, minus } from '#core/figure'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'
import { comfortWords } from '#words/comfort'

const setUpIn = (id: string) => {
  const found = setUps.find((one) => one.id === id)
  if (!found) throw new Error(`no set-up ${id}`)
  return found
}
const late = { statureCm: 168, lateInPregnancy: true }
const inputOf = (id: string, who = late) => {
  const setUp = setUpIn(id)
  return { figure: figureOf(setUp), items: setUp.items, kinds: propKinds, who }
}
const told = (id: string) => assess(inputOf(id)).findings.filter(({ code }) => code.startsWith('BELLY'))
const codes = (id: string) => told(id).map(({ code }) => code)

test.each([
  ['knees-over-a-bolster-full', 'BELLY_FLAT_ON_BACK'],
  ['legs-up-the-wall-full', 'BELLY_FLAT_ON_BACK'],
  ['belly-rest-full', 'BELLY_LAIN_ON'],
  ['sphinx-full', 'BELLY_LAIN_ON'],
  ['wide-knee-fold-full', 'BELLY_PRESSED'],
  ['chair-fold-full', 'BELLY_PRESSED'],
  ['long-leg-fold-full', 'BELLY_PRESSED'],
  ['side-rest-full', 'BELLY_UNFILLED'],
])('%s asks for a change late in pregnancy: %s', (id, code) => {
  expect(codes(id)).toContain(code)
  const usual = inputOf(id, { ...late, lateInPregnancy: false })
  expect(assess(usual).findings.map((finding) => finding.code)).not.toContain(code)
})

test.each(['inclined-rest-full', 'straddle-fold-full', 'chair-seat-full', 'heel-sit-full', 'level-all-fours-full'])(
  '%s is left as it is late in pregnancy',
  (id) => {
    expect(codes(id)).toEqual([])
  },
)

test('what is flat is told so, and what is too low by its angle, each with what to do', () => {
  const [flat] = told('constructive-rest-full')
  const [low] = told('reclined-bound-angle-full')
  expect(flat && comfortWords(flat, 'cm').title).toBe('Late in pregnancy, and the trunk lies flat')
  expect(low && comfortWords(low, 'cm').title).toMatch(/lies at 2\d°$/)
  expect(low && comfortWords(low, 'cm').mend).toContain('rest on the side')
})

test('a slope that is too low is mended by one change that makes it steep enough', () => {
  const input = inputOf('crossed-bolsters-full')
  const [finding] = told('crossed-bolsters-full')
  const mend = finding && mendOf(finding, { ...input, folds: Object.values(namedFolds) })
  expect(mend).toBeDefined()
  const after = assess({ ...input, items: mend?.items ?? [] })
  expect(after.findings.map(({ code }) => code)).not.toContain('BELLY_FLAT_ON_BACK')
})

test('something under the belly fills it on the side', () => {
  const input = inputOf('side-rest-full')
  const pad = {
    id: 'pad',
    kind: 'blanket' as const,
    count: 1,
    under: 'belly' as const,
    folds: [...namedFolds.standard],
  }
  const filled = assess({ ...input, items: [...input.items, pad] })
  expect(filled.findings.map(({ code }) => code)).not.toContain('BELLY_UNFILLED')
})

test('the belly lies before the trunk of every body on every set-up, and no bone moves for it', () => {
  fc.assert(
    fc.property(fc.constantFrom(...setUps), fc.integer({ min: 120, max: 220 }), (setUp, statureCm) => {
      const input = { figure: figureOf(setUp), items: setUp.items, kinds: propKinds }
      const [usual, laid] = [{ statureCm }, { statureCm, lateInPregnancy: true }].map((who) =>
        elevation({ ...input, who }),
      )
      if (!usual?.ok || !laid?.ok) return
      const { skeleton, frame } = laid.value
      expect(skeleton).toEqual(usual.value.skeleton)
      const { hip, waist, shoulder, left, right } = skeleton
      const front = cross(minus(shoulder, hip), minus(right.hip, left.hip))
      const belly = bellyOf(skeleton, frame)
      const largest = belly.reduce((a, b) => (a.r > b.r ? a : b))
      const before = dot(minus(largest.at, between(hip, waist, 0.73)), front) / lengthOf(front)
      expect(before).toBeGreaterThan(0.02 * statureCm)
      for (const { at } of belly) expect(lengthOf(minus(at, waist))).toBeLessThan(0.2 * statureCm)
    }),
  )
})
