import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession } from '#testing/sessions'
import { compileTimeline } from './compile.ts'

const blocks = [aHold('deer'), aBreath('even-breath'), aClosing()]
const offers = new Map(['deer', 'breath', 'closing', 'gone'].map((id) => [id, `Whoever likes: ${id}.`]))
const compiled = (catalog: Parameters<typeof compileTimeline>[1]) => orThrow(compileTimeline(aSession(blocks), catalog))

test('what is offered to all is said once a block: half way through its set-up, else a little after it begins', () => {
  const { cues, segments, totalMs } = compiled({ ...shippedCatalog, offers })
  const said = cues.filter(({ text }) => text?.startsWith('Whoever likes'))
  expect(said.map(({ text }) => text)).toEqual([
    'Whoever likes: deer.',
    'Whoever likes: breath.',
    'Whoever likes: closing.',
  ])
  const setUp = segments.find(({ doing }) => doing.kind === 'setUp')
  expect(Math.abs((said[0]?.atMs ?? 0) - ((setUp?.startMs ?? 0) + (setUp?.endMs ?? 0)) / 2)).toBeLessThan(1000)
  const rest = segments.find(({ doing }) => doing.kind === 'closing')
  expect(said[2]?.atMs).toBe((rest?.startMs ?? 0) + 10_000)
  // It takes no time of the class.
  const plain = compiled(shippedCatalog)
  expect(totalMs).toBe(plain.totalMs)
  expect(cues.filter((cue) => !said.includes(cue))).toEqual(plain.cues)
})
