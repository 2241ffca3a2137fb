import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { dropIndex, dropLinePx, layOutSpine, steady, topPx } from './layout.ts'
import { keyList, spineCommand } from './spine-keys.ts'

const compiled = (session: Session) => orThrow(compileTimeline(session, shippedCatalog))
const layOut = (session: Session, scale = 18) => layOutSpine(compiled(session), session, scale)
const scales = fc.constantFrom(8, 12, 18, 26, 36, 48)

test('wings and ribs tile the stem from minute 0 to the end', () => {
  fc.assert(
    fc.property(sessions(), scales, (session, scale) => {
      const { wings, ribs } = layOut(session, scale)
      const pieces = [...wings, ...ribs].sort((a, b) => a.topPx - b.topPx)
      const gaps = pieces.filter(({ topPx: top }, index) => {
        const before = pieces[index - 1]
        return Math.abs(top - (before ? before.topPx + before.heightPx : topPx)) > 0.01
      })
      expect(gaps).toEqual([])
      const end = pieces.at(-1)
      expect((end ? end.topPx + end.heightPx : topPx) - topPx).toBeCloseTo(
        (compiled(session).totalMs / 60_000) * scale,
        3,
      )
    }),
  )
})

test('a side stands on its own bank, and no label touches a wing on its bank', () => {
  fc.assert(
    fc.property(sessions(), scales, (session, scale) => {
      const { wings, ribs } = layOut(session, scale)
      const touched = ribs.filter(({ labelTopPx, bank }) => {
        if (labelTopPx === undefined) return false
        return wings.some(
          (wing) =>
            (wing.bank === 'pair' || wing.bank === bank) &&
            wing.topPx + wing.heightPx > labelTopPx + 1 &&
            wing.topPx < labelTopPx + 13,
        )
      })
      expect(touched).toEqual([])
    }),
  )
})

test('a rib under 9 px shows no label', () => {
  fc.assert(
    fc.property(sessions(), scales, (session, scale) => {
      const { ribs } = layOut(session, scale)
      expect(ribs.filter(({ heightPx, labelTopPx }) => heightPx < 9 && labelTopPx !== undefined)).toEqual([])
    }),
  )
})

test('names beside low wings never touch each other on a bank', () => {
  const session = aSession(
    Array.from({ length: 40 }, (_, index) => aTalk(`talk-${String(index)}`, 30 + (index % 5) * 15)),
  )
  const beside = layOut(session, 8).wings.filter((wing) => wing.nameBeside)
  const middles = beside.map((wing) => wing.topPx + wing.heightPx / 2 + wing.nameShiftPx)
  expect(beside.length).toBeGreaterThan(5)
  expect(middles.filter((middle, index) => index > 0 && middle - (middles[index - 1] ?? 0) < 17)).toEqual([])
})

test('the name beside a low wing right under a whole one stands a little lower, and is there', () => {
  const session = aSession([aTalk('long', 300), aTalk('short', 36), aHold('reclined-bound-angle')])
  const [long, short] = layOut(session, 18).wings
  expect(short).toMatchObject({ low: true, nameBeside: true })
  const top = (short?.topPx ?? 0) + (short?.heightPx ?? 0) / 2 + (short?.nameShiftPx ?? 0) - 17 / 2
  expect(top).toBeGreaterThanOrEqual((long?.topPx ?? 0) + (long?.heightPx ?? 0))
  expect(short?.nameShiftPx).toBeLessThanOrEqual(6)
})

test('what lies between two sides is one rib with one label, on the bank opposite to the next wing', () => {
  const { ribs } = layOut(aSession([aHold('deer'), aHold('sphinx')], { schoolId: 'yin' }))
  expect(ribs.map(({ label, bank }) => [label, bank])).toEqual([
    ['props 0:47', 'right'],
    ['stillness 0:40 · other side', 'left'],
    ['rebound 0:45 · lie down on the belly', 'right'],
    ['rebound 1:00', 'right'],
  ])
})

test('only yin calls the rest after a hold a rebound', () => {
  const { ribs } = layOut(aSession([aHold('sphinx')], { practice: 'restorative' }))
  expect(ribs.at(-1)?.label).toBe('rest after 0:45')
})

test('minutes are numbered every five, and reach the wanted length', () => {
  const { minutes, wantedPx } = layOut(aSession([aTalk()]))
  expect(minutes.filter(({ numbered }) => numbered).map(({ minute }) => minute)).toEqual([
    0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60,
  ])
  expect(wantedPx).toBe(topPx + 60 * 18)
})

test('a thing dropped on the upper half of a block goes before it, on the lower half after it', () => {
  const timeline = compiled(aSession([aTalk('a', 600), aTalk('b', 600)]))
  expect(dropIndex(timeline, topPx + 1, 18)).toBe(0)
  expect(dropIndex(timeline, topPx + 89, 18)).toBe(0)
  expect(dropIndex(timeline, topPx + 91, 18)).toBe(1)
  expect(dropIndex(timeline, 9999, 18)).toBe(2)
  expect(dropLinePx(timeline, 1, 18)).toBe(topPx + 180)
  expect(dropLinePx(timeline, 2, 18)).toBe(topPx + 360)
})

const press = (key: string, more: Partial<Parameters<typeof spineCommand>[0]> = {}) =>
  spineCommand({ key, altKey: false, shiftKey: false, ctrlKey: false, metaKey: false, ...more })

test('keys of the browser are left to it', () => {
  expect(press('d', { ctrlKey: true })).toBeUndefined()
  expect(press('[', { metaKey: true })).toBeUndefined()
  expect(press('d', { altKey: true })).toBeUndefined()
  expect(press('Tab')).toBeUndefined()
})

test('brackets and their stand-ins change a time, with Shift on one side alone', () => {
  expect([press('['), press(','), press(']'), press('.')]).toEqual(['shorter', 'shorter', 'longer', 'longer'])
  expect(press('{', { shiftKey: true, code: 'BracketLeft' })).toBe('shorter alone')
  expect(press('>', { shiftKey: true, code: 'Period' })).toBe('longer alone')
  expect(press('?', { shiftKey: true, code: 'Slash' })).toBe('keys')
  expect(press('ArrowUp', { altKey: true })).toBe('up')
  expect(keyList.length).toBeGreaterThan(10)
})

test('what says the same is the same object again; nothing at all is given back as nothing', () => {
  const kept = steady<{ readonly name: string } | undefined>()
  const first = kept('a', { name: 'Deer' })
  expect(kept('a', { name: 'Deer' })).toBe(first)
  expect(kept('b', { name: 'Deer' })).not.toBe(first)
  expect(kept('a', { name: 'Frog' })).toEqual({ name: 'Frog' })
  expect(kept('c', undefined)).toBeUndefined()
  expect(kept('c', undefined)).toBeUndefined()
})
