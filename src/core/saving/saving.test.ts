import fc from 'fast-check'
import { isAsKept, openSaving, stepSaving } from './index.ts'
import type { Saving, SavingEffect, SavingEvent } from './index.ts'

interface Doc {
  readonly name: string
}
const doc = (name: string): Doc => ({ name })
function opened(name: string, version = 1, draft?: { document: Doc; version: number }): Saving<Doc> {
  const saving = openSaving({ document: doc(name), version }, draft)
  if (!saving) throw new Error('nothing to open')
  return saving
}
/** The state after events, and what the last of them asked for. */
function through(from: Saving<Doc>, ...events: SavingEvent<Doc>[]): [Saving<Doc>, readonly SavingEffect<Doc>[]] {
  return events.reduce<[Saving<Doc>, readonly SavingEffect<Doc>[]]>(
    ([now], event) => [...stepSaving(now, event)],
    [from, []],
  )
}
const edited = (document: Doc, atMs = 0): SavingEvent<Doc> => ({ type: 'edited', document, atMs })
const timer: SavingEvent<Doc> = { type: 'timer' }
const of = (effects: readonly SavingEffect<Doc>[]) => effects.map(({ type }) => type)

const [b, c] = [doc('b'), doc('c')]

test('an edit is kept as a draft at once, sent 800 ms later, and then the draft goes', () => {
  const [waiting, first] = through(opened('a'), edited(b))
  expect(first).toEqual([
    { type: 'put draft', document: b, based: 1 },
    { type: 'wake', afterMs: 800 },
  ])
  const [sending, second] = through(waiting, timer)
  expect(second).toEqual([{ type: 'send', n: 1, document: b, based: 1, over: false }])
  const [saved, third] = through(sending, { type: 'saved', n: 1, version: 2 })
  expect([saved.status, saved.based, of(third)]).toEqual(['saved', 2, ['know', 'drop draft']])
})

test('while edits go on it is sent three seconds after the first of them', () => {
  const [now] = through(opened('a'), edited(doc('1'), 0), edited(doc('2'), 2000))
  expect(through(now, edited(doc('3'), 2700))[1].at(-1)).toEqual({ type: 'wake', afterMs: 300 })
})

test('what is edited while a save is out is sent after it, on the version it made', () => {
  const [sending] = through(opened('a'), edited(b), timer)
  const [also, effects] = through(sending, edited(c, 900))
  expect([also.status, of(effects)]).toEqual(['saving', ['put draft']])
  const [waiting, next] = through(also, { type: 'saved', n: 1, version: 2 })
  expect(of(next)).toEqual(['know', 'put draft', 'wake'])
  expect(through(waiting, timer)[1]).toEqual([{ type: 'send', n: 2, document: c, based: 2, over: false }])
})

test('away it is tried again by itself, and by the next edit', () => {
  const [away, effects] = through(opened('a'), edited(b), timer, { type: 'away', n: 1 })
  expect([away.status, effects]).toEqual(['retrying', [{ type: 'wake', afterMs: 3000 }]])
  expect(of(through(away, timer)[1])).toEqual(['send'])
  expect(through(away, edited(c, 5000))[0].status).toBe('waiting')
})

test('a disk that is full is told as such, tried again, and forgotten when there is room', () => {
  const [full, effects] = through(opened('a'), edited(b), timer, { type: 'away', n: 1, isDiskFull: true })
  expect([full.status, full.isDiskFull, of(effects)]).toEqual(['retrying', true, ['wake']])
  const [trying] = through(full, timer)
  expect([trying.status, trying.isDiskFull]).toEqual(['retrying', true])
  expect(through(trying, { type: 'away', n: 2 })[0].isDiskFull).toBe(false)
  expect(through(trying, { type: 'saved', n: 2, version: 2 })[0]).toMatchObject({ status: 'saved', isDiskFull: false })
})

test('a draft that could not be kept stands in the way of nothing', () => {
  const [failed] = through(opened('a'), edited(b), { type: 'draft failed' })
  expect(failed.draftFailed).toBe(true)
  expect(of(through(failed, timer)[1])).toEqual(['send'])
  const [again, effects] = through(failed, edited(c, 100), { type: 'draft kept' })
  expect([again.draftFailed, of(effects)]).toEqual([false, []])
})

test('a refused document says why, and is tried again after the next edit', () => {
  const [refused] = through(opened('a'), edited(b), timer, { type: 'refused', n: 1, refusal: 'Too long.' })
  expect([refused.status, refused.refusal]).toEqual(['refused', 'Too long.'])
  expect(of(through(refused, timer)[1])).toEqual([])
  const [waiting] = through(refused, edited(c, 2000))
  expect([waiting.status, waiting.refusal]).toEqual(['waiting', null])
  expect(of(through(waiting, timer)[1])).toEqual(['send'])
})

test('a reply to another request than the one that is out changes nothing', () => {
  const [sending] = through(opened('a'), edited(b), timer)
  for (const late of [
    { type: 'saved', n: 0, version: 9 },
    { type: 'stale', n: 7 },
    { type: 'away', n: 2 },
  ] as const)
    expect(stepSaving(sending, late)[0]).toBe(sending)
})

describe('another window saved meanwhile', () => {
  const meet = () => through(opened('a'), edited(b), timer, { type: 'stale', n: 1 })
  const theirs = { document: doc('theirs'), version: 5 }
  const choice = () => through(meet()[0], { type: 'theirs', n: 2, theirs })[0]

  test('its version is fetched, and nothing is sent until the teacher has chosen', () => {
    expect(meet()[1]).toEqual([{ type: 'fetch theirs', n: 2 }])
    expect(choice().status).toBe('conflict')
    expect(of(through(choice(), edited(c, 9000), timer)[1])).toEqual([])
  })

  test('mine is saved over theirs, which goes to history', () => {
    const [choosing, effects] = through(choice(), { type: 'keep mine' })
    expect(effects).toEqual([{ type: 'send', n: 3, document: b, based: 5, over: true }])
    const [saved] = through(choosing, { type: 'saved', n: 3, version: 6 })
    expect([saved.status, saved.theirs, saved.based]).toEqual(['saved', null, 6])
  })

  test('theirs is taken when mine is in history, and not before', () => {
    const [choosing, effects] = through(choice(), { type: 'take theirs' })
    expect([choosing.document, effects]).toEqual([b, [{ type: 'set aside', n: 3, document: b, based: 1 }]])
    expect(through(choosing, { type: 'away', n: 3 })[0]).toMatchObject({ status: 'conflict', document: b })
    const [taken, after] = through(choosing, { type: 'set aside', n: 3 })
    expect([taken.document, taken.status, of(after)]).toEqual([theirs.document, 'saved', ['know', 'drop draft']])
  })

  test('it is no other window’s where it is what was sent, whose reply was lost', () => {
    const own = { document: { ...b }, version: 2 }
    const [saved] = through(meet()[0], { type: 'theirs', n: 2, theirs: own })
    expect([saved.status, saved.based]).toEqual(['saved', 2])
  })
})

test('a draft over an older version is a choice at once; over the same it is sent', () => {
  expect(opened('a', 3, { document: b, version: 2 })).toMatchObject({ status: 'conflict', theirs: { version: 3 } })
  const draft = opened('a', 3, { document: b, version: 3 })
  expect(of(through(draft, timer)[1])).toEqual(['send'])
  expect(openSaving<Doc>(undefined, undefined)).toBeUndefined()
})

test('closing sends at once what waits, and nothing where all is saved', () => {
  expect(of(through(opened('a'), { type: 'closed' })[1])).toEqual([])
  expect(of(through(opened('a'), edited(b), { type: 'closed' })[1])).toEqual(['send'])
})

/** A server with another window beside it, whose replies may be lost, and a browser whose keeping may fail. */
const turns = fc.array(
  fc.oneof(
    fc.record({ do: fc.constant('edit' as const) }),
    fc.record({ do: fc.constant('other window' as const) }),
    fc.record({ do: fc.constant('timer' as const) }),
    fc.record({ do: fc.constant('answer' as const), how: fc.constantFrom('ok', 'away', 'lost', 'refused') }),
    fc.record({ do: fc.constant('choose' as const), mine: fc.boolean() }),
    fc.record({ do: fc.constant('draft' as const), ok: fc.boolean() }),
  ),
  { maxLength: 60 },
)

test('whatever happens, no edit is lost: it is at the server, in its history, in the draft, or in the window', () => {
  fc.assert(
    fc.property(turns, (steps) => {
      let server = { document: doc('start'), version: 1 }
      const everAtServer = new Set<Doc>([server.document])
      let now = opened('start')
      let waiting: Extract<SavingEffect<Doc>, { n: number }>[] = []
      let made = 0
      const edits: Doc[] = []
      const tell = (event: SavingEvent<Doc>) => {
        const [next, effects] = stepSaving(now, event)
        now = next
        waiting = [...waiting, ...effects.filter((effect) => 'n' in effect)]
        expect(waiting.length).toBeLessThanOrEqual(1)
      }
      const answer = (how: string) => {
        const effect = waiting.pop()
        if (!effect) return
        const { n } = effect
        if (how === 'away') {
          tell({ type: 'away', n })
        } else if (how === 'refused') {
          tell({ type: 'refused', n, refusal: 'no' })
        } else if (effect.type === 'fetch theirs') {
          tell({ type: 'theirs', n, theirs: { ...server } })
        } else if (effect.type === 'set aside') {
          everAtServer.add(effect.document)
          tell(how === 'lost' ? { type: 'away', n } : { type: 'set aside', n })
        } else if (effect.based !== server.version) {
          tell({ type: 'stale', n })
        } else {
          server = { document: effect.document, version: server.version + 1 }
          everAtServer.add(effect.document)
          tell(how === 'lost' ? { type: 'away', n } : { type: 'saved', n, version: server.version })
        }
      }
      for (const turn of steps) {
        if (turn.do === 'edit') {
          const document = doc(`edit ${String((made += 1))}`)
          edits.push(document)
          tell(edited(document, made * 400))
        } else if (turn.do === 'other window') {
          server = { document: doc(`theirs ${String((made += 1))}`), version: server.version + 1 }
        } else if (turn.do === 'timer') tell(timer)
        else if (turn.do === 'answer') answer(turn.how)
        else if (turn.do === 'choose') tell({ type: turn.mine ? 'keep mine' : 'take theirs' })
        else tell({ type: turn.ok ? 'draft kept' : 'draft failed' })
        const last = edits.at(-1)
        if (last) expect(now.document === last || everAtServer.has(last)).toBe(true)
        if (now.status === 'saved') expect(now.document).toBe(now.saved)
      }
      // With a server that answers, and mine kept, one more edit brings it all to the server; a choice that is under way
      // is over before it, since what is edited then goes to history where theirs was taken.
      while (waiting.length > 0) answer('ok')
      tell(edited(doc('last'), 1e6))
      for (let left = 12; left > 0; left -= 1) {
        answer('ok')
        tell(timer)
        tell({ type: 'keep mine' })
        if (now.status === 'refused') tell(edited(now.document, 2e6))
      }
      expect([now.status, server.document]).toEqual(['saved', now.document])
    }),
  )
})

test('a draft that says what the server has is none, whatever version it was based on', () => {
  const now = opened('b', 2, { document: doc('b'), version: 1 })
  expect([now.status, now.based, now.theirs]).toEqual(['saved', 2, null])
  expect(isAsKept({ document: doc('b'), version: 1 }, { document: doc('b'), version: 2 })).toBe(true)
  expect(isAsKept({ document: doc('c'), version: 1 }, { document: doc('b'), version: 2 })).toBe(false)
  expect(isAsKept(undefined, { document: doc('b'), version: 2 })).toBe(false)
})
