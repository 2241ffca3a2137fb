import { assess } from '#core/comfort'
import { poses } from '#library/poses'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { mendsFor } from './mend-work.ts'

const setUp = setUps.find(({ id }) => id === 'reclined-bound-angle-few')
const figure = poses.find(({ id }) => id === 'reclined-bound-angle')?.figure
if (!setUp || !figure) throw new Error('no bound angle')
const input = { figure, items: setUp.items, kinds: propKinds, who: { statureCm: 190 } }

test('what the worker is asked and what it answers can be sent, and nothing is lost on the way', () => {
  const sent = JSON.parse(JSON.stringify(input)) as typeof input
  const mends = mendsFor({ input: sent })
  expect(structuredClone(mends)).toEqual(mends)
  expect(mends).toEqual(mendsFor({ input }))
})

test('each answer belongs to a finding of this set-up and mends it', () => {
  const codes = assess(input).findings.map(({ code }) => code)
  const mends = Object.entries(mendsFor({ input }))
  expect(mends.length).toBeGreaterThan(0)
  for (const [code, { items }] of mends) {
    expect(codes).toContain(code)
    expect(assess({ ...input, items }).findings.map((finding) => finding.code)).not.toContain(code)
  }
})

test('a set-up nothing is said of has no mends', () => {
  expect(mendsFor({ input: { ...input, figure: { kind: 'kneeling', feet: 'flat' }, items: [] } })).toEqual({})
})
