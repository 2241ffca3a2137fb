import type { Block } from '#model/block'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { checkSession } from './index.ts'

/** Whether an hour that ends in a block is said to have no closing. */
function isUnclosed(last: Block): boolean {
  const session = aSession([aTalk('arrive', 120), last])
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const found = checkSession({
    session,
    timeline,
    catalog: shippedCatalog,
    book: cautionBook,
    asked: undefined,
    names: [],
  })
  return found.some(({ code }) => code === 'NO_CLOSING')
}
const ends = (poseId: string, holdS: number) => isUnclosed(aHold(poseId, { hold: { holdS } }))
const rests = (s: number, ending: object | undefined) =>
  isUnclosed({ kind: 'rest', id: 'rest', s, basePosition: 'supine', ...(ending ? { ending } : {}) })

test('a class that ends in a long rest on a chair or on the side needs no final rest on the back', () => {
  expect(ends('chair-seat', 360)).toBe(false)
  expect(ends('side-nest', 360)).toBe(false)
  expect(ends('chair-seat', 359)).toBe(true)
  expect(ends('chair-twist', 360)).toBe(true)
  expect(ends('sphinx', 360)).toBe(true)
})

test('nor one that ends in a rest as long as a final rest is, with the steps up from it', () => {
  expect(rests(360, {})).toBe(false)
  expect(rests(359, {})).toBe(true)
  expect(rests(360, undefined)).toBe(true)
})
