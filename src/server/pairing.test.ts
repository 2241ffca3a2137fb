import fc from 'fast-check'
import type { DeviceKind } from '#model/device'
import { codeMs, isClosed, mostWrong, noPairing, offered, openCode, tried } from '#server/features/room/pairing'

const code = (kind: DeviceKind, digits: string) => ({ kind, digits, ownerId: 'owner' })
const shown = offered(noPairing, code('teacher', '204817'), 0)

test('the code that is shown lets one device in, and no other after it', () => {
  const [after, first] = tried(shown, '204817', 1000)
  expect(first).toEqual({ is: 'paired', kind: 'teacher', ownerId: 'owner' })
  expect(tried(after, '204817', 1001)[1]).toEqual({ is: 'over' })
})

test('a code is good for five minutes, and a new one takes its place', () => {
  expect(tried(shown, '204817', codeMs - 1)[1]).toMatchObject({ is: 'paired' })
  expect(tried(shown, '204817', codeMs)[1]).toEqual({ is: 'over' })
  const anew = offered(shown, code('screen', '000042'), 5000)
  expect(tried(anew, '204817', 6000)[1]).toMatchObject({ is: 'wrong' })
  expect(tried(anew, '000042', 6000)[1]).toEqual({ is: 'paired', kind: 'screen', ownerId: 'owner' })
})

test('the fifth wrong code closes for five minutes, a new code or not', () => {
  const wrong = (times: number) => {
    let [pairing, what] = tried(shown, '1', 0)
    for (let n = 1; n < times; n += 1) [pairing, what] = tried(pairing, '1', n)
    return { pairing, what }
  }
  expect(wrong(4).what).toEqual({ is: 'wrong', left: 1 })
  // A code that is asked for in between does not begin the count anew.
  const again = offered(wrong(4).pairing, code('screen', '111111'), 4)
  expect(tried(again, '2', 5)[1]).toEqual({ is: 'closed', forMs: 300_000 })
  const { pairing } = wrong(mostWrong)
  expect(offered(pairing, code('screen', '111111'), 1000)).toBe(pairing)
  expect(tried(pairing, '204817', 1000)[1]).toEqual({ is: 'closed', forMs: 299_004 })
  const later = offered(pairing, code('screen', '111111'), 300_004)
  expect(tried(later, '111111', 300_005)[1]).toEqual({ is: 'paired', kind: 'screen', ownerId: 'owner' })
})

test('whatever is typed, in whatever order, no code lets in two, and five wrong ones let in nobody', () => {
  const typed = fc.record({ digits: fc.constantFrom('1', '2', '3'), afterMs: fc.integer({ min: 0, max: 400_000 }) })
  const act = fc.oneof({ weight: 4, arbitrary: typed }, fc.constantFrom('1', '2', '3'))
  fc.assert(
    fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
      let [pairing, nowMs, wrong] = [noPairing, 0, 0]
      let open: string | undefined
      for (const one of acts) {
        if (typeof one === 'string') {
          pairing = offered(pairing, code('screen', one), nowMs)
          open = openCode(pairing, nowMs)?.digits
          continue
        }
        nowMs += one.afterMs
        const wasClosed = isClosed(pairing, nowMs)
        const [next, what] = tried(pairing, one.digits, nowMs)
        pairing = next
        if (what.is === 'paired') {
          expect([open, wasClosed]).toEqual([one.digits, false])
          ;[open, wrong] = [undefined, 0]
        }
        if (what.is === 'wrong') wrong += 1
        if (what.is === 'closed' && !wasClosed) {
          expect(wrong).toBe(mostWrong - 1)
          ;[open, wrong] = [undefined, 0]
        }
      }
    }),
    { numRuns: 100 },
  )
})
