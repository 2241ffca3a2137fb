import fc from 'fast-check'
import { emptyOutbox, outboxState, stepOutbox } from './index.ts'
import type { Outbox, OutboxEffect, OutboxEvent } from './index.ts'

function through(events: readonly OutboxEvent[], from: Outbox = emptyOutbox): [Outbox, readonly OutboxEffect[]] {
  return events.reduce<[Outbox, readonly OutboxEffect[]]>(([outbox], event) => stepOutbox(outbox, event), [from, []])
}
const told = (n: number): OutboxEvent => ({ type: 'told', n })
const answered = (kept?: number): OutboxEvent => ({ type: 'answered', ...(kept === undefined ? {} : { kept }) })

test('what it is led from goes first and once, then the events told so far, then the end', () => {
  const [begun, first] = through([told(1)])
  expect(first).toEqual([{ type: 'begin' }])
  const [, second] = through([told(2), answered()], begun)
  expect(second).toEqual([{ type: 'append', after: 0, conductedMs: 0 }])
  const [, third] = through([told(2), answered(), answered(2), { type: 'over' }], begun)
  expect(third).toEqual([{ type: 'end' }])
})

test('a slow server gets fewer requests, never a queue of them', () => {
  const [begun] = through([told(1), answered()])
  const [waiting, nothing] = through([told(2), told(3), told(4)], begun)
  expect(nothing).toEqual([])
  expect(stepOutbox(waiting, answered(1))[1]).toEqual([{ type: 'append', after: 1, conductedMs: 0 }])
})

test('away it is tried again; meanwhile nothing is sent, but the end asks at once', () => {
  const [away, wake] = through([told(1), { type: 'away' }])
  expect(wake).toEqual([{ type: 'wake', afterMs: 3000 }])
  expect(outboxState(away)).toBe('retrying')
  expect(stepOutbox(away, told(2))[1]).toEqual([])
  expect(stepOutbox(away, { type: 'over' })[1]).toEqual([{ type: 'begin' }])
  const [again, begin] = stepOutbox(away, { type: 'woken' })
  expect(begin).toEqual([{ type: 'begin' }])
  // Said until it is answered: a try that hangs is no saving.
  expect(outboxState(again)).toBe('retrying')
  expect(outboxState(stepOutbox(again, answered())[0])).toBe('saving')
})

test('a disk without room is told as what it is, and tried again like any absence', () => {
  const [full, wake] = through([told(1), answered(), { type: 'away', isDiskFull: true }])
  expect([outboxState(full), wake]).toEqual(['disk full', [{ type: 'wake', afterMs: 3000 }]])
  const [again] = stepOutbox(full, { type: 'woken' })
  expect(outboxState(stepOutbox(again, answered(1))[0])).toBe('saved')
  expect(outboxState(stepOutbox(again, { type: 'away' })[0])).toBe('retrying')
})

test('a refusal is no absence: it is not tried again by itself, and the end asks once more', () => {
  const [refused, effects] = through([told(1), answered(), { type: 'refused' }])
  expect([effects, outboxState(refused)]).toEqual([[], 'refused'])
  expect(stepOutbox(refused, told(2))[1]).toEqual([])
  expect(stepOutbox(refused, { type: 'over' })[1]).toEqual([{ type: 'append', after: 0, conductedMs: 0 }])
})

test('where the server says how many it has, the others are sent from there', () => {
  const [sending] = through([told(5), answered()])
  const [, again] = stepOutbox({ ...sending, kept: 3 }, { type: 'refused', kept: 1 })
  expect(again).toEqual([{ type: 'append', after: 1, conductedMs: 0 }])
})

test('the class time is told every five seconds though nothing happens', () => {
  const [begun] = through([told(1), answered(), answered(1)])
  expect(stepOutbox(begun, { type: 'conducted', atMs: 4999 })[1]).toEqual([])
  expect(stepOutbox(begun, { type: 'conducted', atMs: 5000 })[1]).toEqual([
    { type: 'append', after: 1, conductedMs: 5000 },
  ])
})

test('whatever the server does, every event arrives once and in order, and the end after all of them', () => {
  const server = fc.array(fc.constantFrom('ok', 'away', 'lost', 'tell'), { maxLength: 60 })
  fc.assert(
    fc.property(server, (turns) => {
      const kept: number[] = []
      let [ended, n] = [false, 0]
      let outbox = emptyOutbox
      let waiting: OutboxEffect[] = []
      const give = (event: OutboxEvent) => {
        const [next, effects] = stepOutbox(outbox, event)
        outbox = next
        waiting = [...waiting, ...effects]
      }
      /** The server does what is asked; `lost` is a reply that never came. */
      const answer = (how: string) => {
        const asked = waiting.shift()
        if (!asked) return
        if (asked.type === 'wake') {
          give({ type: 'woken' })
          return
        }
        if (how === 'away') {
          give({ type: 'away' })
          return
        }
        if (asked.type === 'append') {
          expect(asked.after).toBeLessThanOrEqual(kept.length)
          for (let next = kept.length + 1; next <= n; next += 1) kept.push(next)
        }
        if (asked.type === 'end') ended = true
        if (how === 'lost') give({ type: 'away' })
        else give(asked.type === 'append' ? answered(kept.length) : answered())
      }
      for (const turn of turns) {
        if (turn === 'tell') give(told((n += 1)))
        else answer(turn)
        expect(waiting.filter(({ type }) => type !== 'wake').length).toBeLessThanOrEqual(1)
      }
      give({ type: 'over' })
      for (let left = 20; left > 0; left -= 1) answer('ok')
      expect(kept).toEqual(Array.from({ length: n }, (_, index) => index + 1))
      expect([ended, outboxState(outbox)]).toEqual([true, 'saved'])
    }),
  )
})
